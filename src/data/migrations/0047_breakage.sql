-- What happened where a cutter broke, chipped, crashed or was pulled out: on which T, after how many parts, what was lost.
create table breakage (
  entry_id int primary key references entry (id),
  edge_set_id int not null references edge_set (id),
  -- null: it was on no T of a job that is open.
  operation_id int references operation (id),
  t int check (t >= 0),
  parts_made int check (parts_made >= 0),
  lost_parts int check (lost_parts between 0 and 1000),
  lost_minutes double precision check (lost_minutes >= 0 and lost_minutes <= 100000),
  -- Whether fragments may lie in the cut, so that somebody must say what became of them.
  fragments boolean not null,
  check ((operation_id is null) = (t is null) and (operation_id is null) = (parts_made is null))
);
create index breakage_by_operation on breakage (operation_id, t, entry_id) where operation_id is not null;
create index breakage_by_edge_set on breakage (edge_set_id);
create table fragments (
  entry_id int primary key references entry (id),
  ending_id int not null references ending (entry_id),
  state text not null check (state in ('found', 'recut')),
  recut_by text check (length(recut_by) between 1 and 80),
  check ((state = 'recut') = (recut_by is not null))
);
create index fragments_by_ending on fragments (ending_id, entry_id);
-- The cause that somebody found, with what was seen and what was looked for and not there as it is known then.
create table cause_confirmed (
  entry_id int primary key references entry (id),
  ending_id int not null references ending (entry_id),
  cause text not null check (length(cause) between 1 and 40),
  remedy text check (length(remedy) between 1 and 200),
  seen jsonb not null check (jsonb_typeof(seen) = 'array'),
  not_seen jsonb not null check (jsonb_typeof(not_seen) = 'array')
);
create index cause_confirmed_by_ending on cause_confirmed (ending_id, entry_id);
create index ending_broke on ending (entry_id) where kind in ('broken', 'chipped', 'crash', 'pulled-out');
create index take_down_by_entry on take_down (entry_id, assembly_id);

-- Parts that were checked, by their number as they were logged.
create table part_check (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  part int not null check (part between 1 and 10000000),
  good boolean not null
);
create index part_check_by_operation on part_check (operation_id, part);
-- Parts that are held until somebody decides.
create table hold (
  id int generated always as identity primary key,
  number text not null unique check (number ~ '^Q-[0-9]{4,}$'),
  operation_id int not null references operation (id),
  first_part int not null check (first_part between 1 and 10000000),
  last_part int not null check (last_part between 1 and 10000000),
  why text not null check (length(why) between 1 and 200),
  edge_set_id int references edge_set (id),
  ending_id int references ending (entry_id),
  entry_id int not null references entry (id),
  check (last_part >= first_part and last_part - first_part < 10000)
);
create index hold_by_entry on hold (entry_id);
create index hold_by_operation on hold (operation_id, id);
create index hold_by_ending on hold (ending_id) where ending_id is not null;
create table hold_verdict (
  entry_id int not null references entry (id),
  hold_id int not null references hold (id),
  first_part int not null check (first_part > 0),
  last_part int not null check (last_part >= first_part),
  verdict text not null check (verdict in ('good', 'rework', 'scrap')),
  note text check (length(note) between 1 and 200),
  primary key (entry_id, hold_id, first_part)
);
create index hold_verdict_by_hold on hold_verdict (hold_id, entry_id);

-- A cutter that is held back until it was looked at, and what was said then.
create table piece_doubt (
  entry_id int primary key references entry (id),
  piece_id int not null references piece (id),
  why text not null check (length(why) between 1 and 200)
);
create index piece_doubt_by_piece on piece_doubt (piece_id, entry_id);
create table piece_cleared (
  entry_id int primary key references entry (id),
  doubt_id int not null references piece_doubt (entry_id),
  found text not null check (length(found) between 1 and 200)
);
create index piece_cleared_by_doubt on piece_cleared (doubt_id);

-- The lot of material that parts were made of.
alter table parts_log add column material_lot text check (length(material_lot) between 1 and 40);
create index parts_log_by_lot on parts_log (material_lot, operation_id) where material_lot is not null;

call make_ledger('breakage', 'fragments', 'cause_confirmed', 'part_check', 'hold', 'hold_verdict', 'piece_doubt', 'piece_cleared');

-- What somebody must still say, kept as in force: of fragments on a T, of held parts, of cutters that are held back.
create table waits_now (
  kind text not null check (kind in ('fragments', 'hold', 'doubt')),
  -- Of fragments the ending, of a hold its id, of a doubt its entry.
  id int not null,
  operation_id int references operation (id),
  t int,
  piece_id int references piece (id),
  primary key (kind, id)
);
create index waits_now_by_operation on waits_now (operation_id, id) where kind = 'fragments';
create index waits_now_by_piece on waits_now (piece_id) where kind = 'doubt';
create function refresh_waits(endings int[], holds int[], doubts int[]) returns void language plpgsql as $$
begin
  delete from waits_now w where (w.kind = 'fragments' and w.id = any (endings)) or (w.kind = 'hold' and w.id = any (holds))
    or (w.kind = 'doubt' and w.id = any (doubts));
  insert into waits_now (kind, id, operation_id, t, piece_id)
    select 'fragments', b.entry_id, b.operation_id, b.t, null::int from breakage b join live_entry e on e.id = b.entry_id
      where b.entry_id = any (endings) and b.fragments and b.operation_id is not null
        and not exists (select 1 from fragments f join live_entry fe on fe.id = f.entry_id where f.ending_id = b.entry_id)
    union all
    select 'hold', h.id, h.operation_id, null::int, null::int from hold h join live_entry e on e.id = h.entry_id
      where h.id = any (holds) and h.last_part - h.first_part >=
        (select count(distinct g.n) from hold_verdict v join live_entry ve on ve.id = v.entry_id
         cross join lateral generate_series(greatest(v.first_part, h.first_part), least(v.last_part, h.last_part)) g(n) where v.hold_id = h.id)
    union all
    select 'doubt', d.entry_id, null::int, null::int, d.piece_id from piece_doubt d join live_entry e on e.id = d.entry_id
      where d.entry_id = any (doubts)
        and not exists (select 1 from piece_cleared k join live_entry ke on ke.id = k.entry_id where k.doubt_id = d.entry_id);
end $$;
create function follow_breakage() returns trigger language plpgsql as $$
begin perform refresh_waits(array[new.entry_id], '{}', '{}'); return null; end $$;
create trigger breakage_followed after insert on breakage for each row execute function follow_breakage();
create function follow_fragments() returns trigger language plpgsql as $$
begin perform refresh_waits(array[new.ending_id], '{}', '{}'); return null; end $$;
create trigger fragments_followed after insert on fragments for each row execute function follow_fragments();
create function follow_hold() returns trigger language plpgsql as $$
begin perform refresh_waits('{}', array[new.id], '{}'); return null; end $$;
create trigger hold_followed after insert on hold for each row execute function follow_hold();
create function follow_hold_verdict() returns trigger language plpgsql as $$
begin perform refresh_waits('{}', array[new.hold_id], '{}'); return null; end $$;
create trigger hold_verdict_followed after insert on hold_verdict for each row execute function follow_hold_verdict();
create function follow_piece_doubt() returns trigger language plpgsql as $$
begin perform refresh_waits('{}', '{}', array[new.entry_id]); return null; end $$;
create trigger piece_doubt_followed after insert on piece_doubt for each row execute function follow_piece_doubt();
create function follow_piece_cleared() returns trigger language plpgsql as $$
begin perform refresh_waits('{}', '{}', array[new.doubt_id]); return null; end $$;
create trigger piece_cleared_followed after insert on piece_cleared for each row execute function follow_piece_cleared();
create function counter_waits() returns trigger language plpgsql as $$
begin
  perform refresh_waits(
    array(select entry_id from breakage where entry_id = new.counters union select ending_id from fragments where entry_id = new.counters),
    array(select id from hold where entry_id = new.counters union select hold_id from hold_verdict where entry_id = new.counters),
    array(select entry_id from piece_doubt where entry_id = new.counters union select doubt_id from piece_cleared where entry_id = new.counters));
  return null;
end $$;
create trigger entry_of_waits_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_waits();
call make_derived('waits_now');
do $$
declare was text := pg_get_functiondef('rebuild_in_force'::regproc);
begin
  if position('delete from life_line;' in was) = 0 then raise exception 'rebuild_in_force is not as it was'; end if;
  execute replace(was, 'delete from life_line;',
    'perform refresh_waits(array(select entry_id from breakage), array(select id from hold), array(select entry_id from piece_doubt));
  delete from life_line;');
end $$;
