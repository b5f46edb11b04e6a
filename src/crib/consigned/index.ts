// What people do
export { settleTakings } from './verbs/settleTakings';
// What screens show
export { consignedView } from './views/consignedView';
export type { ConsignedView, Taken } from './views/consignedView';
