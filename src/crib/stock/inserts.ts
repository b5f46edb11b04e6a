import { type CribItem, loadItem } from '@/crib/catalogue';
import { type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertEdgeSet, insertEnding } from '@/data/life';
import {
  insertMounting,
  insertMovement,
  insertUnmounting,
  lotOf,
  maybeLotCode,
  maybeMounted,
  onePlaceOfKind,
  type PieceRow,
  type PlaceRow,
} from '@/data/stock';
import { fact } from './bodies';

interface InsertsOut {
  item: CribItem;
  /** Whole ones that can be used again, and the parcel they are now; null: none. */
  good: number;
  lotId: number | null;
  edgesLeft: number;
  scrapped: number;
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
  broken: number,
): Promise<InsertsOut> {
  const mounted = await maybeMounted(c, piece.id);
  if (!mounted)
    throw new Problem('CONFLICT', `No inserts are in ${piece.mark}`, {
      field: 'piece',
      value: piece.mark,
      wayOut: 'Somebody may have taken them out already: look at its history.',
    });
  if (broken > mounted.quantity)
    throw new Problem('INVALID_INPUT', `${broken} broken of ${mounted.quantity}`, {
      field: 'broken',
      value: broken,
      limit: `at most ${mounted.quantity}`,
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
  const edgesLeft = (mounted.edgesLeft ?? whole) - 1;
  const build = await onePlaceOfKind(c, 'build');
  const scrap = await onePlaceOfKind(c, 'scrap');
  const move = (from: number | null, toId: number | null, lotId: number | null, quantity: number) =>
    quantity > 0
      ? insertMovement(c, { entryId: moment.entryId, itemId: item.id, lotId, from, to: toId, quantity })
      : Promise.resolve(0);
  const good = edgesLeft > 0 ? mounted.quantity - broken : 0;
  const scrapped = mounted.quantity - good;
  await move(build.id, scrap.id, mounted.lotId, scrapped);
  let lotId: number | null = null;
  if (good > 0) {
    // They come back as another parcel: of the same lot, with one edge less, and used: ours, whoever's they were.
    await move(build.id, null, mounted.lotId, good);
    lotId = await lotOf(c, moment.entryId, item.id, {
      code: await maybeLotCode(c, mounted.lotId),
      ownerId: null,
      edgesLeft,
    });
    await move(null, to.id, lotId, good);
  }
  if (piece.endedEntryId === null && piece.edgeSetId === mounted.edgeSetId)
    await insertEnding(c, moment.entryId, {
      edgeSetId: mounted.edgeSetId,
      kind: 'preventive',
      signs: '[]',
      costCents: null,
    });
  await insertUnmounting(c, moment.entryId, { edgeSetId: mounted.edgeSetId, broken });
  return { item, good, lotId, edgesLeft, scrapped };
}

/**
 * Turns the inserts of a body that lies in the crib to their next edge: out with one edge less, and the same in again as a new
 * life. Where one is broken or they were on their last edge, a whole set is put in instead.
 */
export async function turnInserts(
  c: Connection,
  moment: Moment,
  piece: PieceRow,
  at: PlaceRow,
  broken: number,
): Promise<InsertsOut> {
  if (broken > 0)
    throw new Problem('REFUSED', `${broken} of ${piece.mark} are broken: what is left is no whole set`, {
      field: 'inserts',
      value: broken,
      limit: 'none broken',
      wayOut: 'Take them out; then put a whole set in.',
    });
  const out = await takeInsertsOut(c, moment, piece, at, 0);
  if (out.good === 0)
    throw new Problem('REFUSED', `${out.item.code} in ${piece.mark} was on its last edge`, {
      field: 'inserts',
      value: 'turned',
      limit: 'an edge left',
      wayOut: 'Take them out, and put new ones in.',
    });
  const build = await onePlaceOfKind(c, 'build');
  await insertMovement(c, {
    entryId: moment.entryId,
    itemId: out.item.id,
    lotId: out.lotId,
    from: at.id,
    to: build.id,
    quantity: out.good,
  });
  const edgeSetId = await insertEdgeSet(c, moment.entryId, { pieceId: piece.id, fresh: true });
  await insertMounting(c, moment.entryId, {
    edgeSetId,
    itemId: out.item.id,
    lotId: out.lotId,
    quantity: out.good,
  });
  return out;
}
