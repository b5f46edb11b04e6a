import { type Connection, many, maybeOne } from '@/data/database';
import type { ScrapRow, ScrapSaleRow } from '../types';

/** What lies in the scrap and was not sold of items that have a substrate, the most pieces first. */
export const manyScrap = (c: Connection, limit: number) =>
  many<ScrapRow>(
    c,
    `select x.item_id, f.text as substrate, x.total, x.quantity
     from scrap_now x join fact_now f on f.item_id = x.item_id and f.symbol = 'SUBSTRATE'
     where x.known and x.quantity > 0 order by x.quantity desc, x.item_id limit $1`,
    [limit],
  );
/** How many pieces in the scrap have no substrate on record: nobody knows what they are sold as. */
export const countScrapUnknown = (c: Connection) =>
  maybeOne<{ n: number }>(c, 'select coalesce(sum(total), 0)::int as n from scrap_now where not known');
/** What scrap was sold, the latest first. */
export const manyScrapSales = (c: Connection, limit: number) =>
  many<ScrapSaleRow>(
    c,
    `select s.entry_id, s.substrate, s.kg, s.per_kg_cents, s.buyer, e.happened_at, e.who,
       (select sum(l.quantity)::int from scrap_sale_line l where l.entry_id = s.entry_id) as pieces
     from scrap_sale s join live_entry e on e.id = s.entry_id order by s.entry_id desc limit $1`,
    [limit],
  );
