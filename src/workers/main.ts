import { isProblem } from '@/crib/door';
import { TASKS } from '@/crib/tasks';
import type { Done } from './pool';
import type { Asked, Told } from './threads';

/** Does one task by its name. A Problem is an answer like others: as an error it would lose what it says. */
export default async function run({ name, input, parts }: Asked): Promise<Done> {
  const tell = (told: Told) => parts.postMessage(told);
  tell({ begun: true });
  const task = TASKS.find((t) => t.name === name);
  if (!task) throw new Error(`no task ${name}`);
  try {
    return { value: await task.run(input, (part) => tell({ part })) };
  } catch (error) {
    if (!isProblem(error)) throw error;
    const { code, message, parts: said, wayOut } = error;
    return { problem: { code, detail: message, parts: said, wayOut } };
  } finally {
    parts.close();
  }
}
