import { group } from 'd3';
import type { BookedUse, CutterSupply, OpenOrder } from '@/core/buying';
import { changeAtOf, speedOf } from '@/core/jobs';
import { cornerLimit, isWorn, NOT_READ, strictestHere, wearLimit, type WornHere } from '@/core/life';
import { countsAs, freeFor, type Reservation } from '@/core/stock';
import { type CribItem, edgesOf, loadItems } from '@/crib/catalogue';
import type { LifeBook } from '@/crib/lives';
import { type Work, wornHereOf, wornHereOn } from '@/crib/work';
import type { PurchaseRow } from '@/data/buying';
import type { Connection } from '@/data/database';
import { manyLatestWear, type RunningRow } from '@/data/life';
import { manyInsertsOf } from '@/data/stock';

/** What an open operation will use up, in pieces of what is bought for it. */
export interface Booked {
  /** What is bought: the cutter, or the inserts of its body. */
  itemId: number;
  /** What cuts, whose lives are reckoned with. */
  cutterItemId: number;
  use: Omit<BookedUse, 'life'>;
  /** The number of the job that books it. */
  job: string;
  materialId: number;
  /** The one speed it cuts at, rev/min; null: several, or not known. */
  rpm: number | null;
  /** Parts after which its cutter is changed; null: when a sign shows. */
  changedAfter: number | null;
}
/** A T of a booked job whose need can't be said, and why. */
export interface NotReckoned {
  job: string;
  operation: number;
  t: number;
  partsLeft: number;
  why: string;
}

/** Inserts of bodies: the item that is in each piece now or was last, and how many go with one life of its edges. */
export interface InsertsOf {
  itemId: number;
  /** seats / edges of an insert; null: not known. */
  perLife: number | null;
}

/** What is bought for each of some bodies, by piece; bodies last, their inserts wear. */
export async function insertsOfBodies(
  c: Connection,
  pieceIds: readonly number[],
): Promise<{ of: Map<number, InsertsOf>; items: Map<number, CribItem> }> {
  if (!pieceIds.length) return { of: new Map(), items: new Map() };
  const rows = await manyInsertsOf(c, pieceIds);
  const items = new Map((await loadItems(c, [...new Set(rows.map((r) => r.itemId))])).map((i) => [i.id, i]));
  return {
    of: new Map(
      rows.map((r) => {
        const insert = items.get(r.itemId);
        const edges = insert ? edgesOf(insert) : null;
        return [r.pieceId, { itemId: r.itemId, perLife: edges === null ? null : r.quantity / edges }];
      }),
    ),
    items,
  };
}

/** Whether wear that was said of a T is less than what a cutter's lives are counted to. */
const isSooner = (here: WornHere | null, DC: number | undefined): boolean =>
  here !== null &&
  DC !== undefined &&
  (wearLimit(DC, here).value < wearLimit(DC).value || cornerLimit(DC, here).value < cornerLimit(DC).value);

/** Wear that was said of the T with parts to make that each assembly runs on, by tag. */
export const wornByTag = (work: Work): Map<string, (WornHere | null)[]> =>
  new Map(
    [...wornHereOn(work)].flatMap(([id, here]) => {
      const tag = work.assemblies.get(id)?.tag;
      return tag === undefined ? [] : [[tag, here] as const];
    }),
  );

/** What open operations will use up, by what is tied to each T, and what of it can't be said. */
export function demandOf(
  work: Work,
  inserts: ReadonlyMap<number, InsertsOf>,
): { booked: Booked[]; unknown: NotReckoned[] } {
  const ties = new Map(work.ties.map((t) => [`${t.operationId} ${t.t}`, t]));
  const changes = new Map(work.changes.map((x) => [`${x.operationId} ${x.t}`, x]));
  const booked: Booked[] = [];
  const unknown: NotReckoned[] = [];
  for (const o of work.operations) {
    const partsLeft = o.quantity - o.partsMade;
    const tools = work.programs.get(o.id)?.tools ?? [];
    const operationMinutes = tools.reduce((sum, t) => sum + t.cutting_s, 0) / 60;
    const cannot = (t: number, why: string) =>
      unknown.push({ job: o.job, operation: o.id, t, partsLeft, why });
    for (const tool of tools) {
      if (tool.cutting_s <= 0) {
        if (tool.lower_bound) cannot(tool.t, 'its cutting was not read');
        continue;
      }
      // A tool that was taken down still says which cutter is wanted there.
      const tied = work.assemblies.get(ties.get(`${o.id} ${tool.t}`)?.assemblyId ?? -1);
      if (!tied) {
        cannot(tool.t, 'no cutter was ever tied');
        continue;
      }
      const body = work.items.get(tied.cutterItemId)?.kind === 'body';
      const insert = body ? inserts.get(tied.pieceId) : undefined;
      if (body && !insert) {
        cannot(tool.t, 'which inserts its body takes was never booked');
        continue;
      }
      if (insert && insert.perLife === null) {
        cannot(tool.t, 'how many edges its inserts have is not known');
        continue;
      }
      const change = changes.get(`${o.id} ${tool.t}`) ?? null;
      booked.push({
        itemId: insert?.itemId ?? tied.cutterItemId,
        cutterItemId: tied.cutterItemId,
        materialId: o.materialId,
        job: o.job,
        rpm: speedOf(tool),
        changedAfter: changeAtOf(change, tool)?.parts ?? null,
        use: {
          job: `${o.job} T${tool.t}`,
          due: o.due,
          start: o.starts,
          material: o.material,
          partsLeft,
          minutesPerPart: tool.cutting_s / 60,
          operationMinutes,
          atLeast: tool.lower_bound,
          perLife: insert?.perLife ?? 1,
          wornSooner: isSooner(wornHereOf(change, o), work.items.get(tied.cutterItemId)?.cutter?.DC),
        },
      });
    }
  }
  return { booked, unknown };
}

/** An edge set that goes on cutting, with what is left of it in pieces of what is bought. */
export interface EdgeLeft {
  itemId: number;
  tag: string;
  left: number | null;
  why?: string;
}

/** What is left on edges that still cut: nothing on worn ones, whatever their minutes say. */
export async function edgesLeft(
  c: Connection,
  running: readonly RunningRow[],
  book: LifeBook,
  items: ReadonlyMap<number, CribItem>,
  /** Inserts of bodies by piece, and wear that was said of the T they run on by tag. */
  { of: inserts, here }: { of: ReadonlyMap<number, InsertsOf>; here: ReturnType<typeof wornByTag> },
): Promise<Map<number, EdgeLeft[]>> {
  const wear = new Map(
    (
      await manyLatestWear(
        c,
        running.map((e) => e.edgeSetId),
      )
    ).map((w) => [w.edgeSetId, w]),
  );
  const left = running.flatMap((e): EdgeLeft[] => {
    const item = items.get(e.itemId);
    const insert = item?.kind === 'body' ? inserts.get(e.pieceId) : undefined;
    if (item?.kind === 'body' && !insert) return [];
    const tag = e.tag ?? `${e.mark} in ${e.place}`;
    const base = { itemId: insert?.itemId ?? e.itemId, tag };
    const DC = item?.cutter?.DC;
    // Edges of several ages last no longer than the oldest, where that is known.
    const known = e.fresh || book.oldest(e.edgeSetId) !== null;
    const counts = countsAs(
      {
        // Running edges lie in the crib or stand in a build.
        place: e.tag === null ? 'drawer' : 'build',
        daysLate: 0,
        ended: false,
        grade: known ? null : 'used again',
        groups: known ? [] : ['any'],
        worn:
          DC === undefined
            ? null
            : isWorn(wear.get(e.edgeSetId) ?? NOT_READ, DC, strictestHere(here.get(tag) ?? [], DC)),
        heldBack: e.heldBack,
      },
      null,
      true,
    );
    if (counts.as === 'nothing') return [{ ...base, left: 0, why: counts.why }];
    if (counts.as === 'graded') return [{ ...base, left: null, why: 'graded: used again, not planned with' }];
    const share = book.used(e.edgeSetId);
    const perLife = insert ? insert.perLife : 1;
    return [{ ...base, left: share === null || perLife === null ? null : (1 - share) * perLife }];
  });
  return group(left, (e) => e.itemId);
}

/** Shelf, what is left on edges, and open orders of what is bought. */
export const supplyOf = (
  item: CribItem,
  left: readonly EdgeLeft[],
  orders: readonly PurchaseRow[],
  delays: ReadonlyMap<string, NonNullable<OpenOrder['late']>>,
  /** What is set aside for jobs that are not reckoned with: the others' need is in what they book. */
  reserved: readonly Reservation[],
): CutterSupply => ({
  shelf: freeFor(item.unused, reserved).free,
  edgeSets: left.map(({ tag, left: pieces, why }) => ({ tag, left: pieces, why })),
  openOrders: orders.map((o) => ({
    number: o.number,
    quantity: o.quantity - o.received,
    promised: o.promised,
    supplier: o.supplier,
    late: delays.get(o.supplier) ?? null,
  })),
});
