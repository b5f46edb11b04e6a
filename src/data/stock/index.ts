// Rows
export type {
  ScrapRow,
  ScrapSaleRow,
  BalanceRow,
  LoanRow,
  Mounted,
  MovementQuestion,
  MovementRow,
  PieceRow,
  PlaceRow,
  RegrindOutRow,
  Seating,
  SeatInsert,
  SettlementRow,
  SheetRow,
  StockQuestion,
  StockRow,
  StockSort,
  TakingRow,
} from './types';
// Reading
export {
  manyBalances,
  manyBalancesAt,
  manyPiecesHere,
  manyPlaceTotals,
  manyToGrade,
  maybeBalance,
  maybeLotCode,
  maybePiece,
} from './read/balances';
export {
  manyBodies,
  manyBodiesWith,
  manyDamagedSeats,
  manyGoodSeats,
  manyInsertsOf,
  manyLastInserts,
  manySeatings,
  manySparesRenewed,
  maybeMounted,
} from './read/bodies';
export { countScrapUnknown, manyScrap, manyScrapSales } from './read/scrap';
export { manySettlements, manyTakings } from './read/consigned';
export {
  manyCountLines,
  manyLoans,
  manyMovements,
  manyReceipts,
  manySheets,
  maybeSheet,
} from './read/counts';
export { manyPlaces, maybePlace, oneHand, onePlaceById, onePlaceOfKind } from './read/places';
export { manyReservations } from './read/reservations';
export { manyRegrindsOut, manyReground, maybeRegrindOut, presentSizes } from './read/regrinds';
export {
  allStockRows,
  manyMarks,
  manyMarksOf,
  maybeStockLine,
  stockPaged,
  stockRows,
} from './read/stockLines';
// Writing
export {
  insertCountBooking,
  insertCountLine,
  insertCountSheet,
  insertLoan,
  insertMounting,
  insertMovement,
  insertPiece,
  insertPlace,
  insertRegrindBack,
  insertRegrindOut,
  insertReservation,
  insertSeatInsert,
  insertSeatState,
  insertSpareRenewed,
  insertScrapSale,
  insertScrapSaleLine,
  insertSettlement,
  insertUnmounting,
  lotOf,
} from './write';
