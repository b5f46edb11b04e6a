import { KINDS } from '@/core/cutters';
import { sure } from '@/core/sure';
import { field, found, type Moment, Problem, toNumber } from '@/crib/door';
import { type ItemRow, maybeItem, oneItemById } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { maybeSupplier } from '@/data/shop';
import {
  insertMovement,
  lotOf,
  maybeBalance,
  maybePiece,
  maybePlace,
  type PieceRow,
  type PlaceRow,
} from '@/data/stock';

/** What tells a parcel apart at the door: a maker's lot, whose stock it is, edges left on each insert. */
export const parcelFields = {
  lot: field.words(40),
  supplier: { ...field.code, description: 'It belongs to this supplier until it is used' },
  edgesLeft: field.whole(1, 32),
} as const;

/** What is moved: one piece by its mark, or so many of an item from a place. */
export const thingFields = {
  piece: field.words(20),
  item: field.words(40),
  from: field.code,
  quantity: field.whole(1, 10_000),
  ...parcelFields,
} as const;

/** Some seats of a body, by the numbers marked on it. */
export const seatNumbers = {
  type: 'array',
  items: field.whole(1, 60),
  minItems: 1,
  maxItems: 60,
  uniqueItems: true,
} as const;

/** Where new inserts come from. */
export const freshInserts = {
  type: 'object',
  description: 'Where new inserts come from, for those that can’t be turned',
  properties: { item: field.words(40), from: field.code, ...parcelFields },
  required: ['from'],
  additionalProperties: false,
} as const;

interface Parcel {
  lot?: string;
  supplier?: string;
  edgesLeft?: string | number;
}
interface ThingInput extends Parcel {
  piece?: string;
  item?: string;
  from?: string;
  quantity?: string | number;
}

/** What is to be moved, found where it lies. */
interface Thing {
  item: ItemRow;
  piece: PieceRow | null;
  lotId: number | null;
  from: PlaceRow;
  quantity: number;
  /** As people say it: '3 × EM10', 'E-0007'. */
  words: string;
}

/** The lot of a parcel, made when it is first seen; null for ordinary stock of our own. */
export async function parcelOf(
  c: Connection,
  moment: Moment,
  item: ItemRow,
  p: Parcel,
): Promise<number | null> {
  if (p.lot === undefined && p.supplier === undefined && p.edgesLeft === undefined) return null;
  if (p.edgesLeft !== undefined && item.kind !== 'insert')
    throw new Problem(
      'INVALID_INPUT',
      `edges are counted on inserts; ${item.code} is a ${KINDS[item.kind].words}`,
      {
        field: 'edgesLeft',
        value: p.edgesLeft,
        limit: 'left out',
      },
    );
  const owner =
    p.supplier === undefined
      ? null
      : found(await maybeSupplier(c, p.supplier), 'supplier', p.supplier, 'supplier');
  moment.leansOn(owner?.entryId ?? null);
  return lotOf(c, moment.entryId, item.id, {
    code: p.lot?.trim() ?? null,
    ownerId: owner?.id ?? null,
    edgesLeft: p.edgesLeft === undefined ? null : toNumber(p.edgesLeft),
  });
}

/** Finds what is to be moved where it lies; a Problem says what the count has when it isn't there. */
export async function takeThing(c: Connection, moment: Moment, input: ThingInput): Promise<Thing> {
  if (input.piece !== undefined) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    if (piece.placeId === null)
      throw new Problem('CONFLICT', `${piece.mark} is nowhere in the books`, {
        field: 'piece',
        value: piece.mark,
      });
    if (piece.placeKind === 'build')
      throw new Problem('REFUSED', `${piece.mark} is in an assembly`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Take the assembly down first.',
      });
    const from = sure(await maybePlace(c, sure(piece.place, 'its place')), 'its place');
    moment.leansOn(piece.entryId);
    return {
      item: await oneItemById(c, piece.itemId),
      piece,
      lotId: piece.lotId,
      from,
      quantity: 1,
      words: piece.mark,
    };
  }
  for (const name of ['item', 'from', 'quantity'] as const)
    if (input[name] === undefined)
      throw new Problem('INVALID_INPUT', `${name} is needed, or the mark of a piece`, {
        field: name,
        limit: 'needed',
        wayOut: 'Say what, how many and from where; or scan the mark of one piece.',
      });
  // All three are there: refused above where one is missing.
  const item = found(await maybeItem(c, input.item!), 'item', input.item, 'item');
  const from = found(await maybePlace(c, input.from!.toUpperCase()), 'from', input.from, 'place');
  moment.leansOn(item.entryId);
  moment.leansOn(from.entryId);
  const lotId = await parcelOf(c, moment, item, input);
  const there = await maybeBalance(c, item.id, from.id, lotId);
  const loose = (there?.quantity ?? 0) - (there?.pieces ?? 0);
  // There, as above.
  const quantity = toNumber(input.quantity!);
  if (loose < quantity)
    throw new Problem(
      'CONFLICT',
      `The count says ${loose === 0 ? 'no' : `only ${loose}`} unmarked ${item.code} at ${from.code}`,
      {
        field: 'quantity',
        value: quantity,
        limit: `at most ${loose}`,
        wayOut: 'If you hold more, book them as found there first; somebody may have taken some meanwhile.',
      },
    );
  return { item, piece: null, lotId, from, quantity, words: `${quantity} × ${item.code}` };
}

/** Moves a thing to a place (null: out of the house for good). */
export const moveThing = (c: Connection, moment: Moment, t: Thing, toId: number) =>
  insertMovement(c, {
    entryId: moment.entryId,
    itemId: t.item.id,
    pieceId: t.piece?.id ?? null,
    lotId: t.lotId,
    from: t.from.id,
    to: toId,
    quantity: t.quantity,
  });
