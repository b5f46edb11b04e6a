import type { ReadOnce } from '@/crib/door';
import { knownHere, type RunningBook, runningBook } from '@/crib/lives';
import { openWork } from '@/crib/work';
import type { Connection } from '@/data/database';

/** The book of every cutter that stands or is tied to open work, with all its edges that go on cutting. */
export async function openBook(c: Connection, _: string, once: ReadOnce): Promise<RunningBook> {
  const { assemblies } = await once(openWork);
  const items = [...new Set([...assemblies.values()].map((a) => a.cutterItemId))];
  return runningBook(c, items, await once(knownHere));
}
