// Rows
export type { PurchaseRow } from './types';
// Reading
export { manyClosedPurchases, manyOpenPurchases, maybePurchase } from './read';
// Writing
export { insertPurchase, insertReceipt } from './write';
