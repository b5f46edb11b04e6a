// What people do
export { foundStock } from './verbs/foundStock';
export { loseStock } from './verbs/loseStock';
export { mountInserts } from './verbs/mountInserts';
export { moveStock } from './verbs/moveStock';
export { receiveStock } from './verbs/receiveStock';
export { reserveStock } from './verbs/reserveStock';
export { scrapStock } from './verbs/scrapStock';
export { stateSeat } from './verbs/stateSeat';
export { renewSpare } from './verbs/renewSpare';
export { turnSeats } from './verbs/turnSeats';
export { unmountInserts } from './verbs/unmountInserts';
// What screens show
export { movementsView } from './views/movementsView';
export type { MovementsAsked, MovementsView } from './views/movementsView';
export { allStock, stockQuestion, stockView } from './views/stockView';
export type { StockAsked, StockLine, StockView } from './views/stockView';
export { takeableView, takeSources } from './views/takeableView';
export type { TakenFor, TakeSource, TakeableView } from './views/takeableView';
// Shared with other rooms
export { duesOfMarked, judgedMarked, rulesOf } from './markedHolders';
export type { MarkedHolder } from './markedHolders';
export { takeInsertsOut } from './inserts';
export { turnInserts } from './turnInserts';
export { BACK_FIRST, mustBeInCrib, placeInCrib } from './placeInCrib';
export {
  freshInserts,
  moveThing,
  parcelFields,
  parcelOf,
  seatNumbers,
  takeThing,
  thingFields,
} from './things';
