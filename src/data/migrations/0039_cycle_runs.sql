-- How long a part took at its machine, and what was reckoned for it then: what the machine's own times are corrected by.
create table cycle_run (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  machine_id int not null references machine (id),
  program_id int not null references program (entry_id),
  minutes double precision not null check (minutes > 0 and minutes <= 100000),
  reckoned double precision not null check (reckoned > 0 and reckoned <= 1000000)
);
create index cycle_run_by_machine on cycle_run (machine_id, entry_id);
create index cycle_run_by_operation on cycle_run (operation_id);
create index cycle_run_by_program on cycle_run (program_id);
call make_ledger('cycle_run');
