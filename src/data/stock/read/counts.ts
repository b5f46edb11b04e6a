import { type Connection, many, maybeOne } from '@/data/database';
import type { CountLineRow, LoanRow, MovementQuestion, MovementRow, SheetRow } from '../types';

const SHEET = `select s.id, s.number, s.place_id, p.code as place, s.entry_id, e.who, e.happened_at,
    b.entry_id as booked_entry_id, b.who as booked_by, b.happened_at as booked_at, b.explained
  from count_sheet s join live_entry e on e.id = s.entry_id join place p on p.id = s.place_id
  left join lateral (select x.entry_id, x.explained, xe.who, xe.happened_at from count_booking x join live_entry xe on xe.id = x.entry_id
                     where x.sheet_id = s.id) b on true`;
/** Count sheets, the latest first. */
export const manySheets = (c: Connection, limit = 50) =>
  many<SheetRow>(c, `${SHEET} order by s.id desc limit $1`, [limit]);
export const maybeSheet = (c: Connection, number: string) =>
  maybeOne<SheetRow>(c, `${SHEET} where s.number = $1`, [number]);
/** The latest line of each item and lot at each place of a sheet. */
export const manyCountLines = (c: Connection, sheetId: number) =>
  many<CountLineRow>(
    c,
    `select distinct on (p.code, i.code, l.lot_id) l.entry_id, l.place_id, p.code as place, l.item_id, i.code as item, l.lot_id,
       lo.code as lot, l.counted, l.expected, e.who, e.happened_at
     from count_line l join live_entry e on e.id = l.entry_id join place p on p.id = l.place_id join item i on i.id = l.item_id
     left join lot lo on lo.id = l.lot_id where l.sheet_id = $1 order by p.code, i.code, l.lot_id, e.id desc`,
    [sheetId],
  );
/** Movements, newest first. */
export function manyMovements(c: Connection, q: MovementQuestion): Promise<MovementRow[]> {
  const params: (string | number)[] = [];
  const p = (value: string | number) => `$${params.push(value)}`;
  const where = ['true'];
  if (q.itemId !== undefined) where.push(`m.item_id = ${p(q.itemId)}`);
  if (q.pieceId !== undefined) where.push(`m.piece_id = ${p(q.pieceId)}`);
  if (q.before !== undefined) where.push(`m.id < ${p(q.before)}`);
  const limit = p(q.limit);
  if (q.standing)
    where.push(
      `not exists (select 1 from entry z where z.counters = m.entry_id or (z.id = m.entry_id and z.counters is not null))`,
    );
  // A place's are found through both of its ends, each by its own index.
  let source: string;
  if (q.who !== undefined) {
    where.push(`m.who = ${p(q.who)}`);
    source = `select m.* from movement m where ${where.join(' and ')} order by m.id desc limit ${limit}`;
  } else if (q.placeId !== undefined) {
    const place = p(q.placeId);
    const end = (column: string) =>
      `(select m.* from movement m where m.${column} = ${place} and ${where.join(' and ')} order by m.id desc limit ${limit})`;
    source = `select * from (${end('from_place_id')} union ${end('to_place_id')}) u order by id desc limit ${limit}`;
  } else source = `select m.* from movement m where ${where.join(' and ')} order by m.id desc limit ${limit}`;
  return many<MovementRow>(
    c,
    `select m.id, m.entry_id, e.kind, e.who, e.happened_at, e.note, e.counters, x.id as countered_by, i.code as item, pc.mark as piece,
       l.code as lot, f.code as from_place, f.kind as from_kind, t.code as to_place, t.kind as to_kind, m.quantity
     from (${source}) m join entry e on e.id = m.entry_id left join entry x on x.counters = e.id join item i on i.id = m.item_id
     left join piece pc on pc.id = m.piece_id left join lot l on l.id = m.lot_id
     left join place f on f.id = m.from_place_id left join place t on t.id = m.to_place_id order by m.id desc`,
    params,
  );
}

/** What came in from outside of an item and stands, by when it happened. */
export const manyReceipts = (c: Connection, itemId: number) =>
  many<{ at: Date; quantity: number }>(
    c,
    `select e.happened_at as at, sum(m.quantity)::int as quantity from movement m join live_entry e on e.id = m.entry_id
     where m.item_id = $1 and m.from_place_id is null and e.kind in ('receiveStock', 'receiveOrder')
     group by e.id, e.happened_at order by e.happened_at`,
    [itemId],
  );
/** Of one person's unmarked loans of one item, the latest so many are looked at: older ones came back long ago. */
const LOANS_EACH = 100;
/** What people have, each loan that may still be out; the oldest first. */
export const manyLoans = (c: Connection) =>
  many<LoanRow>(
    c,
    `select l.entry_id, i.code as item, l.piece, l.person, l.quantity, l.due, e.happened_at, l.has
     from (
       select x.entry_id, x.item_id, pc.mark as piece, h.person, x.quantity, x.due, 1 as has
       from place h join piece_place pp on pp.place_id = h.id join piece pc on pc.id = pp.piece_id
       cross join lateral (select y.* from loan y join live_entry ye on ye.id = y.entry_id
                           where y.piece_id = pp.piece_id and y.hand_place_id = h.id order by y.entry_id desc limit 1) x
       where h.kind = 'hand'
       union all
       select x.entry_id, x.item_id, null, h.person, x.quantity, x.due, b.quantity - b.marked
       from place h join balance b on b.place_id = h.id and b.quantity > b.marked
       cross join lateral (select y.* from loan y join live_entry ye on ye.id = y.entry_id
                           where y.hand_place_id = h.id and y.item_id = b.item_id and y.lot_id is not distinct from b.lot_id and y.piece_id is null
                           order by y.entry_id desc limit ${LOANS_EACH}) x
       where h.kind = 'hand' and b.quantity > 0
     ) l join entry e on e.id = l.entry_id join item i on i.id = l.item_id order by l.entry_id`,
  );
