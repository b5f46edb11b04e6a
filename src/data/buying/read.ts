import { type Connection, many, maybeOne } from '@/data/database';
import type { PurchaseRow } from './types';

const PURCHASE = `select p.entry_id, p.number, p.item_id, i.code as item, s.code as supplier, p.quantity, p.promised, p.price_cents, p.because, e.happened_at, e.who,
    n.received
  from purchase_now n join purchase p on p.entry_id = n.purchase_id join entry e on e.id = p.entry_id
  join item i on i.id = p.item_id join supplier s on s.id = p.supplier_id`;
/** Orders of which something is still to come, newest first. */
export const manyOpenPurchases = (c: Connection) =>
  many<PurchaseRow>(c, `${PURCHASE} where n.open order by n.happened_at desc, n.purchase_id desc`);
/** Orders that came whole, newest first. */
export const manyClosedPurchases = (c: Connection, limit: number) =>
  many<PurchaseRow>(
    c,
    `${PURCHASE} where not n.open order by n.happened_at desc, n.purchase_id desc limit $1`,
    [limit],
  );
export const maybePurchase = (c: Connection, number: string) =>
  maybeOne<PurchaseRow>(c, `${PURCHASE} where p.number = $1`, [number]);
