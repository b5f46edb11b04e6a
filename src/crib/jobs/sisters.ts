import { group } from 'd3';
import { edgesWithSisters, type UseJudgement } from '@/core/jobs';
import { loadItems } from '@/crib/catalogue';
import type { ReadAll, ReadOnce } from '@/crib/door';
import { openBook } from '@/crib/life';
import { type LifeBook, loadLifeBook } from '@/crib/lives';
import { type AssemblyCard, standingOn } from '@/crib/rack';
import { loadsOf, openWork, type Work } from '@/crib/work';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import { type LoadRow, manyLoadsIn } from '@/data/pockets';
import type { JobLine, ToolLine } from './jobLines';

/** Another edge of one cutter in a pocket of the machine under the T of an operation, judged as if that T were tied to it. */
export interface SisterOn {
  t: number;
  load: LoadRow;
  row: AssemblyRow;
  card: AssemblyCard;
  on: AssemblyCard['ties'][number];
}

/** The same, not judged yet. */
type Beside = Pick<SisterOn, 'load' | 'row'> & { operation: number };

/**
 * Sister tools of some operations in their machines, by pocket: what stands under a T that the program calls and is not what
 * the T is tied to; where it is tied, of the same cutter.
 */
async function besideOn(
  c: Connection,
  work: Work,
  operations: readonly OperationRow[],
): Promise<readonly Beside[]> {
  const tied = new Map(work.ties.map((x) => [`${x.operationId} ${x.t}`, x.assemblyId]));
  const inPockets = group(
    await manyLoadsIn(c, [...new Set(operations.map((o) => o.machineId))]),
    (l) => l.machineId,
  );
  const called = operations.flatMap((o) => {
    const ts = new Set(work.programs.get(o.id)?.tools.map((tool) => tool.t));
    return (inPockets.get(o.machineId) ?? []).flatMap((load) => {
      const own = tied.get(`${o.id} ${load.t}`) ?? null;
      return ts.has(load.t) && own !== load.assemblyId ? [{ operation: o.id, load, own }] : [];
    });
  });
  const ids = [...new Set(called.map(({ load }) => load.assemblyId))];
  const rows = new Map((ids.length ? await manyAssembliesById(c, ids) : []).map((r) => [r.id, r]));
  return called.flatMap(({ own, ...on }) => {
    const row = rows.get(on.load.assemblyId);
    const tiedOne = own === null ? undefined : work.assemblies.get(own);
    return row && (!tiedOne || tiedOne.cutterItemId === row.cutterItemId) ? [{ ...on, row }] : [];
  });
}

/** Those, judged by a book in which their cutters and edges stand. */
async function judged(c: Connection, work: Work, of: readonly Beside[], book: LifeBook): Promise<SisterOn[]> {
  if (!of.length) return [];
  const sisters = new Map(of.map(({ row }) => [row.id, row]));
  const missing = [...sisters.values()]
    .flatMap((row) => [row.cutterItemId, row.holderItemId])
    .filter((id) => !work.items.has(id));
  const more = missing.length ? await loadItems(c, [...new Set(missing)]) : [];
  const standing = await standingOn(
    c,
    {
      ...work,
      loads: await loadsOf(c, [...sisters.keys()]),
      assemblies: sisters,
      items: new Map([...work.items, ...more.map((i) => [i.id, i] as const)]),
      ties: of.map(({ operation, load, row }) => ({
        ...{ operationId: operation, t: load.t, assemblyId: row.id, entryId: load.entryId },
      })),
    },
    book,
  );
  const cards = new Map(standing.map((card) => [card.tag, card]));
  return of.flatMap(({ operation, load, row }) => {
    const card = cards.get(row.tag);
    const on = card?.ties.find((x) => x.operation === operation && x.t === load.t);
    return card && on ? [{ t: load.t, load, row, card, on }] : [];
  });
}

/** What stands on the tools of an operation and beside them in the pockets of its machine, judged by one book. */
export async function standingAt(
  c: Connection,
  work: Work,
  operation: OperationRow,
): Promise<{
  cards: AssemblyCard[];
  sisters: SisterOn[];
  /** All of them that stand. */
  rows: AssemblyRow[];
  book: LifeBook;
}> {
  const beside = await besideOn(c, work, [operation]);
  const rows = [
    ...[...work.assemblies.values()].filter((a) => a.takenDownEntryId === null),
    ...beside.map(({ row }) => row),
  ];
  const book = await loadLifeBook(
    c,
    [...new Set(rows.map((r) => r.cutterItemId))],
    rows.map((r) => r.edgeSetId),
  );
  return {
    cards: await standingOn(c, work, book),
    sisters: await judged(c, work, beside, book),
    ...{ rows, book },
  };
}

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
const openSisters: ReadAll<SisterOn[]> = async (c, _, once) => {
  const work = await once(openWork);
  return judged(c, work, await besideOn(c, work, work.operations), await once(openBook));
};
