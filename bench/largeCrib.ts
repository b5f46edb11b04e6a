import { enterKindWords } from '../src/data/catalogue';
import { type Database, migrate, openInMemory } from '../src/data/database';

export interface Size {
  items: number;
  pieces: number;
  movements: number;
  /** SQL that says which item piece number g is of; else they go round all items. */
  pieceItem?: string;
}
const PLACES = 200;
const SLICE = 100_000;

/** Number of the place where an item was received, and of the one beside it. */
const HOME = `(select id from place where code = 'P' || (1 + i.id % ${PLACES}))`;
const AWAY = `(select id from place where code = 'P' || (1 + (i.id + 1) % ${PLACES}))`;

/**
 * A crib of any size: items with their facts, stock received, pieces with marks, stock moved to and fro. Deterministic:
 * every figure follows from its row's number. Movements are loaded as a restored backup would be, the balances summed
 * from them at the end: through the triggers a million of them take ten minutes, and reading is what is measured here.
 */
export async function largeCrib(size: Size): Promise<Database> {
  const db = await openInMemory();
  await migrate(db);
  await enterKindWords(db);
  await db.script(`
    insert into person (initials, name) values ('IK', 'Ida Kern'), ('TO', 'Tor Olander');
    insert into entry (kind, happened_at, recorded_at, who, form_id)
      select 'addItem', t, t, case when g % 3 = 0 then 'TO' else 'IK' end, gen_random_uuid()
      from generate_series(1, 1000) g cross join lateral (select timestamptz '2026-01-01' + g * interval '20 seconds' as t) x;
    insert into place (code, name, kind, entry_id) select 'P' || g, 'Drawer ' || g, 'drawer', g from generate_series(1, ${PLACES}) g;
    insert into item (code, kind, maker, family, entry_id)
      select case g % 5 when 0 then 'D' when 4 then 'H' else 'EM' end || g, case when g % 5 = 4 then 'holder' else 'cutter' end,
        case g % 3 when 0 then 'Skarv' when 1 then 'Halden' else 'Nordkant' end,
        case g % 5 when 0 then 'drill' when 1 then 'square' when 2 then 'corner-radius' when 3 then 'ball' end, 1 + g % 1000
      from generate_series(1, ${size.items}) g;
    insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
      select i.entry_id, i.id, s, v::text, case s when 'NOF' then '' else 'mm' end, v, 'maker'
      from item i cross join lateral (values
        ('DC', round((1 + (i.id * 7919 % 3900) / 100.0)::numeric, 2)), ('LCF', round((3 + (i.id * 104729::bigint % 900) / 10.0)::numeric, 1)),
        ('OAL', round((100 + (i.id * 31 % 900) / 10.0)::numeric, 1)), ('DMM', (4 + 2 * (i.id % 9))::numeric), ('NOF', (2 + i.id % 4)::numeric)) f(s, v)
      where i.kind = 'cutter';
    insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
      select i.entry_id, i.id, s, v::text, 'mm', v, 'maker'
      from item i cross join lateral (values ('LF', 60 + i.id % 60), ('CLAMP_MIN', 4), ('CLAMP_MAX', 16)) f(s, v) where i.kind = 'holder';
    insert into piece (mark, item_id, entry_id)
      select 'E-' || lpad(g::text, greatest(4, length(g::text)), '0'), ${size.pieceItem ?? `1 + g % ${size.items}`}, 1 + g % 1000 from generate_series(1, ${size.pieces}) g;
    create temp table home as select i.id, ${HOME} as home, ${AWAY} as away from item i;
    create index on home (id);
    analyze;
    set session_replication_role = replica;
    insert into edge_set (piece_id, fresh, entry_id) select id, true, entry_id from piece order by id;
    insert into movement (entry_id, who, item_id, to_place_id, quantity) select i.entry_id, 'IK', i.id, h.home, 2000 from item i join home h using (id) order by i.id;
    insert into movement (entry_id, who, item_id, piece_id, from_place_id, to_place_id, quantity)
      select p.entry_id, case when p.entry_id % 3 = 0 then 'TO' else 'IK' end, p.item_id, p.id, h.home, h.away, 1 from piece p join home h on h.id = p.item_id order by p.id;
  `);
  const loose = size.movements - size.items - size.pieces;
  for (let at = 0; at < loose; at += SLICE)
    await db.script(
      `insert into movement (entry_id, who, item_id, from_place_id, to_place_id, quantity)
       select 1 + g % 1000, case when (1 + g % 1000) % 3 = 0 then 'TO' else 'IK' end, h.id, case g % 2 when 0 then h.home else h.away end, case g % 2 when 0 then h.away else h.home end, 1
       from generate_series(${at}, ${Math.min(at + SLICE, loose) - 1}) g join home h on h.id = 1 + (g / 2) % ${size.items} order by g`,
    );
  await db.script(`
    insert into piece_place (piece_id, place_id, item_id) select p.id, h.away, p.item_id from piece p join home h on h.id = p.item_id;
  `);
  await settle(db);
  return db;
}

/** Sums balances from the movements, and all that follows from them: rows were loaded past the triggers. */
export async function settle(db: Database): Promise<void> {
  await db.script(`
    set session_replication_role = replica;
    delete from balance;
    insert into balance (item_id, place_id, quantity, marked)
      select x.item_id, x.place_id, sum(x.n)::int, coalesce(max(k.n), 0)::int from (
        select item_id, to_place_id as place_id, quantity as n from movement where to_place_id is not null
        union all select item_id, from_place_id, -quantity from movement where from_place_id is not null) x
      left join (select item_id, place_id, count(*) as n from piece_place group by 1, 2) k using (item_id, place_id) group by 1, 2;
    update item_said n set unused = coalesce((select sum(b.quantity - b.marked) from balance b join place p on p.id = b.place_id
                                             where b.item_id = n.item_id and in_crib(p.kind)), 0);
    analyze;
    call rebuild_in_force();
    set session_replication_role = default;
  `);
  await db.script('vacuum analyze');
}
