import { type Connection, many, maybeOne } from '@/data/database';
import type { ClampingRow, HolderEventRow, HolderInRow, HolderRuleRow, MarkedRow } from './types';

/** The last of what was said of a marked one h, by when it happened. */
const lastOf = (table: string, columns: string) =>
  `left join lateral (select ${columns}, xe.happened_at, xe.id from ${table} x join live_entry xe on xe.id = x.entry_id
     where x.marked_id = h.id order by xe.happened_at desc, xe.id desc limit 1)`;
/**
 * The builds a marked one h was in, the last one first. What stands keeps its holder: it is written into no other build before
 * that is taken down, so that the last that was written is the one it is in, or was freed of.
 */
const LAST_IN = `select y.assembly_id from holder_in y join live_entry ye on ye.id = y.entry_id
    where y.marked_id = h.id order by y.entry_id desc`;
const MARKED = `select h.id, h.mark, h.item_id, i.code as item, i.kind, h.since::text, h.entry_id, e.happened_at as marked_at,
    l.happened_at as looked_at, l.found, l.runout_mm, l.words as look_words, s.happened_at as stud_at,
    d.happened_at as dropped_at, d.words as drop_words,
    d.id is not null and (l.id is null or (d.happened_at, d.id) > (l.happened_at, l.id)) as dropped_since,
    coalesce(c.clampings, 0) as clampings,
    b.tag, case when b.tag is null then w.place end as place, w.freed_entry_id
  from marked_holder h join live_entry e on e.id = h.entry_id join item i on i.id = h.item_id
  ${lastOf('holder_look', 'x.found, x.runout_mm, x.words')} l on true
  ${lastOf('holder_stud', 'x.torque')} s on true
  ${lastOf('holder_drop', 'x.words')} d on true
  left join holder_now c on c.marked_id = h.id
  left join lateral (${LAST_IN} limit 1) k on true
  left join assembly_now n on n.assembly_id = k.assembly_id left join assembly b on b.id = n.assembly_id
  left join lateral (select q.code as place, te.id as freed_entry_id from (${LAST_IN} limit 3) x
    join take_down t on t.assembly_id = x.assembly_id join live_entry te on te.id = t.entry_id
    join movement m on m.entry_id = t.entry_id and m.item_id = h.item_id join place q on q.id = m.to_place_id
    order by te.happened_at desc, te.id desc limit 1) w on true`;

/** A page of all that have a mark, after a number of theirs. */
export const manyMarked = (c: Connection, after: number, limit: number) =>
  many<MarkedRow>(c, `${MARKED} where h.id > $1 order by h.id limit $2`, [after, limit]);
export const maybeMarked = (c: Connection, mark: string) =>
  maybeOne<MarkedRow>(c, `${MARKED} where h.mark = $1`, [mark]);
export const manyMarkedById = (c: Connection, ids: readonly number[]) =>
  many<MarkedRow>(c, `${MARKED} where h.id = any ($1) order by h.id`, [ids]);
/** Those of some items, the latest two hundred. */
export const manyMarkedOf = (c: Connection, itemIds: readonly number[]) =>
  many<MarkedRow>(c, `${MARKED} where h.item_id = any ($1) order by h.id desc limit 200`, [itemIds]);
export const countMarked = (c: Connection) =>
  maybeOne<{ n: number }>(c, 'select count(*)::int as n from (select 1 from marked_holder limit 100000) x');

/** Which marked ones are in some builds, from the spindle down. */
export const manyHolderIn = (c: Connection, assemblyIds: readonly number[]) =>
  many<HolderInRow>(
    c,
    `select x.assembly_id, x.place_in_stack, x.marked_id, h.mark, x.entry_id
     from holder_in x join live_entry e on e.id = x.entry_id join marked_holder h on h.id = x.marked_id
     where x.assembly_id = any ($1) order by x.assembly_id, x.place_in_stack`,
    [assemblyIds],
  );

/** Clampings of a marked one, the latest first, each with its number among all and the runout that was measured last. */
export const manyClampings = (c: Connection, markedId: number, limit: number) =>
  many<ClampingRow>(
    c,
    `with latest as materialized (
       select assembly_id, entry_id, (select count(*) from clamping_now where marked_id = $1) + 1
         - row_number() over (order by happened_at desc, entry_id desc) as nth
       from clamping_now where marked_id = $1 order by happened_at desc, entry_id desc limit $2)
     select k.nth::int, a.tag, ci.code as cutter, e.happened_at, e.who, r.runout_mm
     from latest k join entry e on e.id = k.entry_id join assembly a on a.id = k.assembly_id join piece p on p.id = a.piece_id join item ci on ci.id = p.item_id
     left join lateral (select m.runout_mm from measurement m join live_entry me on me.id = m.entry_id
       where m.assembly_id = k.assembly_id and m.runout_mm is not null and not exists (
         select 1 from verdict v join live_entry ve on ve.id = v.entry_id where v.measurement_id = m.entry_id and not v.accepted)
       order by me.happened_at desc, me.id desc limit 1) r on true
     order by k.nth desc`,
    [markedId, limit],
  );

const NOTHING = `null::text as found, null::double precision as runout_mm, null::text as by, null::text as stud, null::double precision as torque`;
const said = (what: string, columns: string, table: string, join = '') =>
  `select x.entry_id, '${what}' as what, e.happened_at, e.who, ${columns}, x.words from ${table} x join live_entry e on e.id = x.entry_id ${join}
   where x.marked_id = $1`;
/** What was said of a marked one, the latest first. */
export const manyHolderEvents = (c: Connection, markedId: number, limit: number) =>
  many<HolderEventRow>(
    c,
    `${said('looked over', NOTHING.replace('null::text as found', 'x.found').replace('null::double precision as runout_mm', 'x.runout_mm'), 'holder_look')}
     union all ${said(
       'stud changed',
       NOTHING.replace('null::text as stud', 'si.code').replace(
         'null::double precision as torque',
         'x.torque',
       ),
       'holder_stud',
       'left join item si on si.id = x.stud_item_id',
     )}
     union all ${said('dropped', NOTHING.replace('null::text as by', 'x.dropped_by'), 'holder_drop')}
     order by 3 desc, 1 desc limit $2`,
    [markedId, limit],
  );

const RULE = `select r.item_id, r.look_months, r.look_clampings, r.stud_months, r.runout_mm, r.runout_entered, e.happened_at, e.who
  from holder_rule r join live_entry e on e.id = r.entry_id`;
/** The rules in force: of some items that have their own, and the shop's (item null). */
export const manyHolderRules = (c: Connection, itemIds: readonly number[]) =>
  many<HolderRuleRow>(
    c,
    `select l.* from unnest($1::int[]) k (id) cross join lateral (
       ${RULE} where r.item_id = k.id order by e.happened_at desc, e.id desc limit 1) l
     union all select s.* from (${RULE} where r.item_id is null order by e.happened_at desc, e.id desc limit 1) s`,
    [itemIds],
  );
