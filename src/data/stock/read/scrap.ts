import { type Connection, many, maybeOne } from '@/data/database';
import type { ScrapRow, ScrapSaleRow } from '../types';

/** What lies in the scrap and was not sold of items that have a substrate, the most pieces first. */
export const manyScrap = (c: Connection, limit: number) =>
  many<ScrapRow>(
    c,
    `select x.item_id, f.text as substrate, x.total, x.quantity
     from (select b.item_id, b.total, b.total - coalesce(s.total, 0) as quantity
           from (select item_id, sum(quantity)::int as total from place p join balance b on b.place_id = p.id and b.quantity > 0
             where p.kind = 'scrap' group by item_id) b
           left join lateral (select l.total from scrap_sale_line l join live_entry e on e.id = l.entry_id
             where l.item_id = b.item_id order by l.entry_id desc limit 1) s on true
           where b.total > coalesce(s.total, 0)
           -- In their order first: the substrate is asked of those that are shown, and not of all that lie there.
           order by 3 desc, 1 offset 0) x
     join fact_now f on f.item_id = x.item_id and f.symbol = 'SUBSTRATE'
     order by x.quantity desc, x.item_id limit $1`,
    [limit],
  );
/** How many pieces in the scrap have no substrate on record: nobody knows what they are sold as. */
export const countScrapUnknown = (c: Connection) =>
  maybeOne<{ n: number }>(
    c,
    `select coalesce(sum(b.quantity), 0)::int as n from place p join balance b on b.place_id = p.id and b.quantity > 0
     where p.kind = 'scrap' and not exists (select 1 from fact_now f where f.item_id = b.item_id and f.symbol = 'SUBSTRATE')`,
  );
/** What scrap was sold, the latest first. */
export const manyScrapSales = (c: Connection, limit: number) =>
  many<ScrapSaleRow>(
    c,
    `select s.entry_id, s.substrate, s.kg, s.per_kg_cents, s.buyer, e.happened_at, e.who,
       (select sum(l.quantity)::int from scrap_sale_line l where l.entry_id = s.entry_id) as pieces
     from scrap_sale s join live_entry e on e.id = s.entry_id order by s.entry_id desc limit $1`,
    [limit],
  );
