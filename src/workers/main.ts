import { worker, workerEmit } from 'workerpool';
import { isProblem } from '@/crib/door';
import { TASKS } from '@/crib/tasks';
import type { Done } from './pool';

/** Does one task by its name. A Problem is an answer like others: as an error it would lose what it says. */
async function run(name: string, input: unknown): Promise<Done> {
  const task = TASKS.find((t) => t.name === name);
  if (!task) throw new Error(`no task ${name}`);
  try {
    return { value: await task.run(input, (part) => workerEmit(part)) };
  } catch (error) {
    if (!isProblem(error)) throw error;
    const { code, message, parts, wayOut } = error;
    return { problem: { code, detail: message, parts, wayOut } };
  }
}

worker({ run });
