// What to buy, how many, by which day, because of what
export { proposeOrder } from './proposeOrder';
export type { BookedUse, BuyingTerms, CutterSupply, OrderProposal } from './proposeOrder';
