import { inserts } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertPurchase = inserts<{
  number: string;
  line: number;
  itemId: number;
  supplierId: number;
  quantity: number;
  promised: string;
  priceCents?: number | null;
  because: string;
}>('purchase');

export const insertReceipt = inserts<{
  purchaseId: number;
  quantity: number;
}>('receipt');

export const insertPromise = inserts<{ purchaseId: number; promised: string }>('promise');

export const insertReorderPoint = inserts<{ itemId: number; minimum: number | null; upTo: number | null }>(
  'reorder_point',
);
