-- What the customer calls a job.
alter table job add column customer text check (length(customer) between 1 and 80);
-- How far Z travels down from home: a first Z below it stops the machine. null: nobody said.
alter table machine_figures add column travel_z_mm double precision check (travel_z_mm > 0 and travel_z_mm <= 5000);

-- How an operation is set up: stated whole, the latest word counts. A blank is null, and never a zero. Lengths keep the text
-- they were entered as. Zero counts from the stock's left, its side at the operator, its bottom.
create table setup_sheet (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  drawing text check (length(drawing) between 1 and 40),
  revision text check (length(revision) between 1 and 12),
  program_number text check (length(program_number) between 1 and 24),
  fixture text check (length(fixture) between 1 and 80),
  against text check (against in ('left end', 'right end', 'stop')),
  work_offset text check (length(work_offset) between 1 and 12),
  stock_x_mm double precision check (stock_x_mm > 0 and stock_x_mm <= 10000),
  stock_x_entered text check (length(stock_x_entered) between 1 and 40),
  stock_y_mm double precision check (stock_y_mm > 0 and stock_y_mm <= 10000),
  stock_y_entered text check (length(stock_y_entered) between 1 and 40),
  stock_z_mm double precision check (stock_z_mm > 0 and stock_z_mm <= 10000),
  stock_z_entered text check (length(stock_z_entered) between 1 and 40),
  parallels_mm double precision check (parallels_mm >= 0 and parallels_mm <= 1000),
  parallels_entered text check (length(parallels_entered) between 1 and 40),
  zero_x_mm double precision check (zero_x_mm between -10000 and 10000),
  zero_x_entered text check (length(zero_x_entered) between 1 and 40),
  zero_y_mm double precision check (zero_y_mm between -10000 and 10000),
  zero_y_entered text check (length(zero_y_entered) between 1 and 40),
  zero_z_mm double precision check (zero_z_mm between -10000 and 10000),
  zero_z_entered text check (length(zero_z_entered) between 1 and 40),
  notes text check (length(notes) between 1 and 2000),
  -- A job that is copied brings those of all its operations by one entry.
  primary key (entry_id, operation_id)
);
alter table operation_figures drop constraint operation_figures_pkey;
alter table operation_figures add primary key (entry_id, operation_id);
create index setup_sheet_by_operation on setup_sheet (operation_id, entry_id);

-- Who signed for which step of a setup, and what the setup was then (JSON): what has changed since makes it doubtful.
create table signature (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  step text not null check (step in ('written', 'entered', 'proved', 'optimised', 'filed')),
  name text not null check (length(name) between 1 and 80),
  stands_for jsonb not null
);
create index signature_by_operation on signature (operation_id, step, entry_id);
-- An operation that runs a program which was stored for another one, as the job it was copied from did.
create table program_taken (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  program_id int not null references program (entry_id),
  primary key (entry_id, operation_id)
);
create index program_taken_by_operation on program_taken (operation_id, entry_id);
create index program_taken_by_program on program_taken (program_id);
call make_ledger('setup_sheet', 'signature', 'program_taken');

-- Programs of an operation, stored for it or taken over, each with the entry by which it came into force.
create view program_of as
  select operation_id, entry_id as program_id, entry_id from program
  union all select operation_id, program_id, entry_id from program_taken;

create or replace function refresh_operations(ids int[]) returns void language plpgsql as $$
begin
  delete from operation_now where operation_id = any (ids);
  insert into operation_now (operation_id, job, number, due, quantity, state, parts_made, program_id, figures_id)
    select o.id, j.number, o.number, coalesce(c.due, j.due), coalesce(c.quantity, j.quantity), coalesce(c.state, 'open'),
      coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0),
      (select p.program_id from program_of p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id
       order by pe.happened_at desc, pe.id desc limit 1),
      (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id
       order by fe.happened_at desc, fe.id desc limit 1)
    from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id
    left join lateral (select x.due, x.quantity, x.state from job_change x join live_entry xe on xe.id = x.entry_id
      where x.job_id = j.id order by xe.happened_at desc, xe.id desc limit 1) c on true
    where o.id = any (ids);
end $$;
create trigger program_taken_followed after insert on program_taken for each row execute function follow_of_operation();
