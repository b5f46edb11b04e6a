-- A list that comes in is laid down in steps, which let others in between, in tables that nobody reads and that are no
-- part of the ledger (unlogged: after a crash they are empty). One short transaction then enters all of it.

create unlogged table staged_item (
  batch uuid not null, code text not null, fresh boolean not null, kind text not null, family text, maker text);
create unlogged table staged_fact (
  batch uuid not null, code text not null, symbol text not null, text text not null, unit text not null, value double precision, origin text not null);
create unlogged table staged_segment (
  batch uuid not null, code text not null, ordinal int not null, length_mm double precision not null, upper_mm double precision not null, lower_mm double precision not null);
create unlogged table staged_supply (
  batch uuid not null, code text not null, supplier text not null, order_code text not null, price_cents int, pack int not null, minimum int not null);
create unlogged table staged_life (
  batch uuid not null, code text not null, minutes double precision not null, origin text not null);
create unlogged table staged_standing (batch uuid not null, code text not null, standing text not null, reason text not null);
create unlogged table staged_link (batch uuid not null, code text not null, earlier text not null, relation text not null, reason text not null);
create index staged_item_of on staged_item (batch, code);
create index staged_fact_of on staged_fact (batch);
create index staged_segment_of on staged_segment (batch);
create index staged_supply_of on staged_supply (batch);
create index staged_life_of on staged_life (batch);
create index staged_standing_of on staged_standing (batch);
create index staged_link_of on staged_link (batch);

-- What item_now says of items, from the facts in force.
create function said_of_items(items int[])
  returns table (item_id int, sort_code text, kind text, family text, dc double precision, reach double precision, search text)
  language sql stable as $$
  with facts as (
    select f.item_id,
      max(f.value) filter (where f.symbol = 'DC') as dc,
      case when bool_or(f.symbol = 'LCF') then max(f.value) filter (where f.symbol in ('LCF', 'LU', 'CW')) end as reach,
      string_agg(case f.symbol when 'DC' then f.text || ' ' || f.unit when 'RE' then 'R' || f.text
                   when 'NOF' then f.text || ' flutes' else f.text end, ' ' order by f.symbol)
        filter (where f.unit = 'words' or f.symbol in ('DC', 'RE', 'NOF')) as words
    from fact_now f where f.item_id = any (items) group by f.item_id),
  supplies as (
    select s.item_id, string_agg(distinct s.order_code, ' ') as codes
    from supply s join live_entry e on e.id = s.entry_id where s.item_id = any (items) group by s.item_id)
  select i.id, natural_key(i.code), i.kind, i.family, f.dc, f.reach,
    lower(concat_ws(' ', i.code, i.maker,
      (select k.words from kind_word k where k.name = i.kind and i.kind <> 'cutter'),
      (select k.words from kind_word k where k.name = i.family), f.words, s.codes))
  from item i left join facts f on f.item_id = i.id left join supplies s on s.item_id = i.id
  where i.id = any (items)
$$;

create or replace function refresh_items(items int[]) returns void language plpgsql as $$
begin
  update item_now n set dc = s.dc, reach = s.reach, search = s.search
  from said_of_items(items) s where s.item_id = n.item_id;
end $$;
drop function reach_of(int);

-- The rows of a list follow all at once, by the row that says that the list came in.
create or replace function follow_items() returns trigger language plpgsql as $$
declare ids int[] := array(select a.id from added a join entry e on e.id = a.entry_id where e.kind <> 'importItems');
begin
  insert into item_now (item_id, sort_code, kind, family, dc, reach, search) select * from said_of_items(ids);
  return null;
end $$;
create or replace function follow_facts() returns trigger language plpgsql as $$
begin
  perform refresh_facts(array(select distinct a.item_id from added a join entry e on e.id = a.entry_id where e.kind <> 'importItems'));
  return null;
end $$;
create or replace function follow_supply() returns trigger language plpgsql as $$
begin
  perform refresh_items(array(select distinct a.item_id from added a join entry e on e.id = a.entry_id where e.kind <> 'importItems'));
  return null;
end $$;

create function follow_import() returns trigger language plpgsql as $$
declare
  fresh int[] := array(select id from item where entry_id = new.entry_id);
begin
  -- Of a new item nothing else can be in force yet.
  insert into fact_now (item_id, symbol, entry_id, text, unit, value, origin)
    select f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
    from fact f join item i on i.id = f.item_id where f.entry_id = new.entry_id and i.entry_id = new.entry_id;
  insert into item_now (item_id, sort_code, kind, family, dc, reach, search) select * from said_of_items(fresh);
  perform refresh_facts(array(
    select f.item_id from fact f join item i on i.id = f.item_id where f.entry_id = new.entry_id and i.entry_id <> new.entry_id
    union select s.item_id from supply s join item i on i.id = s.item_id where s.entry_id = new.entry_id and i.entry_id <> new.entry_id));
  return null;
end $$;
create trigger import_followed after insert on import_list for each row execute function follow_import();

-- What is derived is guarded once a statement and not once a row: a list writes a hundred thousand of them. It follows from
-- rows whose items are known to be there, so that it asks for no item of its own.
do $$
declare name text;
begin
  for name in select tgrelid::regclass::text from pg_trigger where tgname = tgrelid::regclass::text || '_derived' loop
    execute format('drop trigger %I on %I', name || '_derived', name);
    execute format('create trigger %I before insert or update or delete on %I for each statement execute function guard_derived()', name || '_derived', name);
  end loop;
end $$;
alter table fact_now drop constraint fact_now_item_id_fkey;
alter table item_now drop constraint item_now_item_id_fkey;

-- A code is taken by what is here, and not by what was taken back: a list that came in by mistake comes in again, mended.
-- Codes differ by more than case still. Of items it is asked once a statement, of all rows that it brings.
alter table item drop constraint item_code_key;
alter table place drop constraint place_code_key;
alter table material drop constraint material_code_key;
alter table supplier drop constraint supplier_code_key;
alter table machine drop constraint machine_code_key;
alter table job drop constraint job_number_key;
create index item_by_code on item (code);
create index place_by_code on place (code);
create index material_by_code on material (code);
create index supplier_by_code on supplier (code);
create index machine_by_code on machine (code);
create index job_by_number on job (number);
create index place_by_upper_code on place (upper(code));

create or replace function refuse_same_but_for_case() returns trigger language plpgsql as $$
declare there boolean;
begin
  execute format(
    'select exists (select 1 from %I x where upper(x.%I) = upper($1) and (x.entry_id is null or exists (select 1 from live_entry e where e.id = x.entry_id)))',
    tg_table_name, tg_argv[0])
    into there using to_jsonb(new) ->> tg_argv[0];
  if there then
    raise exception 'there is one already, by this code or one that differs by case alone' using errcode = '23505', table = tg_table_name;
  end if;
  return new;
end $$;
create trigger place_code_is_new before insert on place for each row execute function refuse_same_but_for_case('code');

create function refuse_same_items() returns trigger language plpgsql as $$
begin
  if exists (
    select from added a join item i on upper(i.code) = upper(a.code) and i.id <> a.id
    where exists (select from live_entry e where e.id = i.entry_id)) then
    raise exception 'there is one already, by this code or one that differs by case alone' using errcode = '23505', table = 'item';
  end if;
  return null;
end $$;
drop trigger item_code_is_new on item;
create trigger item_code_is_new after insert on item referencing new table as added
  for each statement execute function refuse_same_items();
