-- What is in force now is kept by triggers and never summed over the history, so that a screen costs what is open and
-- not what ever was: builds that stand, ties, open operations, minutes of each edge set, pieces to grade, open orders.
-- Each table is derived: the ledger says the same, and a counter-entry brings it back (inForce.test.ts proves both).

-- Where verbs and views look things up.
create index assembly_by_entry on assembly (entry_id);
create index assembly_by_edge_set on assembly (edge_set_id);
create index assumed_life_by_entry on assumed_life (entry_id);
create index edge_set_by_entry on edge_set (entry_id);
create index holder_segment_by_item on holder_segment (item_id, entry_id);
create index item_standing_by_entry on item_standing (entry_id);
create index machine_figures_by_machine on machine_figures (machine_id);
create index operation_by_entry on operation (entry_id);
create index operation_figures_by_operation on operation_figures (operation_id);
create index parts_log_by_entry on parts_log (entry_id);
create index parts_log_by_operation on parts_log (operation_id, id);
create index pass_depth_by_operation on pass_depth (operation_id, t);
create index piece_by_entry on piece (entry_id);
create index program_by_operation on program (operation_id, entry_id);
create index supplier_terms_by_supplier on supplier_terms (supplier_id);
create index take_down_by_assembly on take_down (assembly_id);
create index use_by_entry on use (entry_id);
create index item_now_here on item_now (family, (coalesce(dc, 1e9)), item_id) where unused > 0;
create index item_now_to_buy on item_now (family, (coalesce(dc, 1e9)), item_id) where unused = 0;
create index use_by_log on use (parts_log_id);
create index use_assignment_by_use on use_assignment (use_id);
create index use_assignment_by_edge_set on use_assignment (edge_set_id);
create index verdict_by_measurement on verdict (measurement_id);

-- Who moved it, kept beside the movement: found by its own index however many other entries a person signed.
alter table movement disable trigger movement_kept;
alter table movement add column who text;
update movement m set who = e.who from entry e where e.id = m.entry_id;
alter table movement alter column who set not null;
alter table movement enable trigger movement_kept;
create index movement_by_who on movement (who, id);
create function fill_movement() returns trigger language plpgsql as $$
begin
  select e.who into new.who from entry e where e.id = new.entry_id;
  return new;
end $$;
create trigger movement_filled before insert on movement for each row execute function fill_movement();

-- A measurement counts when nothing questioned it, or a person accepted it: the core's own rule, which a test compares.
create function measurement_counts(questions jsonb, accepted boolean) returns boolean language sql immutable as $$
  select case when jsonb_array_length(questions) = 0 then accepted is not false else accepted is true end
$$;

-- Builds that stand, each with the newest measurement nobody rejected and the newest that counts.
create table assembly_now (
  assembly_id int primary key references assembly (id),
  piece_id int not null,
  edge_set_id int not null,
  newest_id int,
  good_id int
);
create index assembly_now_by_piece on assembly_now (piece_id);
create function refresh_assemblies(ids int[]) returns void language plpgsql as $$
begin
  delete from assembly_now where assembly_id = any (ids);
  insert into assembly_now (assembly_id, piece_id, edge_set_id, newest_id, good_id)
    select a.id, a.piece_id, a.edge_set_id, m.newest, m.good
    from assembly a join live_entry e on e.id = a.entry_id
    left join lateral (
      select (array_agg(x.entry_id order by x.happened_at desc, x.entry_id desc) filter (where x.accepted is not false))[1] as newest,
        (array_agg(x.entry_id order by x.happened_at desc, x.entry_id desc) filter (where measurement_counts(x.questions, x.accepted)))[1] as good
      from (select m.entry_id, m.questions, me.happened_at,
              (select v.accepted from verdict v join live_entry ve on ve.id = v.entry_id where v.measurement_id = m.entry_id
               order by ve.happened_at desc, ve.id desc limit 1) as accepted
            from measurement m join live_entry me on me.id = m.entry_id where m.assembly_id = a.id) x) m on true
    where a.id = any (ids)
      and not exists (select 1 from take_down t join live_entry te on te.id = t.entry_id where t.assembly_id = a.id);
end $$;

-- The assembly tied to each T of an operation.
create table tie_now (
  operation_id int not null references operation (id),
  t int not null,
  assembly_id int,
  entry_id int not null,
  primary key (operation_id, t)
);
create index tie_now_by_assembly on tie_now (assembly_id, entry_id) where assembly_id is not null;
create function refresh_tie(operation int, number int) returns void language plpgsql as $$
begin
  delete from tie_now where operation_id = operation and t = number;
  insert into tie_now (operation_id, t, assembly_id, entry_id)
    select x.operation_id, x.t, x.assembly_id, x.entry_id from tie x join live_entry e on e.id = x.entry_id
    where x.operation_id = operation and x.t = number order by e.happened_at desc, e.id desc limit 1;
end $$;

-- Operations with what was made of them, the program and the figures in force; open until all parts are made.
create table operation_now (
  operation_id int primary key references operation (id),
  job text not null,
  number int not null,
  due date not null,
  quantity int not null,
  parts_made int not null,
  program_id int,
  figures_id int,
  open boolean not null generated always as (parts_made < quantity) stored
);
create index operation_now_open on operation_now (due, job, number) where open;
create index operation_now_done on operation_now (due, operation_id) where not open;
create index operation_now_by_job on operation_now (job);
create function refresh_operations(ids int[]) returns void language plpgsql as $$
begin
  delete from operation_now where operation_id = any (ids);
  insert into operation_now (operation_id, job, number, due, quantity, parts_made, program_id, figures_id)
    select o.id, j.number, o.number, j.due, j.quantity,
      coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0),
      (select p.entry_id from program p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id
       order by pe.happened_at desc, pe.id desc limit 1),
      (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id
       order by fe.happened_at desc, fe.id desc limit 1)
    from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id where o.id = any (ids);
end $$;

-- What each edge set has cut in each material, and each life as a whole.
create table edge_use (
  edge_set_id int not null references edge_set (id),
  material_id int not null references material (id),
  minutes double precision not null,
  parts int not null,
  lower_bound boolean not null,
  primary key (edge_set_id, material_id)
);
create table life_now (
  edge_set_id int primary key references edge_set (id),
  piece_id int not null,
  item_id int not null,
  fresh boolean not null,
  minutes double precision not null default 0,
  -- In how many materials it cut, and which where it was one.
  materials int not null default 0,
  material_id int,
  ended text,
  ended_id int,
  -- What the statistics take: the core's own rule, which a test compares.
  fitted boolean not null generated always as (fresh and materials = 1 and minutes > 0) stored,
  apart boolean not null generated always as
    ((not fresh and (materials > 0 or ended is not null)) or materials > 1 or (ended is not null and minutes = 0)) stored
);
create index life_now_fitted on life_now (item_id, material_id, edge_set_id) where fitted;
create index life_now_by_piece on life_now (piece_id, edge_set_id);
create index life_now_apart on life_now (edge_set_id) where apart;
-- How many lives there are of each cutter in each material.
create table life_line (
  item_id int not null references item (id),
  material_id int not null references material (id),
  lives int not null check (lives >= 0),
  primary key (item_id, material_id)
);
create index life_line_by_lives on life_line (lives, item_id, material_id) where lives > 0;
create function follow_life() returns trigger language plpgsql as $$
begin
  if tg_op <> 'INSERT' and old.fitted and (tg_op = 'DELETE' or not new.fitted or new.material_id <> old.material_id) then
    update life_line set lives = lives - 1 where item_id = old.item_id and material_id = old.material_id;
  end if;
  if tg_op <> 'DELETE' and new.fitted and (tg_op = 'INSERT' or not old.fitted or new.material_id <> old.material_id) then
    insert into life_line (item_id, material_id, lives) values (new.item_id, new.material_id, 1)
      on conflict (item_id, material_id) do update set lives = life_line.lives + 1;
  end if;
  return null;
end $$;
create trigger life_followed after insert or update or delete on life_now for each row execute function follow_life();

-- The uses of edge sets, by what was tied then or was said later.
create view use_of_edges as
  select u.id as use_id, coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, j.material_id, u.minutes, l.parts, u.lower_bound
  from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
  join operation o on o.id = l.operation_id join job j on j.id = o.job_id
  left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id;
create function total_life(edges int) returns void language sql as $$
  update life_now l set minutes = x.minutes, materials = x.materials, material_id = x.material_id
  from (select coalesce(sum(u.minutes), 0) as minutes, count(*)::int as materials,
               case when count(*) = 1 then min(u.material_id) end as material_id
        from edge_use u where u.edge_set_id = edges) x
  where l.edge_set_id = edges
$$;
create function add_use(edges int, material int, added_minutes double precision, added_parts int, at_least boolean) returns void language plpgsql as $$
begin
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound) values (edges, material, added_minutes, added_parts, at_least)
    on conflict (edge_set_id, material_id) do update set minutes = edge_use.minutes + excluded.minutes,
      parts = edge_use.parts + excluded.parts, lower_bound = edge_use.lower_bound or excluded.lower_bound;
  perform total_life(edges);
end $$;
create function refresh_lives(ids int[]) returns void language plpgsql as $$
begin
  delete from edge_use where edge_set_id = any (ids);
  delete from life_now where edge_set_id = any (ids);
  insert into edge_use (edge_set_id, material_id, minutes, parts, lower_bound)
    select edge_set_id, material_id, sum(minutes), sum(parts)::int, bool_or(lower_bound)
    from (select * from use_of_edges where use_id in
            (select u.id from use u where u.edge_set_id = any (ids)
             union select a.use_id from use_assignment a where a.edge_set_id = any (ids)) order by use_id) u
    where edge_set_id = any (ids) group by 1, 2;
  insert into life_now (edge_set_id, piece_id, item_id, fresh, minutes, materials, material_id, ended, ended_id)
    select s.id, s.piece_id, p.item_id, s.fresh, coalesce(x.minutes, 0), coalesce(x.materials, 0), x.material_id, t.kind, t.entry_id
    from edge_set s join live_entry e on e.id = s.entry_id join piece p on p.id = s.piece_id
    left join lateral (select sum(u.minutes) as minutes, count(*)::int as materials,
                         case when count(*) = 1 then min(u.material_id) end as material_id
                       from edge_use u where u.edge_set_id = s.id) x on true
    left join lateral (select d.kind, d.entry_id from ending d join live_entry de on de.id = d.entry_id where d.edge_set_id = s.id) t on true
    where s.id = any (ids);
end $$;

-- Uses of a T that nothing was tied to, until somebody says what ran.
create table use_open (
  use_id int primary key references use (id),
  operation_id int not null,
  t int not null
);
create index use_open_by_operation on use_open (operation_id, t);
create function refresh_open_uses(ids int[]) returns void language plpgsql as $$
begin
  delete from use_open where use_id = any (ids);
  insert into use_open (use_id, operation_id, t)
    select u.id, l.operation_id, u.t from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
    where u.id = any (ids) and u.edge_set_id is null
      and not exists (select 1 from use_assignment a join live_entry ae on ae.id = a.entry_id where a.use_id = u.id);
end $$;

-- Orders with what came of them.
create table purchase_now (
  purchase_id int primary key references purchase (entry_id),
  item_id int not null,
  quantity int not null,
  received int not null,
  happened_at timestamptz not null,
  open boolean not null generated always as (received < quantity) stored
);
create index purchase_now_open on purchase_now (happened_at, purchase_id) where open;
create index purchase_now_done on purchase_now (happened_at, purchase_id) where not open;
create function refresh_purchases(ids int[]) returns void language plpgsql as $$
begin
  delete from purchase_now where purchase_id = any (ids);
  insert into purchase_now (purchase_id, item_id, quantity, received, happened_at)
    select p.entry_id, p.item_id, p.quantity,
      coalesce((select sum(r.quantity)::int from receipt r join live_entry re on re.id = r.entry_id where r.purchase_id = p.entry_id), 0),
      e.happened_at
    from purchase p join live_entry e on e.id = p.entry_id where p.entry_id = any (ids);
end $$;

-- Of each marked piece: what it is, whether it is gone for good, and whether its life ended and nobody graded it since.
alter table piece_place disable trigger piece_place_derived;
alter table piece_place add column item_id int;
alter table piece_place add column gone boolean not null default false;
alter table piece_place add column to_grade boolean not null default false;
create function awaits_grade(marked int) returns boolean language sql stable as $$
  select exists (
    select 1 from (select s.id from edge_set s join live_entry se on se.id = s.entry_id where s.piece_id = marked order by s.id desc limit 1) s
    join ending t on t.edge_set_id = s.id join live_entry te on te.id = t.entry_id
    where not exists (select 1 from grade g join live_entry ge on ge.id = g.entry_id where g.piece_id = marked and g.entry_id > t.entry_id))
$$;
create function fill_piece_place() returns trigger language plpgsql as $$
begin
  select p.item_id into new.item_id from piece p where p.id = new.piece_id;
  select p.kind in ('scrap', 'lost'), in_crib(p.kind) and awaits_grade(new.piece_id) into new.gone, new.to_grade
    from place p where p.id = new.place_id;
  return new;
end $$;
-- By its name after the guard of derived rows.
create trigger piece_place_filled before insert or update on piece_place for each row execute function fill_piece_place();
create function refresh_pieces(ids int[]) returns void language sql as $$
  update piece_place set place_id = place_id where piece_id = any (ids)
$$;

-- How much lies at each place: balances of items and lots, and pieces of them.
create table place_now (
  place_id int primary key references place (id),
  items int not null,
  pieces int not null
);
create function follow_balance() returns trigger language plpgsql as $$
declare items_more int; pieces_more int;
begin
  items_more := (new.quantity > 0)::int - case when tg_op = 'UPDATE' then (old.quantity > 0)::int else 0 end;
  pieces_more := new.quantity - case when tg_op = 'UPDATE' then old.quantity else 0 end;
  if items_more <> 0 or pieces_more <> 0 then
    insert into place_now (place_id, items, pieces) values (new.place_id, items_more, pieces_more)
      on conflict (place_id) do update set items = place_now.items + excluded.items, pieces = place_now.pieces + excluded.pieces;
  end if;
  return null;
end $$;
create trigger balance_followed after insert or update on balance for each row execute function follow_balance();
create index loan_by_piece on loan (piece_id, entry_id) where piece_id is not null;
create index place_by_kind on place (kind);

-- What follows at once from each row of the ledger.
create function follow_assembly() returns trigger language plpgsql as $$
begin perform refresh_assemblies(array[new.id]); return null; end $$;
create trigger assembly_followed after insert on assembly for each row execute function follow_assembly();
create function follow_take_down() returns trigger language plpgsql as $$
begin perform refresh_assemblies(array[new.assembly_id]); return null; end $$;
create trigger take_down_followed after insert on take_down for each row execute function follow_take_down();
create trigger measurement_followed after insert on measurement for each row execute function follow_take_down();
create function follow_verdict() returns trigger language plpgsql as $$
begin perform refresh_assemblies(array(select assembly_id from measurement where entry_id = new.measurement_id)); return null; end $$;
create trigger verdict_followed after insert on verdict for each row execute function follow_verdict();
create function follow_tie() returns trigger language plpgsql as $$
begin perform refresh_tie(new.operation_id, new.t); return null; end $$;
create trigger tie_followed after insert on tie for each row execute function follow_tie();
create function follow_operation() returns trigger language plpgsql as $$
begin perform refresh_operations(array[new.id]); return null; end $$;
create trigger operation_followed after insert on operation for each row execute function follow_operation();
create function follow_of_operation() returns trigger language plpgsql as $$
begin perform refresh_operations(array[new.operation_id]); return null; end $$;
create trigger operation_figures_followed after insert on operation_figures for each row execute function follow_of_operation();
create trigger program_followed after insert on program for each row execute function follow_of_operation();
-- Added, not summed anew: an operation may have been logged a thousand times.
create function follow_parts_log() returns trigger language plpgsql as $$
begin
  update operation_now set parts_made = parts_made + new.parts where operation_id = new.operation_id;
  return null;
end $$;
create trigger parts_log_followed after insert on parts_log for each row execute function follow_parts_log();
create function follow_edge_set() returns trigger language plpgsql as $$
begin
  perform refresh_lives(array[new.id]);
  perform refresh_pieces(array[new.piece_id]);
  return null;
end $$;
create trigger edge_set_followed after insert on edge_set for each row execute function follow_edge_set();
create function follow_use() returns trigger language plpgsql as $$
begin
  if new.edge_set_id is null then perform refresh_open_uses(array[new.id]);
  else
    perform add_use(new.edge_set_id, j.material_id, new.minutes, l.parts, new.lower_bound)
      from parts_log l join operation o on o.id = l.operation_id join job j on j.id = o.job_id where l.id = new.parts_log_id;
  end if;
  return null;
end $$;
create trigger use_followed after insert on use for each row execute function follow_use();
create function follow_use_assignment() returns trigger language plpgsql as $$
begin
  perform add_use(new.edge_set_id, j.material_id, u.minutes, l.parts, u.lower_bound)
    from use u join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id join job j on j.id = o.job_id
    where u.id = new.use_id;
  perform refresh_open_uses(array[new.use_id]);
  return null;
end $$;
create trigger use_assignment_followed after insert on use_assignment for each row execute function follow_use_assignment();
create function follow_ending() returns trigger language plpgsql as $$
begin
  update life_now set ended = new.kind, ended_id = new.entry_id where edge_set_id = new.edge_set_id;
  perform refresh_pieces(array(select piece_id from edge_set where id = new.edge_set_id));
  return null;
end $$;
create trigger ending_followed after insert on ending for each row execute function follow_ending();
create function follow_grade() returns trigger language plpgsql as $$
begin perform refresh_pieces(array[new.piece_id]); return null; end $$;
create trigger grade_followed after insert on grade for each row execute function follow_grade();
create function follow_purchase() returns trigger language plpgsql as $$
begin perform refresh_purchases(array[new.entry_id]); return null; end $$;
create trigger purchase_followed after insert on purchase for each row execute function follow_purchase();
create function follow_receipt() returns trigger language plpgsql as $$
begin perform refresh_purchases(array[new.purchase_id]); return null; end $$;
create trigger receipt_followed after insert on receipt for each row execute function follow_receipt();

-- A counter-entry brings back what was in force without the entry it counters. By its name after the movements.
create function counter_in_force() returns trigger language plpgsql as $$
declare gone int := new.counters; pieces int[]; lives int[];
begin
  perform refresh_assemblies(array(
    select id from assembly where entry_id = gone union select assembly_id from take_down where entry_id = gone
    union select assembly_id from measurement where entry_id = gone
    union select m.assembly_id from verdict v join measurement m on m.entry_id = v.measurement_id where v.entry_id = gone));
  perform refresh_tie(x.operation_id, x.t) from tie x where x.entry_id = gone;
  perform refresh_operations(array(
    select id from operation where entry_id = gone union select operation_id from operation_figures where entry_id = gone
    union select operation_id from program where entry_id = gone union select operation_id from parts_log where entry_id = gone));
  lives := array(
    select id from edge_set where entry_id = gone union select edge_set_id from ending where entry_id = gone
    union select edge_set_id from use where entry_id = gone and edge_set_id is not null
    union select edge_set_id from use_assignment where entry_id = gone);
  perform refresh_lives(lives);
  perform refresh_open_uses(array(
    select id from use where entry_id = gone union select use_id from use_assignment where entry_id = gone));
  pieces := array(select piece_id from edge_set where id = any (lives) union select piece_id from grade where entry_id = gone);
  perform refresh_pieces(pieces);
  perform refresh_purchases(array(
    select entry_id from purchase where entry_id = gone union select purchase_id from receipt where entry_id = gone));
  return null;
end $$;
create trigger entry_of_now_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_in_force();

-- Everything anew from the ledger: here for what is there already, and after rows were loaded past the triggers
-- (session_replication_role = replica); in everyday use the guards below refuse it.
create procedure rebuild_in_force() language plpgsql as $$
begin
  perform refresh_assemblies(array(select id from assembly)), refresh_operations(array(select id from operation)),
    refresh_lives(array(select id from edge_set)), refresh_open_uses(array(select id from use where edge_set_id is null)),
    refresh_purchases(array(select entry_id from purchase));
  perform refresh_tie(x.operation_id, x.t) from (select distinct operation_id, t from tie) x;
  delete from life_line;
  insert into life_line (item_id, material_id, lives)
    select item_id, material_id, count(*) from life_now where fitted group by item_id, material_id;
  delete from place_now;
  insert into place_now (place_id, items, pieces)
    select place_id, count(*) filter (where quantity > 0), coalesce(sum(quantity), 0) from balance group by place_id;
  update piece_place pp set item_id = p.item_id, gone = l.kind in ('scrap', 'lost'), to_grade = in_crib(l.kind) and awaits_grade(p.id)
    from piece p, place l where p.id = pp.piece_id and l.id = pp.place_id;
end $$;
call rebuild_in_force();
alter table piece_place alter column item_id set not null;
create index piece_place_at on piece_place (place_id, item_id, piece_id);
create index piece_place_here on piece_place (item_id) where not gone;
create index piece_place_to_grade on piece_place (piece_id) where to_grade;
alter table piece_place enable trigger piece_place_derived;

create procedure make_derived(variadic names text[]) language plpgsql as $$
declare name text;
begin
  foreach name in array names loop
    execute format('create trigger %I before insert or update or delete on %I for each row execute function guard_derived()', name || '_derived', name);
    execute format('create trigger %I before truncate on %I for each statement execute function guard_derived()', name || '_derived_whole', name);
  end loop;
end $$;
call make_derived('assembly_now', 'tie_now', 'operation_now', 'edge_use', 'life_now', 'life_line', 'use_open', 'purchase_now', 'place_now');
