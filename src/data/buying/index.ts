// Rows
export type { PurchaseRow } from './types';
// Reading
export {
  manyClosedPurchases,
  manyOpenPurchases,
  manyReorderPoints,
  manySupplierDelays,
  maybePurchase,
} from './read';
// Writing
export { insertPromise, insertPurchase, insertReceipt, insertReorderPoint } from './write';
