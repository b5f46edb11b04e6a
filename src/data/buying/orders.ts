import type { Because } from '@/core/because';
import { many, maybeOne, type Connection } from '../database';

export interface PurchaseRow {
  entry_id: number;
  number: string;
  item_id: number;
  item: string;
  supplier: string;
  quantity: number;
  received: number;
  promised: string;
  price_cents: number | null;
  because: Because;
  happened_at: Date;
  who: string;
}
const PURCHASE = `select p.entry_id, p.number, p.item_id, i.code as item, s.code as supplier, p.quantity, p.promised, p.price_cents, p.because, e.happened_at, e.who,
    coalesce((select sum(r.quantity)::int from receipt r join live_entry re on re.id = r.entry_id where r.purchase_id = p.entry_id), 0) as received
  from purchase p join live_entry e on e.id = p.entry_id join item i on i.id = p.item_id join supplier s on s.id = p.supplier_id`;
/** All orders, open ones first, then newest first. */
export const manyPurchases = (c: Connection) =>
  many<PurchaseRow>(
    c,
    `select * from (${PURCHASE}) x order by (received < quantity) desc, happened_at desc, entry_id desc`,
  );
export const maybePurchase = (c: Connection, number: string) =>
  maybeOne<PurchaseRow>(c, `${PURCHASE} where p.number = $1`, [number]);
