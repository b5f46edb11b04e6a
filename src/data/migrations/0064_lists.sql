-- What follows from a list that came in is reckoned in time linear in its rows, whatever the planner knows of the tables. It
-- took the entry of a list for one of few rows, as most entries are, and held each of its rows against all others: 20,000 rows
-- into a shop that had begun took more than ten minutes, in which nobody was answered.

-- Which rows are of new items is asked of the items' numbers themselves, which needs no join.
create or replace function follow_import() returns trigger language plpgsql
  -- And where rows are joined they are hashed: nothing here is joined for few rows alone.
  set enable_nestloop = off as $$
declare
  fresh int[] := array(select id from item where entry_id = new.entry_id);
begin
  -- Of a new item nothing else can be in force yet.
  insert into fact_now (item_id, symbol, entry_id, text, unit, value, origin)
    select f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
    from fact f where f.entry_id = new.entry_id and f.item_id = any (fresh);
  insert into item_now (item_id, sort_code, kind, family, dc, reach, search) select * from said_of_items(fresh);
  perform refresh_facts(array(
    select f.item_id from fact f where f.entry_id = new.entry_id and f.item_id <> all (fresh)
    union select s.item_id from supply s where s.entry_id = new.entry_id and s.item_id <> all (fresh)));
  return null;
end $$;
