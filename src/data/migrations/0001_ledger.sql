-- The ledger: every write is one entry with who and when; what an entry holds lies in the tables of its room.
-- Nothing is changed or deleted: a mistake is answered by a counter-entry that names the old one.

create table person (
  initials text primary key check (initials ~ '^[A-Z]{2,4}$'),
  name text not null check (length(name) between 1 and 80)
);

create table entry (
  id int generated always as identity primary key,
  kind text not null,
  happened_at timestamptz not null,
  recorded_at timestamptz not null,
  -- Deferred, so that the first person can enter themselves.
  who text not null references person (initials) deferrable initially deferred,
  form_id uuid not null unique,
  counters int unique references entry (id),
  note text check (length(note) <= 2000),
  constraint entry_not_in_the_future check (happened_at <= recorded_at),
  constraint entry_counters_an_earlier_one check (counters < id)
);
create index entry_in_order on entry (happened_at, id);

-- An entry that leans on an earlier one: the earlier one can't be countered while this one stands.
create table entry_need (
  entry_id int not null references entry (id),
  needs int not null references entry (id),
  primary key (entry_id, needs),
  check (needs < entry_id)
);
create index entry_need_by_needed on entry_need (needs);

-- The answer given to a form, so that a double tap or a lost answer books nothing twice.
create table form_answer (
  form_id uuid primary key references entry (form_id),
  input_digest text not null,
  answer jsonb not null
);

create view live_entry as
  select e.* from entry e
  where e.counters is null and not exists (select 1 from entry c where c.counters = e.id);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'a ledger row is never changed or deleted: enter a counter-entry instead'
    using errcode = 'ST001', table = tg_table_name;
end $$;

-- Makes a table a ledger: no update, no delete, no truncate.
create procedure make_ledger(variadic names text[]) language plpgsql as $$
declare name text;
begin
  foreach name in array names loop
    execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', name || '_kept', name);
    execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', name || '_kept_whole', name);
  end loop;
end $$;

create function check_counter() returns trigger language plpgsql as $$
declare hindering int;
begin
  if exists (select 1 from entry where id = new.counters and counters is not null) then
    raise exception 'a counter-entry can''t be countered: enter it anew' using errcode = 'ST003', table = 'entry';
  end if;
  select e.id into hindering
    from entry_need n join live_entry e on e.id = n.entry_id
    where n.needs = new.counters order by e.happened_at desc, e.id desc limit 1;
  if hindering is not null then
    raise exception 'entry % leans on it', hindering using errcode = 'ST004', table = 'entry', detail = hindering::text;
  end if;
  return new;
end $$;
create trigger entry_counter_checked before insert on entry
  for each row when (new.counters is not null) execute function check_counter();

call make_ledger('person', 'entry', 'entry_need', 'form_answer');
