-- Which job goes before others of its day, and what of the shelf is set aside for a job. The latest word counts.

alter table job_change add column priority text not null default 'usual' check (priority in ('first', 'usual', 'can wait'));

create table reservation (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  job_id int not null references job (id),
  -- 0: none is set aside any more
  quantity int not null check (quantity between 0 and 100000)
);
create index reservation_by_item on reservation (item_id, job_id, entry_id);
create index reservation_by_job on reservation (job_id, entry_id);
call make_ledger('reservation');
