-- All rows of a list are written before its entry, part by part: nothing is in force by an entry that is not there yet, so
-- that whoever reads is let in between the parts and sees the catalogue as it was. The entry itself comes last.

-- A row of a list knows its item from the start: one that is here, or the number that one to come will have.
truncate staged_item, staged_fact, staged_segment, staged_supply, staged_life, staged_standing, staged_link;
alter table staged_item add item_id int not null;
alter table staged_fact drop code, add item_id int not null, add fresh boolean not null;
alter table staged_segment drop code, add item_id int not null;
alter table staged_supply drop code, add item_id int not null;
alter table staged_life drop code, add item_id int not null;
alter table staged_standing drop code, add item_id int not null;
alter table staged_link drop code, add item_id int not null;
drop index staged_fact_of, staged_segment_of, staged_supply_of, staged_life_of, staged_standing_of, staged_link_of;
create index staged_item_by_item on staged_item (batch, item_id);
create index staged_fact_by_item on staged_fact (batch, item_id);
create index staged_segment_by_item on staged_segment (batch, item_id);
create index staged_supply_by_item on staged_supply (batch, item_id);
create index staged_life_by_item on staged_life (batch, item_id);
create index staged_standing_by_item on staged_standing (batch, item_id);
create index staged_link_by_item on staged_link (batch, item_id);

-- What is said of an item is written as soon as it is laid down, and not shown: to show it changes no index, so that of a
-- whole list it is done at once (its row is written anew on its own page, which is half empty for that).
alter table item_now rename to item_said;
alter table item_said add column shown boolean not null default true;
alter table item_said set (fillfactor = 50);
alter trigger item_now_derived on item_said rename to item_said_derived;
alter trigger item_now_derived_whole on item_said rename to item_said_derived_whole;
create view item_now as select item_id, sort_code, kind, family, dc, reach, search, unused from item_said where shown;

-- Words wait in a list of the index until there are so many, kB, and are then put in their places all at once, for which
-- everybody waits: sooner, and so for less long. A search reads that list from end to end, too.
alter index item_now_by_words set (gin_pending_list_limit = 256);

-- The rows of a list ask no foreign key each (they were joined to what they refer to), but whether a code is taken is asked.
alter table item enable always trigger item_code_is_new;
alter table supplier enable always trigger supplier_code_is_new;

-- What is said of an item is said of one to come as well, of which nothing is there but what was laid down.
create index staged_item_of_item on staged_item (item_id);
create index staged_fact_of_item on staged_fact (item_id);
create index staged_supply_of_item on staged_supply (item_id);
create view item_known as
  select id, code, kind, family, maker from item
  union all
  select s.item_id, s.code, s.kind, s.family, s.maker from staged_item s
  where s.fresh and not exists (select from item i where i.id = s.item_id);
create view fact_said as
  select item_id, symbol, text, unit, value from fact_now
  union all
  select s.item_id, s.symbol, s.text, s.unit, s.value from staged_fact s
  where s.fresh and not exists (select from item i where i.id = s.item_id);
create view supply_said as
  select s.item_id, s.order_code from supply s join live_entry e on e.id = s.entry_id
  union all
  select s.item_id, s.order_code from staged_supply s where not exists (select from item i where i.id = s.item_id);
create or replace function said_of_items(items int[])
  returns table (item_id int, sort_code text, kind text, family text, dc double precision, reach double precision, search text)
  language sql stable as $$
  with facts as (
    select f.item_id,
      max(f.value) filter (where f.symbol = 'DC') as dc,
      case when bool_or(f.symbol = 'LCF') then max(f.value) filter (where f.symbol in ('LCF', 'LU', 'CW')) end as reach,
      string_agg(case f.symbol when 'DC' then f.text || ' ' || f.unit when 'RE' then 'R' || f.text
                   when 'NOF' then f.text || ' flutes' else f.text end, ' ' order by f.symbol)
        filter (where f.unit = 'words' or f.symbol in ('DC', 'RE', 'NOF')) as words
    from fact_said f where f.item_id = any (items) group by f.item_id),
  supplies as (
    select s.item_id, string_agg(distinct s.order_code, ' ') as codes
    from supply_said s where s.item_id = any (items) group by s.item_id)
  select i.id, natural_key(i.code), i.kind, i.family, f.dc, f.reach,
    lower(concat_ws(' ', i.code, i.maker,
      (select k.words from kind_word k where k.name = i.kind and i.kind <> 'cutter'),
      (select k.words from kind_word k where k.name = i.family), f.words, s.codes))
  from item_known i left join facts f on f.item_id = i.id left join supplies s on s.item_id = i.id
  where i.id = any (items)
$$;

-- Said as soon as it is laid down, and taken away with it where it did not come in.
create function say_staged(items int[]) returns void language sql set session_replication_role = replica as $$
  insert into item_said (item_id, sort_code, kind, family, dc, reach, search, shown)
    select item_id, sort_code, kind, family, dc, reach, search, false from said_of_items(items);
$$;
create function unsay_staged(items int[]) returns void language sql set session_replication_role = replica as $$
  delete from item_said where item_id = any (items) and not shown;
$$;

-- What is new has followed part by part; of what was here before, what changed follows with the entry.
create or replace function follow_import() returns trigger language plpgsql
  -- Where rows are joined they are hashed: nothing here is joined for few rows alone.
  set enable_nestloop = off as $$
declare
  fresh int[];
  said int[];
begin
  if new.changed > 0 then
    fresh := array(select id from item where entry_id = new.entry_id);
    said := array(select distinct f.item_id from fact f where f.entry_id = new.entry_id and f.item_id <> all (fresh));
    perform refresh_facts(said);
    perform refresh_items(array(
      select s.item_id from supply s where s.entry_id = new.entry_id and s.item_id <> all (fresh) and s.item_id <> all (said)));
  end if;
  return null;
end $$;
