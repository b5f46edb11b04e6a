-- What is set up once can be called otherwise, and go out of use. The latest word counts, none is changed: what was
-- written with it stays, nothing new is.

create table naming (
  entry_id int primary key references entry (id),
  person text references person (initials),
  place_id int references place (id),
  material_id int references material (id),
  supplier_id int references supplier (id),
  machine_id int references machine (id),
  name text not null check (length(trim(name)) between 1 and 80),
  in_use boolean not null,
  reason text,
  constraint naming_of_one_thing check (num_nonnulls(person, place_id, material_id, supplier_id, machine_id) = 1)
);
create index naming_of_person on naming (person, entry_id) where person is not null;
create index naming_of_place on naming (place_id, entry_id) where place_id is not null;
create index naming_of_material on naming (material_id, entry_id) where material_id is not null;
create index naming_of_supplier on naming (supplier_id, entry_id) where supplier_id is not null;
create index naming_of_machine on naming (machine_id, entry_id) where machine_id is not null;
call make_ledger('naming');

-- The name and use in force of each thing that was ever named anew: written by the ledger alone.
create table naming_now (
  entry_id int primary key references naming (entry_id),
  person text unique,
  place_id int unique,
  material_id int unique,
  supplier_id int unique,
  machine_id int unique,
  name text not null,
  in_use boolean not null
);
create function refresh_naming(n naming) returns void language plpgsql as $$
begin
  delete from naming_now x where x.person = n.person or x.place_id = n.place_id or x.material_id = n.material_id
    or x.supplier_id = n.supplier_id or x.machine_id = n.machine_id;
  insert into naming_now (entry_id, person, place_id, material_id, supplier_id, machine_id, name, in_use)
    select x.entry_id, x.person, x.place_id, x.material_id, x.supplier_id, x.machine_id, x.name, x.in_use
    from naming x join live_entry e on e.id = x.entry_id
    where x.person = n.person or x.place_id = n.place_id or x.material_id = n.material_id
      or x.supplier_id = n.supplier_id or x.machine_id = n.machine_id
    order by e.happened_at desc, e.id desc limit 1;
end $$;
create function follow_naming() returns trigger language plpgsql as $$
begin perform refresh_naming(new); return null; end $$;
create trigger naming_followed after insert on naming for each row execute function follow_naming();
create function counter_naming() returns trigger language plpgsql as $$
begin
  perform refresh_naming(n) from naming n where n.entry_id = new.counters;
  return null;
end $$;
create trigger entry_of_naming_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_naming();
create function rebuild_naming() returns void language plpgsql as $$
begin
  delete from naming_now;
  perform refresh_naming(n) from naming n;
end $$;
-- Anew with all the others, where rows were loaded past the triggers.
do $$
declare was text := pg_get_functiondef('rebuild_in_force'::regproc);
begin
  if position('delete from life_line;' in was) = 0 then raise exception 'rebuild_in_force is not as it was'; end if;
  execute replace(was, 'delete from life_line;', 'perform rebuild_naming(); delete from life_line;');
end $$;
call make_derived('naming_now');

create view person_named as
  select p.initials, coalesce(n.name, p.name) as name, coalesce(n.in_use, true) as in_use
  from person p left join naming_now n on n.person = p.initials;
-- A hand is as its person is.
create view place_named as
  select p.id, p.code, p.kind, p.parent_id, p.person, p.entry_id, p.sort_code,
    coalesce(n.name, 'with ' || h.name, p.name) as name, coalesce(n.in_use, h.in_use, true) as in_use
  from place p left join naming_now n on n.place_id = p.id left join naming_now h on h.person = p.person;
create view material_named as
  select m.id, m.code, m.iso_group, m.entry_id, coalesce(n.name, m.name) as name, coalesce(n.in_use, true) as in_use
  from material m left join naming_now n on n.material_id = m.id;
create view supplier_named as
  select s.id, s.code, s.entry_id, coalesce(n.name, s.name) as name, coalesce(n.in_use, true) as in_use
  from supplier s left join naming_now n on n.supplier_id = s.id;
create view machine_named as
  select m.id, m.code, m.entry_id, coalesce(n.name, m.name) as name, coalesce(n.in_use, true) as in_use
  from machine m left join naming_now n on n.machine_id = m.id;

-- A place out of use is empty, whoever moves and whatever is taken back.
create function refuse_out_of_use() returns trigger language plpgsql as $$
begin
  if exists (select 1 from naming_now n where not n.in_use and (n.place_id = new.to_place_id
       or n.person = (select p.person from place p where p.id = new.to_place_id))) then
    raise exception 'the place is out of use' using errcode = 'ST009', table = 'movement';
  end if;
  return new;
end $$;
create trigger movement_into_use before insert on movement
  for each row when (new.to_place_id is not null) execute function refuse_out_of_use();

-- Codes differ by more than case: 'em10' beside 'EM10' is read, said and typed as the same. Older pairs stay as they are.
create function refuse_same_but_for_case() returns trigger language plpgsql as $$
declare there boolean;
begin
  execute format('select exists (select 1 from %I where upper(%I) = upper($1))', tg_table_name, tg_argv[0])
    into there using to_jsonb(new) ->> tg_argv[0];
  if there then
    raise exception 'there is one that differs by case alone' using errcode = '23505', table = tg_table_name;
  end if;
  return new;
end $$;
create index item_by_upper_code on item (upper(code));
create index material_by_upper_code on material (upper(code));
create index supplier_by_upper_code on supplier (upper(code));
create index machine_by_upper_code on machine (upper(code));
create index job_by_upper_number on job (upper(number));
create trigger item_code_is_new before insert on item for each row execute function refuse_same_but_for_case('code');
create trigger material_code_is_new before insert on material for each row execute function refuse_same_but_for_case('code');
create trigger supplier_code_is_new before insert on supplier for each row execute function refuse_same_but_for_case('code');
create trigger machine_code_is_new before insert on machine for each row execute function refuse_same_but_for_case('code');
create trigger job_number_is_new before insert on job for each row execute function refuse_same_but_for_case('number');
