-- What was booked can change: how many, by when, and whether it is still wanted. The latest word counts, none is changed.

create table job_change (
  entry_id int primary key references entry (id),
  job_id int not null references job (id),
  quantity int not null check (quantity between 1 and 1000000),
  due date not null,
  -- closed: enough was made; cancelled: no more is wanted
  state text not null check (state in ('open', 'closed', 'cancelled')),
  reason text
);
create index job_change_by_job on job_change (job_id);
call make_ledger('job_change');

alter table operation_now add column state text not null default 'open';
-- With it go its indexes.
alter table operation_now drop column open;
alter table operation_now add column open boolean not null generated always as (parts_made < quantity and state = 'open') stored;
create index operation_now_open on operation_now (due, job, number) where open;
create index operation_now_done on operation_now (due, operation_id) where not open;

create or replace function refresh_operations(ids int[]) returns void language plpgsql as $$
begin
  delete from operation_now where operation_id = any (ids);
  insert into operation_now (operation_id, job, number, due, quantity, state, parts_made, program_id, figures_id)
    select o.id, j.number, o.number, coalesce(c.due, j.due), coalesce(c.quantity, j.quantity), coalesce(c.state, 'open'),
      coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0),
      (select p.entry_id from program p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id
       order by pe.happened_at desc, pe.id desc limit 1),
      (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id
       order by fe.happened_at desc, fe.id desc limit 1)
    from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id
    left join lateral (select x.due, x.quantity, x.state from job_change x join live_entry xe on xe.id = x.entry_id
      where x.job_id = j.id order by xe.happened_at desc, xe.id desc limit 1) c on true
    where o.id = any (ids);
end $$;
create function follow_job_change() returns trigger language plpgsql as $$
begin perform refresh_operations(array(select id from operation where job_id = new.job_id)); return null; end $$;
create trigger job_change_followed after insert on job_change for each row execute function follow_job_change();
create function counter_job_change() returns trigger language plpgsql as $$
begin
  perform refresh_operations(array(
    select o.id from job_change c join operation o on o.job_id = c.job_id where c.entry_id = new.counters));
  return null;
end $$;
create trigger entry_of_now_job_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_job_change();
