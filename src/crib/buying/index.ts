// Buying: verbs
export { addSupplier } from './addSupplier';
export { placeOrder, receiveOrder } from './placeOrder';
// What to buy
export { buyingView, orderView, proposals } from './buyingView';
export type { BuyingLine, BuyingView } from './buyingView';
