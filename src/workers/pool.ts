import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { MessageChannel, type MessagePort, receiveMessageOnPort } from 'node:worker_threads';
import PQueue from 'p-queue';
import { Piscina } from 'piscina';
import { LIMITS, mostOf } from '@/core/limits';
import { type Beside, Problem, type ProblemPart, type Task } from '@/crib/door';

/** What a worker is asked: the task of this name; through `parts` it tells that it began, and what it finds. */
export type Asked = { name: string; input: unknown; parts: MessagePort };
export type Told<Part = unknown> = { begun: true } | { part: Part };

/** What a worker answers: a value, or the problem in its parts. */
export type Done<Value = unknown> =
  | { value: Value }
  | { problem: { code: Problem['code']; detail: string; parts: ProblemPart[]; wayOut: string | null } };

/** Where the build lays the workers' own program. */
const built = () =>
  join(/* turbopackIgnore: true */ process.cwd(), process.env.STABLE_DIST ?? '.next', 'stable-worker.cjs');

const tooHeavy = (detail: string, limit: 'taskSeconds' | 'taskMegabytes') =>
  new Problem('TOO_LARGE', detail, {
    field: 'content',
    limit: mostOf(limit),
    wayOut: 'Send it in parts. Nothing was written.',
  });

/**
 * A pool of workers with limits of time and memory (`LIMITS.task…`): one that goes past them is ended, a new one takes
 * its place, and whoever asked is told. Each has a thread and a heap of its own, so that no file stops the server.
 */
export function openPool(
  script = built(),
  { threads = 2, seconds = LIMITS.taskSeconds.most, megabytes = LIMITS.taskMegabytes.most } = {},
): { beside: Beside; close: () => Promise<void> } {
  if (!existsSync(script))
    throw new Error(`The workers’ program ${script} is missing: start Stable by npm start or npm run demo.`);
  const workers = new Piscina({
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
  workers.on('error', (error) => unbegun.forEach((lost) => lost.abort(error)));
  // They wait here, in their order: the pool bounds the number of no tasks that can be ended, and keeps none in order.
  const turns = new PQueue({ concurrency: threads });
  const beside: Beside = async <Input, Output, Part>(
    task: Task<Input, Output, Part>,
    input: Input,
    {
      hear,
      signal,
      seconds: longest = seconds,
    }: { hear?: (part: Part) => void; signal?: AbortSignal; seconds?: number } = {},
  ) => {
    if (turns.size >= LIMITS.tasksWaiting.most)
      throw new Problem('BUSY', 'Too much is being read and reckoned just now', {
        field: 'content',
        limit: mostOf('tasksWaiting'),
        wayOut: 'Try again in a minute. Nothing was written.',
      });
    const late = new AbortController();
    let begun = false;
    const once = async (): Promise<Done<Output>> => {
      const { port1: heard, port2: parts } = new MessageChannel();
      const listen = (told: Told<Part>) => {
        begun = true;
        unbegun.delete(lost);
        if ('part' in told) hear?.(told.part);
      };
      heard.on('message', listen);
      const lost = new AbortController();
      unbegun.add(lost);
      const signals = [late.signal, lost.signal, ...(signal ? [signal] : [])];
      try {
        const asked: Asked = { name: task.name, input, parts };
        return await workers.run(asked, { signal: AbortSignal.any(signals), transferList: [parts] });
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
    const run = async () => {
      const time = setTimeout(() => late.abort(), longest * 1000);
      try {
        return await once().catch((error) => {
          // It may have been given to a thread that had ended already, of which the server hadn't heard.
          if (begun || late.signal.aborted || signal?.aborted) throw error;
          return once();
        });
      } finally {
        clearTimeout(time);
      }
    };
    try {
      const done = await turns.add(run, { signal });
      if ('value' in done) return done.value;
      const { code, detail, parts, wayOut } = done.problem;
      throw new Problem(code, detail, { parts, wayOut: wayOut ?? undefined });
    } catch (error) {
      if (late.signal.aborted)
        throw tooHeavy(`Reading or reckoning took longer than ${longest} s`, 'taskSeconds');
      if (signal?.aborted)
        throw new Problem('STOPPED', 'It was stopped before it was done', {
          wayOut: 'Send it again. Nothing was written.',
        });
      if (isOutOfMemory(error)) throw tooHeavy('Reading or reckoning took too much memory', 'taskMegabytes');
      throw error;
    }
  };
  return { beside, close: () => workers.destroy() };
}

const isOutOfMemory = (error: unknown): boolean => Object(error).code === 'ERR_WORKER_OUT_OF_MEMORY';
