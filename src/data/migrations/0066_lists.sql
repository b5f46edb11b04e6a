-- The last step of a list holds everybody up: it writes no more than it must.

-- The primary key begins with the entry: by it, the facts of an entry are found as well.
drop index fact_by_entry;

-- Of facts and of what is searched, only what differs is written anew: a new price changes neither, a new length one of ten facts.
create or replace function refresh_items(items int[]) returns void language plpgsql as $$
begin
  update item_now n set dc = s.dc, reach = s.reach, search = s.search
  from said_of_items(items) s
  where s.item_id = n.item_id and (n.dc, n.reach, n.search) is distinct from (s.dc, s.reach, s.search);
end $$;
create or replace function refresh_facts(items int[]) returns void language plpgsql as $$
begin
  with latest as materialized (
    select distinct on (f.item_id, f.symbol) f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
    from fact f join live_entry e on e.id = f.entry_id where f.item_id = any (items)
    order by f.item_id, f.symbol, e.happened_at desc, e.id desc),
  gone as (
    delete from fact_now n where n.item_id = any (items)
      and not exists (select from latest l where l.item_id = n.item_id and l.symbol = n.symbol))
  insert into fact_now as n (item_id, symbol, entry_id, text, unit, value, origin)
    select item_id, symbol, entry_id, text, unit, value, origin from latest
    on conflict (item_id, symbol) do update set
      entry_id = excluded.entry_id, text = excluded.text, unit = excluded.unit, value = excluded.value, origin = excluded.origin
      where (n.entry_id, n.text, n.unit, n.value, n.origin)
        is distinct from (excluded.entry_id, excluded.text, excluded.unit, excluded.value, excluded.origin);
  perform refresh_items(items);
end $$;

create or replace function follow_import() returns trigger language plpgsql
  -- Where rows are joined they are hashed: nothing here is joined for few rows alone.
  set enable_nestloop = off as $$
declare
  fresh int[] := array(select id from item where entry_id = new.entry_id);
  said int[];
begin
  -- Of a new item nothing else can be in force yet.
  insert into fact_now (item_id, symbol, entry_id, text, unit, value, origin)
    select f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
    from fact f where f.entry_id = new.entry_id and (new.changed = 0 or f.item_id = any (fresh));
  insert into item_now (item_id, sort_code, kind, family, dc, reach, search) select * from said_of_items(fresh);
  if new.changed > 0 then
    said := array(select distinct f.item_id from fact f where f.entry_id = new.entry_id and f.item_id <> all (fresh));
    perform refresh_facts(said);
    perform refresh_items(array(
      select s.item_id from supply s where s.entry_id = new.entry_id and s.item_id <> all (fresh) and s.item_id <> all (said)));
  end if;
  return null;
end $$;
