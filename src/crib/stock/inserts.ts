import { group } from 'd3';
import { first } from '@/core/sure';
import { type CribItem, loadItem } from '@/crib/catalogue';
import { type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertEnding } from '@/data/life';
import {
  insertMovement,
  insertUnmounting,
  lotOf,
  manyGoodSeats,
  maybeLotCode,
  maybeMounted,
  type Mounted,
  onePlaceOfKind,
  type PieceRow,
  type PlaceRow,
} from '@/data/stock';
import { fact } from './bodies';

interface InsertsOut {
  item: CribItem;
  /** Whole ones that can be used again. */
  good: number;
  /** Edges left on each of them; null: they are not alike. */
  edgesLeft: number | null;
  /** The same of each parcel they are now. */
  parcels: { quantity: number; edgesLeft: number }[];
  scrapped: number;
}

/** What is in a body, with as many edges as its inserts have when new. */
export async function insideOf(c: Connection, moment: Moment, piece: PieceRow) {
  const mounted = await maybeMounted(c, piece.id);
  if (!mounted)
    throw new Problem('CONFLICT', `No inserts are in ${piece.mark}`, {
      field: 'piece',
      value: piece.mark,
      wayOut: 'Somebody may have taken them out already: look at its history.',
    });
  moment.leansOn(mounted.entryId);
  const item = await loadItem(c, mounted.itemId);
  const whole = fact(item, 'EDGES')?.value ?? fact(item, 'CEDC')?.value ?? null;
  if (whole === null)
    throw new Problem('REFUSED', `How many edges ${item.code} has is not known`, {
      field: 'piece',
      value: item.code,
      limit: 'EDGES or CEDC stated',
      wayOut: 'State the edges that can be used first: then what comes back is counted.',
    });
  return { mounted, item, whole };
}

/** Moves so many inserts of one parcel; nothing where there are none. */
export const moveInserts =
  (c: Connection, moment: Moment, itemId: number) =>
  async (from: number | null, to: number | null, lotId: number | null, quantity: number): Promise<void> => {
    if (quantity > 0) await insertMovement(c, { entryId: moment.entryId, itemId, lotId, from, to, quantity });
  };

/** The parcel inserts become that had an edge used: of the same lot, and ours, whoever's they were. */
export const usedParcel = async (
  c: Connection,
  moment: Moment,
  itemId: number,
  lotId: number | null,
  edgesLeft: number,
): Promise<number> =>
  lotOf(c, moment.entryId, itemId, { code: await maybeLotCode(c, lotId), ownerId: null, edgesLeft });

/** Ends the life of edges that come out or are turned, where it had not ended: nobody says that they failed. */
export async function endTheirLife(
  c: Connection,
  moment: Moment,
  piece: PieceRow,
  mounted: Mounted,
): Promise<void> {
  if (piece.endedEntryId === null && piece.edgeSetId === mounted.edgeSetId)
    await insertEnding(c, moment.entryId, {
      edgeSetId: mounted.edgeSetId,
      kind: 'preventive',
      signs: '[]',
      costCents: null,
    });
}

/** How many are broken, or in which seats. */
export type Broken = number | readonly number[];

/** How many of each parcel in a body are broken: where they are not alike, only their seats say that. */
function brokenOf(
  piece: PieceRow,
  mounted: Mounted,
  broken: Broken,
): { lotId: number | null; edgesLeft: number | null; quantity: number; broken: number }[] {
  const many = typeof broken === 'number' ? broken : new Set(broken).size;
  if (many > mounted.quantity)
    throw new Problem('INVALID_INPUT', `${many} broken of ${mounted.quantity}`, {
      field: 'broken',
      value: many,
      limit: `at most ${mounted.quantity}`,
    });
  if (!mounted.seats.length) {
    const { lotId, edgesLeft, quantity } = mounted;
    return [{ lotId, edgesLeft, quantity, broken: many }];
  }
  if (typeof broken === 'number' && broken > 0)
    throw new Problem(
      'INVALID_INPUT',
      `The inserts in ${piece.mark} are not alike: which seats are broken?`,
      {
        field: 'brokenSeats',
        value: broken,
        limit: 'the numbers of the seats',
        wayOut: 'Say the seats, not how many.',
      },
    );
  const seats = typeof broken === 'number' ? [] : broken;
  mustHoldInserts(piece, mounted.seats, seats, 'brokenSeats');
  return [...group(mounted.seats, (s) => s.lotId)].map(([lotId, alike]) => ({
    lotId,
    edgesLeft: first(alike).edgesLeft,
    quantity: alike.length,
    broken: alike.filter((s) => seats.includes(s.seat)).length,
  }));
}

/** Refuses a seat that holds no insert. */
export function mustHoldInserts(
  piece: PieceRow,
  seats: readonly { seat: number }[],
  asked: readonly number[],
  name: string,
): void {
  const none = asked.find((n) => !seats.some((s) => s.seat === n));
  if (none !== undefined)
    throw new Problem('INVALID_INPUT', `Seat ${none} of ${piece.mark} holds no insert`, {
      field: name,
      value: none,
      limit: seats.map((s) => s.seat).join(', '),
      wayOut: 'Seats are counted as they are marked on the body; a damaged one holds none.',
    });
}

/**
 * Takes the inserts out of a body that lies in the crib: whole ones come to a place with one edge less, those on their last edge
 * and broken ones are scrap. Its life ends with that, where it had not.
 */
export async function takeInsertsOut(
  c: Connection,
  moment: Moment,
  piece: PieceRow,
  to: PlaceRow,
  broken: Broken,
): Promise<InsertsOut> {
  const { mounted, item, whole } = await insideOf(c, moment, piece);
  if (typeof broken === 'object' && !mounted.seats.length) {
    const seats = (await manyGoodSeats(c, piece.id)).map((seat) => ({ seat }));
    // Where a seat was marked damaged since, only how many they are counts.
    if (seats.length === mounted.quantity) mustHoldInserts(piece, seats, broken, 'brokenSeats');
  }
  const parcels = brokenOf(piece, mounted, broken);
  const build = await onePlaceOfKind(c, 'build');
  const scrap = await onePlaceOfKind(c, 'scrap');
  const move = moveInserts(c, moment, item.id);
  const back: InsertsOut['parcels'] = [];
  for (const p of parcels) {
    const edgesLeft = (p.edgesLeft ?? whole) - 1;
    const good = edgesLeft > 0 ? p.quantity - p.broken : 0;
    await move(build.id, scrap.id, p.lotId, p.quantity - good);
    if (good === 0) continue;
    await move(build.id, null, p.lotId, good);
    await move(null, to.id, await usedParcel(c, moment, item.id, p.lotId, edgesLeft), good);
    back.push({ quantity: good, edgesLeft });
  }
  await endTheirLife(c, moment, piece, mounted);
  await insertUnmounting(c, moment.entryId, {
    edgeSetId: mounted.edgeSetId,
    broken: parcels.reduce((n, p) => n + p.broken, 0),
  });
  const good = back.reduce((n, p) => n + p.quantity, 0);
  const lefts = new Set(parcels.map((p) => Math.max(0, (p.edgesLeft ?? whole) - 1)));
  return {
    item,
    good,
    edgesLeft: lefts.size === 1 ? first([...lefts]) : null,
    parcels: back,
    scrapped: mounted.quantity - good,
  };
}
