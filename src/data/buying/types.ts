import type { Because } from '@/core/because';

export interface PurchaseRow {
  id: number;
  entryId: number;
  number: string;
  /** Which line of its order, from 1. */
  line: number;
  itemId: number;
  item: string;
  supplier: string;
  quantity: number;
  received: number;
  /** By the latest word. */
  promised: string;
  /** As it was promised when it was ordered. */
  promisedFirst: string;
  priceCents: number | null;
  because: Because;
  happenedAt: Date;
  who: string;
}
