import { group } from 'd3';
import { loadItems } from '@/crib/catalogue';
import { type LifeBook, loadLifeBook } from '@/crib/lives';
import { loadsOf, type Work, workAround } from '@/crib/work';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOpenOperations } from '@/data/jobs';
import { type LoadedRow, type LoadRow, manyLoadsIn } from '@/data/pockets';
import { type AssemblyCard, standingOn } from './cards';

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
 * Sister tools of some work in its machines, by pocket: what stands under a T that a program calls and is not what the T is
 * tied to; where it is tied, of the same cutter.
 */
async function besideOn(c: Connection, work: Work): Promise<readonly Beside[]> {
  const tied = new Map(work.ties.map((x) => [`${x.operationId} ${x.t}`, x.assemblyId]));
  const inPockets = group(
    await manyLoadsIn(c, [...new Set(work.operations.map((o) => o.machineId))]),
    (l) => l.machineId,
  );
  const called = work.operations.flatMap((o) => {
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

/** Those, judged by a book in which their cutters and edges stand, or else one that is read for them. */
async function judged(
  c: Connection,
  work: Work,
  of: readonly Beside[],
  book?: LifeBook,
): Promise<SisterOn[]> {
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

/** Sister tools of some work in the pockets of its machines; `book`: one in which all of them stand. */
export const sistersOn = async (c: Connection, work: Work, book?: LifeBook): Promise<SisterOn[]> =>
  judged(c, work, await besideOn(c, work), book);

/** What calls an assembly on a machine now. */
export const calledAt = (card: Pick<AssemblyCard, 'ties'>, machine: string): AssemblyCard['ties'] =>
  card.ties.filter((t) => t.machine === machine && t.partsLeft > 0);

/** Of some sisters of a machine, what an assembly stands in for under a T that no open job ties it to there. */
export function standsInFor(
  card: Pick<AssemblyCard, 'tag' | 'ties'>,
  machine: string,
  sisters: readonly SisterOn[],
): AssemblyCard['ties'] {
  const own = new Set(calledAt(card, machine).map((t) => t.t));
  return sisters.flatMap((s) => (s.row.tag === card.tag && !own.has(s.t) ? [s.on] : []));
}

/** The same of an assembly in a pocket of a machine under a T. */
export async function standsInAt(
  c: Connection,
  card: AssemblyCard,
  { machineId, machine, t }: Pick<LoadedRow, 'machineId' | 'machine' | 't'>,
): Promise<AssemblyCard['ties']> {
  if (calledAt(card, machine).some((x) => x.t === t)) return [];
  const open = (await manyOpenOperations(c)).filter((o) => o.machineId === machineId);
  return standsInFor(card, machine, await sistersOn(c, await workAround(c, open)));
}

/** What stands on the tools of some work and beside them in the pockets of its machines, judged by one book. */
export async function standingAt(
  c: Connection,
  work: Work,
): Promise<{
  cards: AssemblyCard[];
  sisters: SisterOn[];
  /** All of them that stand. */
  rows: AssemblyRow[];
  book: LifeBook;
}> {
  const beside = await besideOn(c, work);
  const tied = [...work.assemblies.values()].filter((a) => a.takenDownEntryId === null);
  const rows = [...new Map([...tied, ...beside.map((x) => x.row)].map((r) => [r.id, r])).values()];
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
