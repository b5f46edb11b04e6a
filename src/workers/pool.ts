import { existsSync } from 'node:fs';
import { join } from 'node:path';
import PQueue from 'p-queue';
import { LIMITS, mostOf } from '@/core/limits';
import { type Beside, Problem, type ProblemPart, type Task } from '@/crib/door';
import { openThreads } from './threads';

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
  const workers = openThreads(script, { threads, megabytes });
  // They wait here, in their order: the threads bound the number of no tasks that can be ended, and keep none in order.
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
    const ends = signal ? AbortSignal.any([late.signal, signal]) : late.signal;
    const run = async (): Promise<Done<Output>> => {
      const time = setTimeout(() => late.abort(), longest * 1000);
      try {
        return await workers.give<Done<Output>, Part>({ name: task.name, input }, { signal: ends, hear });
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
  return { beside, close: workers.close };
}

const isOutOfMemory = (error: unknown): boolean => Object(error).code === 'ERR_WORKER_OUT_OF_MEMORY';
