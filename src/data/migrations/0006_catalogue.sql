-- The whole catalogue: more kinds of item, facts in words, versions and trials, and the facts in force kept ready,
-- so that one page of 20,000 items costs what one page of 2,000 does.

create extension if not exists pg_trgm;

alter table item drop constraint item_kind_check;
alter table item add constraint item_kind_check
  check (kind in ('cutter', 'body', 'insert', 'holder', 'collet', 'extension', 'pull-stud', 'spare'));
alter table item drop constraint item_check;
alter table item add constraint item_family_of_cutters check ((kind in ('cutter', 'body')) = (family is not null));

-- A fact in words (a thread, a coating, yes or no) has no number.
alter table fact alter column value drop not null;
alter table fact drop constraint fact_unit_check;
alter table fact add constraint fact_unit_check check (unit in ('mm', 'inch', 'deg', '', 'words'));
alter table fact add constraint fact_number_unless_words check ((unit = 'words') = (value is null));
alter table fact add constraint fact_text_length check (length(text) between 1 and 120);

-- What was a column of the item becomes a fact with an origin like any other.
insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
  select entry_id, id, 'SUBSTRATE', substrate, 'words', null::double precision, 'maker' from item where substrate is not null
  union all select entry_id, id, 'CCC', case when centre_cutting then 'yes' else 'no' end, 'words', null, 'maker' from item where centre_cutting is not null
  union all select entry_id, id, 'CCMS', taper, 'words', null, 'maker' from item where taper is not null;
alter table item drop column substrate;
alter table item drop column centre_cutting;
alter table item drop column taper;

-- A newer version of an item, or an approved substitute: each is an item, since a life belongs to the version.
create table item_link (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  earlier_item_id int not null references item (id),
  relation text not null check (relation in ('version', 'substitute')),
  reason text not null check (length(trim(reason)) between 1 and 200),
  check (item_id <> earlier_item_id)
);
create index item_link_by_item on item_link (item_id);
create index item_link_by_earlier on item_link (earlier_item_id);
-- On trial, approved, no longer made, not to be used here: the latest counts.
create table item_standing (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  standing text not null check (standing in ('approved', 'trial', 'discontinued', 'rejected')),
  reason text not null check (length(trim(reason)) between 1 and 200)
);
create index item_standing_by_item on item_standing (item_id);
create index supply_by_item on supply (item_id);
create index assumed_life_by_item on assumed_life (item_id);
create index piece_by_item on piece (item_id);

-- Words of the trade by which kinds and families are found; the core's own list, which a test compares.
create table kind_word (name text primary key, words text not null);
insert into kind_word values
  ('cutter', 'cutter'), ('body', 'cutter body'), ('insert', 'insert'), ('holder', 'holder'), ('collet', 'collet'),
  ('extension', 'extension'), ('pull-stud', 'pull stud'), ('spare', 'spare'),
  ('square', 'square end mill'), ('corner-radius', 'corner-radius end mill'), ('ball', 'ball end mill'),
  ('tapered', 'tapered end mill'), ('roughing', 'roughing end mill'), ('high-feed', 'high-feed mill'),
  ('face', 'face mill'), ('t-slot', 'slot or T-slot cutter'), ('dovetail', 'dovetail cutter'),
  ('chamfer', 'chamfer mill'), ('countersink', 'countersink'), ('thread-mill', 'thread mill'), ('drill', 'drill'),
  ('spot-drill', 'spot drill'), ('reamer', 'reamer'), ('tap', 'tap'), ('router', 'router bit');
call make_ledger('item_link', 'item_standing', 'kind_word');

-- Derived: the fact in force for each item and symbol, and one line an item to search and sort by.
create table fact_now (
  item_id int not null references item (id),
  symbol text not null,
  entry_id int not null,
  text text not null,
  unit text not null,
  value double precision,
  origin text not null,
  primary key (item_id, symbol)
);
create index fact_now_by_value on fact_now (symbol, value, item_id);
create table item_now (
  item_id int primary key references item (id),
  -- Codes with their numbers padded, so that EM8 comes before EM10.
  sort_code text not null,
  kind text not null,
  family text,
  dc double precision,
  -- Unmarked pieces on shelves, drawers and carts, whoever owns them.
  unused int not null default 0,
  search text not null
);
create unique index item_now_by_code on item_now (sort_code, item_id);
create index item_now_by_dc on item_now ((coalesce(dc, 1e9)), sort_code, item_id);
create index item_now_by_unused on item_now (unused, sort_code, item_id);
create index item_now_by_kind on item_now (kind, sort_code, item_id);
create index item_now_by_words on item_now using gin (search gin_trgm_ops);

create function natural_key(code text) returns text language sql immutable as $$
  select coalesce(string_agg(case when m[1] ~ '^[0-9]+$' and length(m[1]) < 12 then lpad(m[1], 12, '0') else upper(m[1]) end, '' order by n), '')
  from regexp_matches(code, '[0-9]+|[^0-9]+', 'g') with ordinality as t(m, n)
$$;

create function refresh_items(items int[]) returns void language plpgsql as $$
begin
  update item_now n set
    dc = (select f.value from fact_now f where f.item_id = n.item_id and f.symbol = 'DC'),
    search = lower(concat_ws(' ', i.code, i.maker,
      (select k.words from kind_word k where k.name = i.kind and i.kind <> 'cutter'),
      (select k.words from kind_word k where k.name = i.family),
      (select string_agg(case f.symbol when 'DC' then f.text || ' ' || f.unit when 'RE' then 'R' || f.text
                         when 'NOF' then f.text || ' flutes' else f.text end, ' ' order by f.symbol)
       from fact_now f where f.item_id = n.item_id and (f.unit = 'words' or f.symbol in ('DC', 'RE', 'NOF'))),
      (select string_agg(distinct s.order_code, ' ') from supply s join live_entry e on e.id = s.entry_id where s.item_id = n.item_id)))
  from item i where i.id = n.item_id and n.item_id = any (items);
end $$;

create function refresh_facts(items int[]) returns void language plpgsql as $$
begin
  delete from fact_now where item_id = any (items);
  insert into fact_now (item_id, symbol, entry_id, text, unit, value, origin)
    select distinct on (f.item_id, f.symbol) f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
    from fact f join live_entry e on e.id = f.entry_id where f.item_id = any (items)
    order by f.item_id, f.symbol, e.happened_at desc, e.id desc;
  perform refresh_items(items);
end $$;

create function follow_items() returns trigger language plpgsql as $$
begin
  insert into item_now (item_id, sort_code, kind, family, search)
    select a.id, natural_key(a.code), a.kind, a.family, '' from added a;
  perform refresh_items(array(select id from added));
  return null;
end $$;
create trigger item_followed after insert on item referencing new table as added for each statement execute function follow_items();

create function follow_facts() returns trigger language plpgsql as $$
begin
  perform refresh_facts(array(select distinct item_id from added));
  return null;
end $$;
create trigger fact_followed after insert on fact referencing new table as added for each statement execute function follow_facts();
create function follow_supply() returns trigger language plpgsql as $$
begin
  perform refresh_items(array(select distinct item_id from added));
  return null;
end $$;
create trigger supply_followed after insert on supply referencing new table as added for each statement execute function follow_supply();

-- A counter-entry takes items, facts and suppliers' numbers of the countered entry out of force.
create function counter_catalogue() returns trigger language plpgsql as $$
begin
  delete from fact_now where item_id in (select id from item where entry_id = new.counters);
  delete from item_now where item_id in (select id from item where entry_id = new.counters);
  perform refresh_facts(array(select item_id from fact where entry_id = new.counters
                              union select item_id from supply where entry_id = new.counters));
  return null;
end $$;
create trigger entry_catalogue_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_catalogue();

-- What is there already.
insert into item_now (item_id, sort_code, kind, family, search)
  select i.id, natural_key(i.code), i.kind, i.family, '' from item i join live_entry e on e.id = i.entry_id;
create index fact_by_entry on fact (entry_id);
create index item_by_entry on item (entry_id);
select refresh_facts(array(select item_id from item_now));
update item_now n set unused = coalesce((
  select sum(b.quantity)::int - (select count(*)::int from piece_place pp join piece x on x.id = pp.piece_id join place q on q.id = pp.place_id
                                 where x.item_id = n.item_id and q.kind in ('shelf', 'drawer', 'cart'))
  from balance b join place p on p.id = b.place_id where b.item_id = n.item_id and p.kind in ('shelf', 'drawer', 'cart')), 0);

create trigger fact_now_derived before insert or update or delete on fact_now for each row execute function guard_derived();
create trigger fact_now_derived_whole before truncate on fact_now for each statement execute function guard_derived();
create trigger item_now_derived before insert or update or delete on item_now for each row execute function guard_derived();
create trigger item_now_derived_whole before truncate on item_now for each statement execute function guard_derived();
