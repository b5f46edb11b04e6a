-- At which speed of the spindle each T cut, and so each edge set: lives at one speed say little of another.
-- rev/min that nine tenths of the T's time in the cut were programmed within a twentieth of; null: several, or not known.
alter table use add column rpm double precision check (rpm > 0 and rpm < 1e7);
alter table use disable trigger user;
with of_tool as materialized (
  select p.entry_id as program_id, (x ->> 't')::int as t, (f ->> 's')::double precision as s, (f ->> 'cutting_s')::double precision as seconds
  from program p, jsonb_array_elements(p.report -> 'tools') x,
    jsonb_array_elements(case when jsonb_typeof(x -> 'in_force') = 'array' then x -> 'in_force' else '[]' end) f),
at_speed as materialized (
  select program_id, t, s, sum(seconds) as seconds from of_tool where s > 0 and s < 1e7 group by 1, 2, 3),
longest as (
  select distinct on (program_id, t) program_id, t, s from at_speed order by program_id, t, seconds desc, s),
one as (
  select l.program_id, l.t, l.s from longest l
  where (select sum(x.seconds) from at_speed x where x.program_id = l.program_id and x.t = l.t and abs(x.s - l.s) <= 0.05 * l.s)
    >= 0.9 * (select sum(x.seconds) from of_tool x where x.program_id = l.program_id and x.t = l.t))
update use u set rpm = o.s from parts_log l join one o on o.program_id = l.program_id where l.id = u.parts_log_id and o.t = u.t and not u.lower_bound;
alter table use enable trigger user;

-- Minutes of each edge set in each material at each speed that is known.
create table edge_speed (
  edge_set_id int not null references edge_set (id),
  material_id int not null references material (id),
  rpm double precision not null,
  minutes double precision not null,
  primary key (edge_set_id, material_id, rpm)
);
-- The one speed of a life, as that of a T is one; null: it cut at several, or not all of it is known.
alter table life_now add column rpm double precision;

drop function cut_of(int[]);
create function cut_of(ids int[]) returns table (
  use_id int, entry_id int, happened_at timestamptz, edge_set_id int, material_id int, operation_id int, t int, parts int,
  minutes double precision, holes int, cut_mm double precision, lower_bound boolean, corrected_by int, rpm double precision) language sql stable as $$
  select u.id, u.entry_id, e.happened_at, coalesce(a.edge_set_id, u.edge_set_id), j.material_id, l.operation_id, u.t, l.parts,
    coalesce(k.minutes, u.minutes), case when k.entry_id is null then u.holes else k.holes end,
    case when k.entry_id is null then u.cut_mm else k.cut_mm end, k.entry_id is null and u.lower_bound, k.entry_id, u.rpm
  from (select x.id from use x where x.edge_set_id = any (ids) union select x.use_id from use_assignment x where x.edge_set_id = any (ids)) own
  join use u on u.id = own.id join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
  join operation o on o.id = l.operation_id join job j on j.id = o.job_id
  left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
  left join lateral (select x.* from use_corrected x join live_entry xe on xe.id = x.entry_id where x.use_id = u.id
    order by x.entry_id desc limit 1) k on true
  where coalesce(a.edge_set_id, u.edge_set_id) = any (ids)
  union all
  select null, s.entry_id, e.happened_at, s.edge_set_id, s.material_id, null, null, 0,
    coalesce(s.minutes, 0), s.holes, s.cut_mm, s.minutes is null, null, null
  from use_said s join live_entry e on e.id = s.entry_id where s.edge_set_id = any (ids)
$$;

create function one_speed(edges int) returns double precision language sql stable as $$
  select l.rpm from (select rpm from edge_speed where edge_set_id = edges group by rpm
      having sum(minutes) > 0 order by round(sum(minutes)::numeric, 6) desc, rpm limit 1) l
  where (select round(sum(x.minutes)::numeric, 6) from edge_speed x where x.edge_set_id = edges and abs(x.rpm - l.rpm) <= 0.05 * l.rpm)
    >= (select round(0.9 * sum(x.minutes)::numeric, 6) from edge_use x where x.edge_set_id = edges)
$$;
create or replace function total_life(edges int) returns void language sql as $$
  update life_now l set minutes = x.minutes, materials = x.materials, material_id = x.material_id, rpm = one_speed(edges)
  from (select coalesce(sum(u.minutes), 0) as minutes, count(*)::int as materials,
               case when count(*) = 1 then min(u.material_id) end as material_id
        from edge_use u where u.edge_set_id = edges) x
  where l.edge_set_id = edges
$$;
drop function add_use(int, int, edge_use);
create function add_use(edges int, material int, added edge_use, added_rpm double precision) returns void language plpgsql as $$
begin
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound, holes, cut_mm)
    values (edges, material, added.minutes, added.parts, added.lower_bound, added.holes, added.cut_mm)
    on conflict (edge_set_id, material_id) do update set minutes = edge_use.minutes + excluded.minutes,
      parts = edge_use.parts + excluded.parts, lower_bound = edge_use.lower_bound or excluded.lower_bound,
      holes = edge_use.holes + excluded.holes, cut_mm = edge_use.cut_mm + excluded.cut_mm;
  if added_rpm is not null then
    insert into edge_speed (edge_set_id, material_id, rpm, minutes) values (edges, material, added_rpm, added.minutes)
      on conflict (edge_set_id, material_id, rpm) do update set minutes = edge_speed.minutes + excluded.minutes;
  end if;
  perform total_life(edges);
end $$;
create or replace function refresh_lives(ids int[]) returns void language plpgsql as $$
begin
  delete from edge_use where edge_set_id = any (ids);
  delete from edge_speed where edge_set_id = any (ids);
  delete from life_now where edge_set_id = any (ids);
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound, holes, cut_mm)
    select edge_set_id, material_id, sum(minutes), sum(parts)::int, bool_or(lower_bound),
      whole_or_unknown(count(holes), count(*), sum(holes))::int, whole_or_unknown(count(cut_mm), count(*), sum(cut_mm))
    from (select * from cut_of(ids) order by entry_id, use_id) u group by 1, 2;
  insert into edge_speed (edge_set_id, material_id, rpm, minutes)
    select edge_set_id, material_id, rpm, sum(minutes)
    from (select * from cut_of(ids) where rpm is not null order by entry_id, use_id) u group by 1, 2, 3;
  insert into life_now (edge_set_id, piece_id, item_id, fresh, minutes, materials, material_id, ended, ended_id, rpm)
    select s.id, s.piece_id, p.item_id, s.fresh, coalesce(x.minutes, 0), coalesce(x.materials, 0), x.material_id, t.kind, t.entry_id, one_speed(s.id)
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
        row(new.edge_set_id, j.material_id, new.minutes, l.parts, new.lower_bound, new.holes, new.cut_mm)::edge_use, new.rpm)
      from parts_log l join operation o on o.id = l.operation_id join job j on j.id = o.job_id where l.id = new.parts_log_id;
  end if;
  return null;
end $$;
create or replace function follow_use_assignment() returns trigger language plpgsql as $$
begin
  perform add_use(new.edge_set_id, j.material_id,
      row(new.edge_set_id, j.material_id, u.minutes, l.parts, u.lower_bound, u.holes, u.cut_mm)::edge_use, u.rpm)
    from use u join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id join job j on j.id = o.job_id
    where u.id = new.use_id;
  perform refresh_open_uses(array[new.use_id]);
  return null;
end $$;
create or replace function follow_use_said() returns trigger language plpgsql as $$
begin
  perform add_use(new.edge_set_id, new.material_id,
    row(new.edge_set_id, new.material_id, coalesce(new.minutes, 0), 0, new.minutes is null, new.holes, new.cut_mm)::edge_use, null);
  return null;
end $$;

insert into edge_speed (edge_set_id, material_id, rpm, minutes)
  select edge_set_id, material_id, rpm, sum(minutes) from cut_of(array(select id from edge_set)) where rpm is not null group by 1, 2, 3;
alter table life_now disable trigger user;
update life_now set rpm = one_speed(edge_set_id) where edge_set_id in (select edge_set_id from edge_speed);
alter table life_now enable trigger user;
call make_derived('edge_speed');
