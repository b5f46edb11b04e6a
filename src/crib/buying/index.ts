// What people do
export { placeOrder } from './verbs/placeOrder';
export { receiveOrder } from './verbs/receiveOrder';
export { restatePromise } from './verbs/restatePromise';
export { stateReorder } from './verbs/stateReorder';
// What screens show
export { buyingView, orderView, proposals } from './views/buyingView';
export type { BuyingLine, BuyingView } from './views/buyingView';
// What can be reckoned
export { BUYING_COMPUTATIONS } from './computations';
