import { edgesWithSisters, type UseJudgement } from '@/core/jobs';
import type { ReadAll, ReadOnce } from '@/crib/door';
import { openBook } from '@/crib/life';
import { type AssemblyCard, sistersOn, type SisterOn } from '@/crib/rack';
import { openWork } from '@/crib/work';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import type { JobLine, ToolLine } from './jobLines';

/** A sister tool, with what may run on it. */
export interface SisterLine {
  t: number;
  tag: string;
  pocket: number;
  h: number | null;
  d: number | null;
  /** Parts it is expected to do; null: cannot say. */
  goodFor: number | null;
  use: Pick<UseJudgement, 'grade' | 'why'>;
}

export const sisterLine = ({ t, load, on }: SisterOn): SisterLine => ({
  ...{ t, tag: load.tag, pocket: load.pocket, h: load.h, d: load.d },
  ...{ goodFor: on.use.goodFor, use: { grade: on.use.grade, why: on.use.why } },
});

/** A sister on which it can go on: it may run there, as far as is known, and something is left in it. */
export const isAble = ({ use, goodFor }: Pick<SisterLine, 'use' | 'goodFor'>): boolean =>
  use.grade !== 'stop' && goodFor !== 0;

/** A T with the edges its parts need beside what is in and its sisters. */
export function withSisters(
  line: ToolLine,
  { partsLeft }: Pick<JobLine, 'partsLeft'>,
  cards: readonly AssemblyCard[],
  operation: Pick<OperationRow, 'id'>,
  sisters: readonly SisterLine[],
): ToolLine {
  const on = cards
    .find((card) => card.tag === line.tag)
    ?.ties.find((x) => x.operation === operation.id && x.t === line.t);
  const able = sisters.filter((s) => s.t === line.t && isAble(s));
  if (!on || !able.length) return line;
  const edges = edgesWithSisters(
    partsLeft,
    line.use.goodFor,
    able.map((s) => s.goodFor),
    {
      minutesPerPart: line.minutesPerPart,
      minutes: on.freshMinutes,
      changedAfter: line.change?.each ?? null,
    },
  );
  return { ...line, use: { ...line.use, edges } };
}

/** On which sister each T it is wanted on can go on, where there is one; the sisters of all are read when the first T asks. */
export function sistersReady(c: Connection, once: ReadOnce) {
  return async (ties: AssemblyCard['ties']): Promise<SisterLine | null> => {
    const [tie, ...more] = ties;
    // On several T a sister of one says nothing of the others.
    if (!tie || more.length) return null;
    const of = (await once(openSisters)).filter(({ on }) => on.operation === tie.operation && on.t === tie.t);
    return of.map(sisterLine).find(isAble) ?? null;
  };
}

/** Sister tools of the open work. What stands is in the book of all that stands. */
const openSisters: ReadAll<SisterOn[]> = async (c, _, once) =>
  sistersOn(c, await once(openWork), await once(openBook));
