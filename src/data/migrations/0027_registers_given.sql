-- What a machine was given under each T, as text in its own unit: sent as a file, or typed in and read back. What it has now
-- is the latest of each T; what is to be given follows from measurements and is kept nowhere.
create table register_given (
  entry_id int not null references entry (id),
  machine_id int not null references machine (id),
  t int not null check (t between 0 and 9999),
  assembly_id int not null references assembly (id),
  h text check (length(h) between 1 and 20),
  d text check (length(d) between 1 and 20),
  unit text not null check (unit in ('mm', 'inch')),
  how text not null check (how in ('sent', 'read back')),
  primary key (entry_id, t),
  check (h is not null or d is not null)
);
create index register_given_by_machine on register_given (machine_id, t, entry_id);
call make_ledger('register_given');

-- How a machine's control takes its tool table from a program; null: nobody said.
alter table machine_figures add column g10_form text check (g10_form in ('table', 'geometry and wear'));
