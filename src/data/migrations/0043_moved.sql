-- An operation may go on another machine than it was planned on: the latest word counts, the machine it began with until then.
create table operation_moved (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  machine_id int not null references machine (id),
  primary key (entry_id, operation_id)
);
create index operation_moved_by_operation on operation_moved (operation_id, entry_id);
call make_ledger('operation_moved');

alter table operation_now add column machine_id int references machine (id);
alter table operation_now disable trigger operation_now_derived;
update operation_now n set machine_id = o.machine_id from operation o where o.id = n.operation_id;
alter table operation_now enable trigger operation_now_derived;
alter table operation_now alter column machine_id set not null;

create or replace function refresh_operations(ids int[]) returns void language plpgsql as $$
begin
  delete from operation_now where operation_id = any (ids);
  insert into operation_now (operation_id, job, number, due, quantity, state, parts_made, program_id, figures_id, machine_id)
    select o.id, j.number, o.number, coalesce(c.due, j.due), coalesce(c.quantity, j.quantity), coalesce(c.state, 'open'),
      coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0),
      (select p.program_id from program_of p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id
       order by pe.happened_at desc, pe.id desc limit 1),
      (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id
       order by fe.happened_at desc, fe.id desc limit 1),
      coalesce((select x.machine_id from operation_moved x join live_entry xe on xe.id = x.entry_id where x.operation_id = o.id
       order by xe.happened_at desc, xe.id desc limit 1), o.machine_id)
    from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id
    left join lateral (select x.due, x.quantity, x.state from job_change x join live_entry xe on xe.id = x.entry_id
      where x.job_id = j.id order by xe.happened_at desc, xe.id desc limit 1) c on true
    where o.id = any (ids);
end $$;
create trigger operation_moved_followed after insert on operation_moved for each row execute function follow_of_operation();
create function counter_moved() returns trigger language plpgsql as $$
begin
  perform refresh_operations(array(select operation_id from operation_moved where entry_id = new.counters));
  return null;
end $$;
create trigger entry_of_now_moved_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_moved();
