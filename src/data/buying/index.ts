// Rows
export type { PurchaseRow } from './types';
// Reading
export { manyClosedPurchases, manyOpenPurchases, manySupplierDelays, maybePurchase } from './read';
// Writing
export { insertPromise, insertPurchase, insertReceipt } from './write';
