-- What an edge set has cut beside minutes: holes of drilling and tapping cycles, and the way it fed. null: not known, which is never 0.
alter table use add column holes int check (holes between 0 and 100000000);
alter table use add column cut_mm double precision check (cut_mm >= 0 and cut_mm < 1e12);
-- What was logged before follows from the program it was logged by, as what is logged from now on does.
alter table use disable trigger user;
with of_tool as materialized (
  select p.entry_id as program_id, (x ->> 't')::int as t, (x ->> 'holes')::int as holes, (x ->> 'cutting_mm')::double precision as cut_mm,
    coalesce(jsonb_typeof(x -> 'plunges') = 'object', false) as plunges
  from program p, jsonb_array_elements(p.report -> 'tools') x)
update use u set holes = case when not u.lower_bound and (o.holes > 0 or not o.plunges) then l.parts * o.holes end,
  cut_mm = case when not u.lower_bound then l.parts * o.cut_mm end
from parts_log l join of_tool o on o.program_id = l.program_id where l.id = u.parts_log_id and o.t = u.t;
alter table use enable trigger user;

-- What one log came to on one T in truth, where somebody knows better than the program; the latest word counts.
create table use_corrected (
  entry_id int not null references entry (id),
  use_id int not null references use (id),
  minutes double precision not null check (minutes >= 0 and minutes < 1e7),
  holes int check (holes between 0 and 100000000),
  cut_mm double precision check (cut_mm >= 0 and cut_mm < 1e12),
  primary key (entry_id, use_id)
);
create index use_corrected_by_use on use_corrected (use_id, entry_id);
-- What an edge set cut that no log of parts says: by hand, on another machine, in a part that was mended.
create table use_said (
  entry_id int primary key references entry (id),
  edge_set_id int not null references edge_set (id),
  material_id int not null references material (id),
  -- null: how long it took is not known, and what it has cut is a lower bound from then on.
  minutes double precision check (minutes > 0 and minutes < 1e7),
  holes int check (holes between 1 and 100000000),
  cut_mm double precision check (cut_mm > 0 and cut_mm < 1e12),
  check (coalesce(minutes, holes, cut_mm) is not null)
);
create index use_said_by_edge_set on use_said (edge_set_id, entry_id);
call make_ledger('use_corrected', 'use_said');

-- What a gauge says of what the edge made: a thread or a hole that no longer passes ends a tap or a reamer, whatever its flank.
alter table wear_reading add column gauge text check (gauge in ('passes', 'tight', 'loose'));
alter table wear_reading drop constraint wear_reading_says;
alter table wear_reading add constraint wear_reading_says check
  (num_nonnulls(flank_wear_mm, corner_mm, gauge, chips, zone_from_mm, runout_mm, drift_mm) > 0 or signs <> '[]');

alter table edge_use add column holes int;
alter table edge_use add column cut_mm double precision;

-- Everything some edge sets have cut, log by log and word by word, each as it is known now.
create function cut_of(ids int[]) returns table (
  use_id int, entry_id int, happened_at timestamptz, edge_set_id int, material_id int, operation_id int, t int, parts int,
  minutes double precision, holes int, cut_mm double precision, lower_bound boolean, corrected_by int) language sql stable as $$
  select u.id, u.entry_id, e.happened_at, coalesce(a.edge_set_id, u.edge_set_id), j.material_id, l.operation_id, u.t, l.parts,
    coalesce(k.minutes, u.minutes), case when k.entry_id is null then u.holes else k.holes end,
    case when k.entry_id is null then u.cut_mm else k.cut_mm end, k.entry_id is null and u.lower_bound, k.entry_id
  from (select x.id from use x where x.edge_set_id = any (ids) union select x.use_id from use_assignment x where x.edge_set_id = any (ids)) own
  join use u on u.id = own.id join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
  join operation o on o.id = l.operation_id join job j on j.id = o.job_id
  left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
  left join lateral (select x.* from use_corrected x join live_entry xe on xe.id = x.entry_id where x.use_id = u.id
    order by x.entry_id desc limit 1) k on true
  where coalesce(a.edge_set_id, u.edge_set_id) = any (ids)
  union all
  select null, s.entry_id, e.happened_at, s.edge_set_id, s.material_id, null, null, 0,
    coalesce(s.minutes, 0), s.holes, s.cut_mm, s.minutes is null, null
  from use_said s join live_entry e on e.id = s.entry_id where s.edge_set_id = any (ids)
$$;
drop view use_of_edges;

-- One that is not known leaves the whole not known.
create function whole_or_unknown(known bigint, of bigint, total double precision) returns double precision language sql immutable as
  $$ select case when known = of then total end $$;

drop function add_use(int, int, double precision, int, boolean);
create function add_use(edges int, material int, added edge_use) returns void language plpgsql as $$
begin
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound, holes, cut_mm)
    values (edges, material, added.minutes, added.parts, added.lower_bound, added.holes, added.cut_mm)
    on conflict (edge_set_id, material_id) do update set minutes = edge_use.minutes + excluded.minutes,
      parts = edge_use.parts + excluded.parts, lower_bound = edge_use.lower_bound or excluded.lower_bound,
      holes = edge_use.holes + excluded.holes, cut_mm = edge_use.cut_mm + excluded.cut_mm;
  perform total_life(edges);
end $$;
create or replace function refresh_lives(ids int[]) returns void language plpgsql as $$
begin
  delete from edge_use where edge_set_id = any (ids);
  delete from life_now where edge_set_id = any (ids);
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound, holes, cut_mm)
    select edge_set_id, material_id, sum(minutes), sum(parts)::int, bool_or(lower_bound),
      whole_or_unknown(count(holes), count(*), sum(holes))::int, whole_or_unknown(count(cut_mm), count(*), sum(cut_mm))
    from (select * from cut_of(ids) order by entry_id, use_id) u group by 1, 2;
  insert into life_now (edge_set_id, piece_id, item_id, fresh, minutes, materials, material_id, ended, ended_id)
    select s.id, s.piece_id, p.item_id, s.fresh, coalesce(x.minutes, 0), coalesce(x.materials, 0), x.material_id, t.kind, t.entry_id
    from edge_set s join live_entry e on e.id = s.entry_id join piece p on p.id = s.piece_id
    left join lateral (select sum(u.minutes) as minutes, count(*)::int as materials,
                         case when count(*) = 1 then min(u.material_id) end as material_id
                       from edge_use u where u.edge_set_id = s.id) x on true
    left join lateral (select d.kind, d.entry_id from ending d join live_entry de on de.id = d.entry_id where d.edge_set_id = s.id) t on true
    where s.id = any (ids);
end $$;

create or replace function follow_use() returns trigger language plpgsql as $$
begin
  if new.edge_set_id is null then perform refresh_open_uses(array[new.id]);
  else
    perform add_use(new.edge_set_id, j.material_id,
        row(new.edge_set_id, j.material_id, new.minutes, l.parts, new.lower_bound, new.holes, new.cut_mm)::edge_use)
      from parts_log l join operation o on o.id = l.operation_id join job j on j.id = o.job_id where l.id = new.parts_log_id;
  end if;
  return null;
end $$;
create or replace function follow_use_assignment() returns trigger language plpgsql as $$
begin
  perform add_use(new.edge_set_id, j.material_id,
      row(new.edge_set_id, j.material_id, u.minutes, l.parts, u.lower_bound, u.holes, u.cut_mm)::edge_use)
    from use u join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id join job j on j.id = o.job_id
    where u.id = new.use_id;
  perform refresh_open_uses(array[new.use_id]);
  return null;
end $$;
create function follow_use_said() returns trigger language plpgsql as $$
begin
  perform add_use(new.edge_set_id, new.material_id,
    row(new.edge_set_id, new.material_id, coalesce(new.minutes, 0), 0, new.minutes is null, new.holes, new.cut_mm)::edge_use);
  return null;
end $$;
create trigger use_said_followed after insert on use_said for each row execute function follow_use_said();
create function edges_of_use(ids int[]) returns int[] language sql stable as $$
  select array(select u.edge_set_id from use u where u.id = any (ids) and u.edge_set_id is not null
    union select a.edge_set_id from use_assignment a where a.use_id = any (ids))
$$;
create function follow_use_corrected() returns trigger language plpgsql as $$
begin
  perform refresh_lives(edges_of_use(array[new.use_id]));
  return null;
end $$;
create trigger use_corrected_followed after insert on use_corrected for each row execute function follow_use_corrected();
create function counter_cut() returns trigger language plpgsql as $$
begin
  perform refresh_lives(array(
    select edge_set_id from use_said where entry_id = new.counters
    union select unnest(edges_of_use(array(select use_id from use_corrected where entry_id = new.counters)))));
  return null;
end $$;
create trigger entry_of_now_cut_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_cut();

alter table edge_use disable trigger edge_use_derived;
update edge_use y set holes = x.holes, cut_mm = x.cut_mm
from (select edge_set_id, material_id, whole_or_unknown(count(holes), count(*), sum(holes))::int as holes,
        whole_or_unknown(count(cut_mm), count(*), sum(cut_mm)) as cut_mm
      from cut_of(array(select id from edge_set)) group by 1, 2) x
where x.edge_set_id = y.edge_set_id and x.material_id = y.material_id;
alter table edge_use enable trigger edge_use_derived;
