import type { Because } from '@/core/because';

export interface PurchaseRow {
  entryId: number;
  number: string;
  itemId: number;
  item: string;
  supplier: string;
  quantity: number;
  received: number;
  promised: string;
  priceCents: number | null;
  because: Because;
  happenedAt: Date;
  who: string;
}
