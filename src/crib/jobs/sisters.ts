import { group } from 'd3';
import { edgesWithSisters, type UseJudgement } from '@/core/jobs';
import { loadItems } from '@/crib/catalogue';
import type { ReadOnce } from '@/crib/door';
import { type KnownHere, knownHere } from '@/crib/lives';
import { type AssemblyCard, standingOn } from '@/crib/rack';
import { loadsOf, openWork, type Work } from '@/crib/work';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import { type LoadRow, manyLoads } from '@/data/pockets';
import type { JobLine, ToolLine } from './jobLines';

/** Another edge of one cutter in a pocket of the machine under the T of an operation, judged as if that T were tied to it. */
export interface SisterOn {
  t: number;
  load: LoadRow;
  row: AssemblyRow;
  card: AssemblyCard;
  on: AssemblyCard['ties'][number];
}

/**
 * Sister tools of an operation in its machine, by pocket: what stands under a T that its program calls and is not what the T
 * is tied to; where it is tied, of the same cutter.
 */
export async function sistersOn(
  c: Connection,
  work: Work,
  operation: OperationRow,
  known?: KnownHere,
): Promise<SisterOn[]> {
  const tools = work.programs.get(operation.id)?.tools ?? [];
  const called = new Set(tools.map((tool) => tool.t));
  const tied = new Map(
    work.ties.flatMap((x) => (x.operationId === operation.id ? [[x.t, x.assemblyId] as const] : [])),
  );
  const loads = (await manyLoads(c, operation.machineId)).filter(
    (l) => called.has(l.t) && tied.get(l.t) !== l.assemblyId,
  );
  if (!loads.length) return [];
  const rows = new Map(
    (
      await manyAssembliesById(
        c,
        loads.map((l) => l.assemblyId),
      )
    ).map((r) => [r.id, r]),
  );
  const of = loads.flatMap((load) => {
    const row = rows.get(load.assemblyId);
    const own = work.assemblies.get(tied.get(load.t) ?? -1);
    return row && (!own || own.cutterItemId === row.cutterItemId) ? [{ load, row }] : [];
  });
  if (!of.length) return [];
  const missing = of
    .flatMap(({ row }) => [row.cutterItemId, row.holderItemId])
    .filter((id) => !work.items.has(id));
  const more = missing.length ? await loadItems(c, [...new Set(missing)]) : [];
  const cards = new Map(
    (
      await standingOn(
        c,
        {
          ...work,
          loads: await loadsOf(
            c,
            of.map(({ row }) => row.id),
          ),
          assemblies: new Map(of.map(({ row }) => [row.id, row])),
          items: new Map([...work.items, ...more.map((i) => [i.id, i] as const)]),
          ties: of.map(({ load, row }) => ({
            ...{ operationId: operation.id, t: load.t, assemblyId: row.id, entryId: load.entryId },
          })),
        },
        known,
      )
    ).map((card) => [card.tag, card]),
  );
  return of.flatMap(({ load, row }) => {
    const card = cards.get(row.tag);
    const on = card?.ties.find((x) => x.operation === operation.id && x.t === load.t);
    return card && on ? [{ t: load.t, load, row, card, on }] : [];
  });
}

/** The same by their T. */
export const sistersByT = async (c: Connection, work: Work, operation: OperationRow) =>
  group(await sistersOn(c, work, operation), (s) => s.t);

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

/** On which sister each T it is wanted on can go on, where there is one; asked of an operation when the first of its T asks. */
export async function sistersReady(c: Connection, once: ReadOnce) {
  const work = await once(openWork);
  const read = new Map<number, SisterLine[]>();
  return async (ties: AssemblyCard['ties']): Promise<SisterLine | null> => {
    const [tie, ...more] = ties;
    // On several T a sister of one says nothing of the others.
    const operation = tie && !more.length && work.operations.find((o) => o.id === tie.operation);
    if (!tie || !operation) return null;
    const of =
      read.get(operation.id) ?? (await sistersOn(c, work, operation, await once(knownHere))).map(sisterLine);
    read.set(operation.id, of);
    return of.find((s) => s.t === tie.t && isAble(s)) ?? null;
  };
}
