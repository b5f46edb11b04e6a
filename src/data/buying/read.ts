import { type Connection, many } from '@/data/database';
import type { PurchaseRow } from './types';

const PURCHASE = `select p.id, p.entry_id, p.number, p.line, p.item_id, i.code as item, s.code as supplier, p.quantity,
    coalesce(r.promised, p.promised) as promised, p.promised as promised_first, p.price_cents, p.because, e.happened_at, e.who,
    n.received
  from purchase_now n join purchase p on p.id = n.purchase_id join entry e on e.id = p.entry_id
  join item i on i.id = p.item_id join supplier s on s.id = p.supplier_id
  left join lateral (select x.promised from promise x join live_entry xe on xe.id = x.entry_id
    where x.purchase_id = n.purchase_id order by xe.happened_at desc, xe.id desc limit 1) r on true`;
/** Lines of orders of which something is still to come, the newest order first. */
export const manyOpenPurchases = (c: Connection) =>
  many<PurchaseRow>(c, `${PURCHASE} where n.open order by n.happened_at desc, p.entry_id desc, p.line`);
/** Orders that came whole, newest first; after one of them, or from the newest. */
export const manyClosedPurchases = (c: Connection, after: number | null, limit: number) =>
  many<PurchaseRow>(
    c,
    `${PURCHASE} where not n.open${after === null ? '' : ' and (n.happened_at, n.purchase_id) < (select x.happened_at, x.purchase_id from purchase_now x where x.purchase_id = $2)'}
     order by n.happened_at desc, n.purchase_id desc limit $1`,
    after === null ? [limit] : [limit, after],
  );
/** The lines of one order, by its number. */
export const manyPurchasesOf = (c: Connection, number: string) =>
  many<PurchaseRow>(c, `${PURCHASE} where p.number = $1 order by p.line`, [number]);

/** By how many days the latest orders of each supplier came whole after the day first promised, on average: early ones count 0. */
export const manySupplierDelays = (c: Connection, latest: number) =>
  many<{ supplier: string; days: number; orders: number }>(
    c,
    `select s.code as supplier, avg(x.late)::float8 as days, count(*)::int as orders
     from supplier s cross join lateral (
       select greatest(0, (l.came - p.promised))::int as late
       from purchase p join purchase_now n on n.purchase_id = p.id
       cross join lateral (select max(re.happened_at)::date as came from receipt r join live_entry re on re.id = r.entry_id
         where r.purchase_id = p.id) l
       where p.supplier_id = s.id and not n.open and l.came is not null order by p.id desc limit $1) x
     group by s.code`,
    [latest],
  );

/** What is kept on the shelf without any job: the latest word of each item. */
export const manyReorderPoints = (c: Connection) =>
  many<{ itemId: number; minimum: number; upTo: number }>(
    c,
    `select item_id, minimum, up_to from (select distinct on (r.item_id) r.item_id, r.minimum, r.up_to from reorder_point r
       join live_entry e on e.id = r.entry_id order by r.item_id, e.happened_at desc, e.id desc) x where minimum is not null`,
  );
