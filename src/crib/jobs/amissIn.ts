import { awayIn, type Work } from '@/crib/work';
import type { OperationRow } from '@/data/jobs';
import type { LoadRow } from '@/data/pockets';
import type { JobLine } from './jobLines';

/** A T for which its machine has another tool than what is tied to it. */
export interface Amiss {
  t: number;
  words: string;
}

/**
 * What the pockets of a machine say against the tools of an operation that is run on it now: what is tied to a T is in another
 * pocket, or something else stands under that T, which the machine would take. `sisters`: of the same cutter under that T, which are
 * judged by themselves. A T whose tool is in no pocket says nothing: where nobody writes pockets down, it is in the machine all the same.
 */
export function amissIn(
  operation: OperationRow,
  work: Work,
  tools: JobLine['tools'],
  loads: readonly LoadRow[],
  sisters: readonly { t: number; tag: string }[],
): Amiss[] {
  const ids = new Map([...work.assemblies.values()].map((a) => [a.tag, a.id]));
  return tools.flatMap(({ t, tag }) => {
    if (tag === null) return [];
    const away = awayIn(work.loads.get(ids.get(tag) ?? -1), operation, t);
    const others = loads.filter(
      (l) => l.t === t && l.tag !== tag && !sisters.some((s) => s.t === t && s.tag === l.tag),
    );
    return [
      ...(away === null ? [] : [{ t, words: `${tag} is ${away}` }]),
      ...others.map((l) => ({ t, words: `pocket ${l.pocket} has ${l.tag} as T${t}, not ${tag}` })),
    ];
  });
}
