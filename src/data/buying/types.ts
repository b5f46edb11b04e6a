import type { Because } from '@/core/because';

export interface PurchaseRow {
  entryId: number;
  number: string;
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
