-- The recipe by which each of some uses ran: the one its T was planned to run by when the parts were logged, or that was kept since
-- from what the same program ran with. A T that was never planned to run by a recipe is left out: most never were.
create function ran_by(uses int[]) returns table (use_id int, recipe_id int) language sql stable as $$
  with cut as materialized (
    select u.id, u.t, l.operation_id, l.program_id, e.happened_at, e.id as entry_id
    from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
    where u.id = any (uses) and exists (select 1 from tool_plan p
      where p.operation_id = l.operation_id and p.t = u.t and p.recipe_id is not null))
  select cut.id, own.recipe_id from cut cross join lateral (select coalesce(
    (select p.recipe_id from tool_plan p join live_entry e on e.id = p.entry_id
     where p.operation_id = cut.operation_id and p.t = cut.t and (e.happened_at, e.id) <= (cut.happened_at, cut.entry_id)
     order by e.happened_at desc, e.id desc limit 1),
    (select k.id from tool_plan p join live_entry e on e.id = p.entry_id
     join recipe k on k.id = p.recipe_id and k.entry_id = p.entry_id
     where p.operation_id = cut.operation_id and p.t = cut.t and cut.program_id = (
       select g.entry_id from program g join live_entry ge on ge.id = g.entry_id
       where g.operation_id = p.operation_id and (ge.happened_at, ge.id) <= (e.happened_at, e.id)
       order by ge.happened_at desc, ge.id desc limit 1)
     order by e.happened_at desc, e.id desc limit 1)) as recipe_id) own
  where own.recipe_id is not null
$$;

-- Minutes of each edge set by each recipe.
create table edge_recipe (
  edge_set_id int not null references edge_set (id),
  recipe_id int not null references recipe (id),
  minutes double precision not null check (minutes > 0),
  primary key (edge_set_id, recipe_id)
);
create function ran_of(ids int[]) returns setof edge_recipe language sql stable as $$
  with cut as materialized (select x.edge_set_id, x.use_id, x.entry_id, x.minutes from cut_of(ids) x where x.minutes > 0)
  select cut.edge_set_id, r.recipe_id, sum(cut.minutes order by cut.entry_id, cut.use_id)
  from ran_by(array(select use_id from cut)) r join cut on cut.use_id = r.use_id group by 1, 2
$$;
create function refresh_ran(ids int[]) returns void language plpgsql as $$
begin
  delete from edge_recipe where edge_set_id = any (ids);
  insert into edge_recipe (edge_set_id, recipe_id, minutes) select * from ran_of(ids);
end $$;
-- Added, not summed anew: an edge set may have been logged a thousand times.
create function add_ran(edges int, added use) returns void language plpgsql as $$
begin
  insert into edge_recipe (edge_set_id, recipe_id, minutes)
    select edges, r.recipe_id, added.minutes from ran_by(array[added.id]) r where added.minutes > 0
    on conflict (edge_set_id, recipe_id) do update set minutes = edge_recipe.minutes + excluded.minutes;
end $$;
create function follow_use_ran() returns trigger language plpgsql as $$
begin perform add_ran(new.edge_set_id, new); return null; end $$;
create trigger use_ran_followed after insert on use for each row when (new.edge_set_id is not null) execute function follow_use_ran();
create function follow_use_assignment_ran() returns trigger language plpgsql as $$
begin perform add_ran(new.edge_set_id, u) from use u where u.id = new.use_id; return null; end $$;
create trigger use_assignment_ran_followed after insert on use_assignment for each row execute function follow_use_assignment_ran();

-- What is planned or programmed later, and dated before what was logged, says anew what that ran by: of T that a recipe was ever
-- planned for. The edge sets that cut on a T of an operation, or on any of such; null: on any.
create function edges_ran_on(of_operation int, of_t int) returns int[] language sql stable as $$
  select edges_of_use(array(select u.id from parts_log l join use u on u.parts_log_id = l.id
    where l.operation_id = of_operation and (of_t is null or u.t = of_t) and exists (select 1 from tool_plan p
      where p.operation_id = of_operation and p.t = u.t and p.recipe_id is not null)))
$$;
create function follow_plan_ran() returns trigger language plpgsql as $$
begin perform refresh_ran(edges_ran_on(new.operation_id, new.t)); return null; end $$;
create trigger tool_plan_ran_followed after insert on tool_plan for each row execute function follow_plan_ran();
create function follow_program_ran() returns trigger language plpgsql as $$
begin perform refresh_ran(edges_ran_on(new.operation_id, null)); return null; end $$;
create trigger program_ran_followed after insert on program for each row execute function follow_program_ran();
create function counter_ran() returns trigger language plpgsql as $$
begin
  perform refresh_ran(edges_ran_on(operation_id, t)) from tool_plan where entry_id = new.counters;
  perform refresh_ran(edges_ran_on(operation_id, null)) from program where entry_id = new.counters;
  return null;
end $$;
create trigger entry_of_ran_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_ran();

-- Each build that a marked holder was ever clamped in, so that the latest are found without counting all.
create table clamping_now (
  marked_id int not null references marked_holder (id),
  assembly_id int not null references assembly (id),
  entry_id int not null references entry (id),
  happened_at timestamptz not null,
  primary key (marked_id, assembly_id)
);
create index clamping_now_in_order on clamping_now (marked_id, happened_at, entry_id);
create function clampings_of(ids int[]) returns setof clamping_now language sql stable as $$
  select x.marked_id, x.assembly_id, min(x.entry_id), min(e.happened_at)
  from holder_in x join live_entry e on e.id = x.entry_id where x.marked_id = any (ids) group by 1, 2
$$;
create function follow_clamping() returns trigger language plpgsql as $$
begin
  insert into clamping_now (marked_id, assembly_id, entry_id, happened_at)
    select new.marked_id, new.assembly_id, e.id, e.happened_at from live_entry e where e.id = new.entry_id
    on conflict (marked_id, assembly_id) do update set entry_id = least(clamping_now.entry_id, excluded.entry_id),
      happened_at = least(clamping_now.happened_at, excluded.happened_at);
  return null;
end $$;
create trigger holder_in_clamped after insert on holder_in for each row execute function follow_clamping();

-- What lies in the scrap: all of an item that was ever scrapped, and what of it was not sold.
create table scrap_now (
  item_id int primary key references item (id),
  total int not null check (total > 0),
  quantity int not null check (quantity between 0 and total),
  -- Whether its substrate is on record: it is sold as that.
  known boolean not null
);
create index scrap_now_most on scrap_now (quantity desc, item_id) where known and quantity > 0;
create index scrap_now_unknown on scrap_now (item_id) where not known;
-- Since the last sale of an item nothing of it lies there but what was scrapped since. What was scrapped before, and is taken back
-- after it, was sold all the same: it makes nothing less of what came later. What was taken out before, and comes back as that is
-- taken back, lies there.
create function scrap_of(ids int[]) returns setof scrap_now language sql stable as $$
  select b.item_id, b.total, case when s.entry_id is null then b.total else least(b.total, greatest((
      select coalesce(sum(case when t.id is null then -m.quantity else m.quantity end), 0)::int
      from movement m join entry e on e.id = m.entry_id left join entry c on c.counters = e.id
      left join place t on t.id = m.to_place_id and t.kind = 'scrap' left join place f on f.id = m.from_place_id and f.kind = 'scrap'
      where m.item_id = b.item_id and m.entry_id > s.entry_id and (t.id is null) <> (f.id is null)
        and c.id is null and (e.counters is null or (t.id is not null and e.counters < s.entry_id))
        and m.id >= (select x.id from movement x where x.entry_id > s.entry_id order by x.entry_id, x.id limit 1)), 0)) end,
    exists (select 1 from fact_now f where f.item_id = b.item_id and f.symbol = 'SUBSTRATE')
  from (select b.item_id, sum(b.quantity)::int as total from balance b join place p on p.id = b.place_id
    where b.item_id = any (ids) and b.quantity > 0 and p.kind = 'scrap' group by 1) b
  left join lateral (select l.entry_id from scrap_sale_line l join live_entry e on e.id = l.entry_id
    where l.item_id = b.item_id order by l.entry_id desc limit 1) s on true
$$;
create function refresh_scrap(ids int[]) returns void language plpgsql as $$
begin
  delete from scrap_now where item_id = any (ids);
  insert into scrap_now (item_id, total, quantity, known) select * from scrap_of(ids);
end $$;
create function follow_scrap() returns trigger language plpgsql as $$
begin
  if exists (select 1 from place where id = new.place_id and kind = 'scrap') then perform refresh_scrap(array[new.item_id]); end if;
  return null;
end $$;
create trigger balance_scrap_followed after insert or update on balance for each row execute function follow_scrap();
create function follow_scrap_sold() returns trigger language plpgsql as $$
begin perform refresh_scrap(array[new.item_id]); return null; end $$;
create trigger scrap_sale_line_followed after insert on scrap_sale_line for each row execute function follow_scrap_sold();

-- Once a statement: a list states those of all its items at once.
create function follow_substrate() returns trigger language plpgsql as $$
begin
  update scrap_now s set known = exists (select 1 from fact_now f where f.item_id = s.item_id and f.symbol = 'SUBSTRATE')
    where s.item_id in (select item_id from changed where symbol = 'SUBSTRATE');
  return null;
end $$;
create trigger fact_now_stated after insert on fact_now referencing new table as changed for each statement execute function follow_substrate();
create trigger fact_now_withdrawn after delete on fact_now referencing old table as changed for each statement execute function follow_substrate();

create function counter_clamped_or_sold() returns trigger language plpgsql as $$
declare marks int[] := array(select marked_id from holder_in where entry_id = new.counters);
begin
  delete from clamping_now where marked_id = any (marks);
  insert into clamping_now (marked_id, assembly_id, entry_id, happened_at) select * from clampings_of(marks);
  perform refresh_scrap(array(select item_id from scrap_sale_line where entry_id = new.counters));
  return null;
end $$;
create trigger entry_of_clamped_or_sold_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_clamped_or_sold();

do $$
declare was text := pg_get_functiondef('refresh_lives(int[])'::regprocedure);
begin
  if position('insert into life_now' in was) = 0 then raise exception 'refresh_lives is not as it was'; end if;
  execute replace(was, 'insert into life_now', 'perform refresh_ran(ids);
  insert into life_now');
  was := pg_get_functiondef('rebuild_in_force'::regproc);
  if position('delete from life_line;' in was) = 0 then raise exception 'rebuild_in_force is not as it was'; end if;
  execute replace(was, 'delete from life_line;',
    'delete from clamping_now;
  insert into clamping_now select * from clampings_of(array(select id from marked_holder));
  delete from scrap_now;
  insert into scrap_now select * from scrap_of(array(select distinct b.item_id from balance b join place p on p.id = b.place_id where p.kind = ''scrap''));
  delete from life_line;');
end $$;
select refresh_ran(array(select id from edge_set));
insert into clamping_now select * from clampings_of(array(select id from marked_holder));
insert into scrap_now select * from scrap_of(array(select distinct b.item_id from balance b join place p on p.id = b.place_id where p.kind = 'scrap'));
call make_derived('edge_recipe', 'clamping_now', 'scrap_now');
