import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pool, Promise as PoolPromise } from 'workerpool';
import { LIMITS, mostOf } from '@/core/limits';
import { type Beside, Problem, type ProblemPart, type Task } from '@/crib/door';

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
  const workers = pool(script, {
    workerType: 'thread',
    minWorkers: 1,
    maxWorkers: threads,
    maxQueueSize: LIMITS.tasksWaiting.most,
    // A task has nothing to tidy up: its thread is ended at once. In the second it would have, it can come past its memory too,
    // of which the engine may end the whole process, and a thread that has ended by itself is waited for without end.
    workerTerminateTimeout: 1,
    workerThreadOpts: { resourceLimits: { maxOldGenerationSizeMb: megabytes } },
  });
  const beside: Beside = async <Input, Output, Part>(
    task: Task<Input, Output, Part>,
    input: Input,
    {
      hear,
      signal,
      seconds: longest = seconds,
    }: { hear?: (part: Part) => void; signal?: AbortSignal; seconds?: number } = {},
  ) => {
    let asked: PoolPromise<Done<Output>, Error>;
    try {
      asked = workers.exec<(name: string, input: unknown) => Done<Output>>('run', [task.name, input], {
        on: hear,
      });
    } catch (error) {
      if (error instanceof Error && error.message.startsWith('Max queue size'))
        throw new Problem('BUSY', 'Too much is being read and reckoned just now', {
          field: 'content',
          limit: mostOf('tasksWaiting'),
          wayOut: 'Try again in a minute. Nothing was written.',
        });
      throw error;
    }
    const stop = () => void asked.cancel();
    signal?.addEventListener('abort', stop, { once: true });
    try {
      const done = await asked.timeout(longest * 1000);
      if ('value' in done) return done.value;
      const { code, detail, parts, wayOut } = done.problem;
      throw new Problem(code, detail, { parts, wayOut: wayOut ?? undefined });
    } catch (error) {
      if (error instanceof PoolPromise.TimeoutError)
        throw tooHeavy(`Reading or reckoning took longer than ${longest} s`, 'taskSeconds');
      if (error instanceof PoolPromise.CancellationError)
        throw new Problem('STOPPED', 'It was stopped before it was done', {
          wayOut: 'Send it again. Nothing was written.',
        });
      if (isOutOfMemory(error)) throw tooHeavy('Reading or reckoning took too much memory', 'taskMegabytes');
      throw error;
    } finally {
      signal?.removeEventListener('abort', stop);
    }
  };
  return { beside, close: async () => void (await workers.terminate(true)) };
}

const isOutOfMemory = (error: unknown): boolean =>
  error instanceof Error &&
  (/out of memory|memory limit/i.test(error.message) ||
    ('code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'));
