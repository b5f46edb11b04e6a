-- How often a marked holder was clamped since it was looked over last, and what was put into each pocket last: counted when
-- something is written, so that what stands is not asked of all that ever was.
create table holder_now (
  marked_id int primary key references marked_holder (id),
  clampings int not null check (clampings >= 0)
);
create table pocket_now (
  machine_id int not null references machine (id),
  pocket int not null check (pocket between 1 and 400),
  -- The load of it that is the latest by when it happened.
  entry_id int not null references entry (id),
  primary key (machine_id, pocket)
);
create function refresh_holders(ids int[]) returns void language plpgsql as $$
begin
  delete from holder_now where marked_id = any (ids);
  insert into holder_now (marked_id, clampings)
    select h.id, (select count(distinct x.assembly_id)::int from holder_in x join live_entry xe on xe.id = x.entry_id
        where x.marked_id = h.id and (l.happened_at is null or xe.happened_at > l.happened_at))
    from marked_holder h join live_entry e on e.id = h.entry_id
    left join lateral (select le.happened_at from holder_look x join live_entry le on le.id = x.entry_id
      where x.marked_id = h.id order by le.happened_at desc, le.id desc limit 1) l on true
    where h.id = any (ids);
end $$;
create function refresh_pockets(machines int[], pockets int[]) returns void language plpgsql as $$
begin
  delete from pocket_now n using unnest(machines, pockets) k (machine_id, pocket)
    where n.machine_id = k.machine_id and n.pocket = k.pocket;
  insert into pocket_now (machine_id, pocket, entry_id)
    select k.machine_id, k.pocket, l.entry_id from (select distinct * from unnest(machines, pockets) x (machine_id, pocket)) k
    cross join lateral (select g.entry_id from pocket_load g join live_entry e on e.id = g.entry_id
      where g.machine_id = k.machine_id and g.pocket = k.pocket order by e.happened_at desc, e.id desc limit 1) l;
end $$;
create function follow_marked() returns trigger language plpgsql as $$
begin perform refresh_holders(array[new.id]); return null; end $$;
create trigger marked_holder_followed after insert on marked_holder for each row execute function follow_marked();
create function follow_of_marked() returns trigger language plpgsql as $$
begin perform refresh_holders(array[new.marked_id]); return null; end $$;
create trigger holder_in_followed after insert on holder_in for each row execute function follow_of_marked();
create trigger holder_look_followed after insert on holder_look for each row execute function follow_of_marked();
create function follow_pocket_load() returns trigger language plpgsql as $$
begin perform refresh_pockets(array[new.machine_id], array[new.pocket]); return null; end $$;
create trigger pocket_load_followed after insert on pocket_load for each row execute function follow_pocket_load();
create function counter_now() returns trigger language plpgsql as $$
begin
  perform refresh_holders(array(select id from marked_holder where entry_id = new.counters
    union select marked_id from holder_in where entry_id = new.counters
    union select marked_id from holder_look where entry_id = new.counters));
  perform refresh_pockets(array_agg(machine_id), array_agg(pocket)) from pocket_load where entry_id = new.counters;
  return null;
end $$;
create trigger entry_of_holder_or_pocket_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_now();
do $$
declare was text := pg_get_functiondef('rebuild_in_force'::regproc);
begin
  if position('delete from life_line;' in was) = 0 then raise exception 'rebuild_in_force is not as it was'; end if;
  execute replace(was, 'delete from life_line;',
    'delete from holder_now; delete from pocket_now;
  perform refresh_holders(array(select id from marked_holder));
  perform refresh_pockets(array_agg(machine_id), array_agg(pocket)) from (select distinct machine_id, pocket from pocket_load) x;
  delete from life_line;');
end $$;
select refresh_holders(array(select id from marked_holder));
select refresh_pockets(array_agg(machine_id), array_agg(pocket)) from (select distinct machine_id, pocket from pocket_load) x;
call make_derived('holder_now', 'pocket_now');
