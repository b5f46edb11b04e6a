import { type Connection, insert, inserts, insertsWithId, maybeOne } from '@/data/database';
import type { LotMarks, NewMovement } from './types';

/** The lot with these marks, made when it is first seen. */
export async function lotOf(
  c: Connection,
  entryId: number,
  itemId: number,
  marks: LotMarks,
): Promise<number> {
  const there = await maybeOne<{ id: number }>(
    c,
    `select id from lot where item_id = $1 and code is not distinct from $2 and owner_supplier_id is not distinct from $3
     and edges_left is not distinct from $4`,
    [itemId, marks.code, marks.ownerId, marks.edgesLeft],
  );
  if (there) return there.id;
  return insert(
    c,
    'lot',
    {
      itemId: itemId,
      code: marks.code,
      ownerSupplierId: marks.ownerId,
      edgesLeft: marks.edgesLeft,
      entryId: entryId,
    },
    'id',
  );
}
export const insertMovement = (c: Connection, m: NewMovement): Promise<number> =>
  insert(
    c,
    'movement',
    {
      entryId: m.entryId,
      itemId: m.itemId,
      pieceId: m.pieceId ?? null,
      lotId: m.lotId ?? null,
      fromPlaceId: m.from,
      toPlaceId: m.to,
      quantity: m.quantity,
    },
    'id',
  );

export const insertPlace = inserts<{
  code: string;
  name: string;
  kind: string;
  parentId?: number | null;
  person?: string | null;
}>('place');

export const insertPiece = insertsWithId<{
  mark: string;
  itemId: number;
  lotId?: number | null;
}>('piece');

export const insertLoan = inserts<{
  itemId: number;
  pieceId?: number | null;
  lotId?: number | null;
  handPlaceId: number;
  quantity: number;
  due?: string | null;
}>('loan');

export const insertCountSheet = inserts<{
  number: string;
  placeId: number;
}>('count_sheet');

export const insertCountLine = inserts<{
  sheetId: number;
  placeId: number;
  itemId: number;
  lotId?: number | null;
  counted: number;
  expected: number;
}>('count_line');

export const insertCountBooking = inserts<{
  sheetId: number;
  explained?: string | null;
}>('count_booking');

export const insertRegrindOut = inserts<{
  pieceId: number;
  placeId: number;
  due?: string | null;
  wanted?: string | null;
}>('regrind_out');

export const insertRegrindBack = inserts<{
  outEntryId: number;
  edgeSetId?: number | null;
  dcMm?: number | null;
  dcEntered?: string | null;
  lcfMm?: number | null;
  lcfEntered?: string | null;
  recoated?: string | null;
  costCents?: number | null;
  lost: boolean;
}>('regrind_back');

export const insertSeatState = inserts<{
  pieceId: number;
  seat: number;
  damaged: boolean;
}>('seat_state');

export const insertMounting = inserts<{
  edgeSetId: number;
  itemId: number;
  lotId?: number | null;
  quantity: number;
}>('mounting');

export const insertUnmounting = inserts<{
  edgeSetId: number;
  broken: number;
}>('unmounting');

export const insertSeatInsert = inserts<{
  edgeSetId: number;
  seat: number;
  lotId?: number | null;
  sinceId: number;
}>('seat_insert');

export const insertSpareRenewed = inserts<{
  pieceId: number;
  itemId: number;
  quantity: number;
}>('spare_renewed');

export const insertSettlement = inserts<{
  supplierId: number;
  upToMovementId: number;
  reference?: string | null;
}>('settlement');

export const insertReservation = inserts<{ itemId: number; jobId: number; quantity: number }>('reservation');

export const insertScrapSale = inserts<{
  substrate: string;
  kg: number;
  perKgCents: number;
  buyer: string | null;
}>('scrap_sale');

export const insertScrapSaleLine = inserts<{ itemId: number; quantity: number; total: number }>(
  'scrap_sale_line',
);
