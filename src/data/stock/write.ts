import { inserts, insertsWithId } from '../database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertMaterial = inserts<{
  code: string;
  name: string;
  isoGroup: string;
}>('material');

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

export const insertSettlement = inserts<{
  supplierId: number;
  upToMovementId: number;
  reference?: string | null;
}>('settlement');

export const insertPicture = inserts<{
  itemId?: number | null;
  pieceId?: number | null;
  shows: string;
  mime: string;
  width: number;
  height: number;
  bytes: Uint8Array;
  thumb: Uint8Array;
}>('picture');

export const insertItem = insertsWithId<{
  code: string;
  kind: string;
  maker?: string | null;
  family?: string | null;
}>('item');

export const insertItemLink = inserts<{
  itemId: number;
  earlierItemId: number;
  relation: string;
  reason: string;
}>('item_link');

export const insertItemStanding = inserts<{
  itemId: number;
  standing: string;
  reason: string;
}>('item_standing');

export const insertSupply = inserts<{
  itemId: number;
  supplierId: number;
  orderCode: string;
  priceCents?: number | null;
  pack: number;
  minimum: number;
}>('supply');

export const insertAssumedLife = inserts<{
  itemId: number;
  materialId?: number | null;
  minutes: number;
  origin: string;
}>('assumed_life');

export const insertHolderSegment = inserts<{
  itemId: number;
  ordinal: number;
  lengthMm: number;
  upperMm: number;
  lowerMm: number;
}>('holder_segment');

export const insertSavedView = inserts<{
  name: string;
  address: string;
}>('saved_view');

export const insertChoosingRules = inserts<{
  rules: string;
}>('choosing_rules');
