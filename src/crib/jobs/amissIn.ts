import type { Grade } from '@/core/because';
import type { SisterOn } from '@/crib/rack';
import { awayIn, type Work } from '@/crib/work';
import type { OperationRow } from '@/data/jobs';
import type { Connection } from '@/data/database';
import { manyLoads } from '@/data/pockets';
import type { JobLine } from './jobLines';

/** A T for which its machine has another tool than what is tied to it. */
export interface Amiss {
  t: number;
  /** stop: it would take that one; question: it has none for it there. */
  grade: Extract<Grade, 'stop' | 'question'>;
  words: string;
}

/**
 * What the pockets of a machine say against the tools of an operation that is run on it now: what is tied to a T is in another
 * pocket, or something else stands under that T, which the machine would take. `sisters`: of the same cutter under that T,
 * which are judged by themselves. Stops first. A T whose tool is in no pocket says nothing: where nobody writes pockets down,
 * it is in the machine all the same.
 */
export async function amissIn(
  c: Connection,
  operation: OperationRow,
  work: Work,
  tools: JobLine['tools'],
  sisters: readonly SisterOn[],
): Promise<Amiss[]> {
  const loads = await manyLoads(c, operation.machineId);
  const ids = new Map([...work.assemblies.values()].map((a) => [a.tag, a.id]));
  const tied = tools.flatMap(({ t, tag }) => (tag === null ? [] : [{ t, tag }]));
  const others = tied.flatMap(({ t, tag }) =>
    loads
      .filter((l) => l.t === t && l.tag !== tag && !sisters.some((s) => s.t === t && s.load.tag === l.tag))
      .map((l): Amiss => ({
        t,
        grade: 'stop',
        words: `pocket ${l.pocket} has ${l.tag} as T${t}, not ${tag}`,
      })),
  );
  const away = tied.flatMap(({ t, tag }): Amiss[] => {
    const where = awayIn(work.loads.get(ids.get(tag) ?? -1), operation, t);
    return where === null ? [] : [{ t, grade: 'question', words: `${tag} is ${where}` }];
  });
  return [...others, ...away];
}
