import { MessageChannel, type MessagePort, receiveMessageOnPort } from 'node:worker_threads';
import { Piscina } from 'piscina';

/** What a thread is asked: the task of this name; through `parts` it tells that it began, and what it finds meanwhile. */
export interface Asked {
  name: string;
  input: unknown;
  parts: MessagePort;
}
export type Told<Part = unknown> = { begun: true } | { part: Part };

/**
 * Threads that load `script` and do a task each at a time. One that comes past its memory, or whose task is ended by its signal,
 * is ended, and another takes its place; whatever else a thread dies of, no other task fails of it, and none waits for it.
 */
export function openThreads(script: string, { threads, megabytes }: { threads: number; megabytes: number }) {
  const pool = new Piscina({
    filename: script,
    minThreads: 1,
    maxThreads: threads,
    // Otherwise a thread without a task sleeps whole, what the last one left for later included.
    atomics: 'disabled',
    recordTiming: false,
    resourceLimits: { maxOldGenerationSizeMb: megabytes },
  });
  // A thread ended that had no task: it had none just then, or it could not begin. Whoever waits for one asks again.
  const unbegun = new Set<AbortController>();
  pool.on('error', (error) => unbegun.forEach((lost) => lost.abort(error)));

  const give = async <Answer, Part>(
    { name, input }: Pick<Asked, 'name' | 'input'>,
    { signal, hear }: { signal: AbortSignal; hear?: (part: Part) => void },
  ): Promise<Answer> => {
    let begun = false;
    const once = async (): Promise<Answer> => {
      const lost = new AbortController();
      const { port1: heard, port2: parts } = new MessageChannel();
      const listen = (told: Told<Part>) => {
        begun = true;
        unbegun.delete(lost);
        if ('part' in told) hear?.(told.part);
      };
      heard.on('message', listen);
      unbegun.add(lost);
      try {
        const asked: Asked = { name, input, parts };
        return await pool.run(asked, {
          signal: AbortSignal.any([signal, lost.signal]),
          transferList: [parts],
        });
      } catch (error) {
        throw lost.signal.aborted ? lost.signal.reason : error;
      } finally {
        // The answer comes by another way than what is told before it: of that, the last may not be heard yet.
        for (let last = receiveMessageOnPort(heard); last; last = receiveMessageOnPort(heard))
          listen(last.message);
        unbegun.delete(lost);
        heard.close();
      }
    };
    return once().catch((error) => {
      // It may have been given to a thread that had ended already, of which the server hadn't heard: once more.
      if (begun || signal.aborted) throw error;
      return once();
    });
  };
  return { give, close: () => pool.destroy() };
}
