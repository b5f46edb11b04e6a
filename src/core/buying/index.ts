// What to buy, how many, by which day, because of what
export { proposeOrder } from './proposeOrder';
export type { Balance, BookedUse, BuyingTerms, CutterSupply, OrderProposal } from './proposeOrder';
// What is kept on the shelf without a job
export { proposeReorder } from './proposeReorder';
export type { ReorderPoint } from './proposeReorder';
// From when an open order counts
export { expectedDay } from './expectedDay';
export type { ExpectedDay, OpenOrder } from './expectedDay';
// What an order comes to before it is placed
export { orderTotal } from './orderTotal';
export type { AskedLine } from './orderTotal';
// How likely a stock lasts
export { chanceOfLasting, chanceWords, enoughFor, isEnough, needOf } from './lasting';
// When the shop works
export {
  latestStart,
  openDayFrom,
  openDayUntil,
  openMinutes,
  USUAL_BEGINNING,
  USUAL_CALENDAR,
} from './calendar';
export type { ShopCalendar } from './calendar';
