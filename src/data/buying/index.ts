// Rows
export type { PurchaseRow } from './types';
// Reading
export {
  manyClosedPurchases,
  manyOpenPurchases,
  manyPurchasesOf,
  manyReorderPoints,
  manySupplierDelays,
} from './read';
// Writing
export { insertPromise, insertPurchase, insertReceipt, insertReorderPoint } from './write';
