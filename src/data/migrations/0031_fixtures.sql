-- Where a vise stands on a machine's table: the cheat sheet. Stated anew when it was moved: the latest of its code holds.
create table fixture (
  entry_id int primary key references entry (id),
  machine_id int not null references machine (id),
  code text not null check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  -- Machine coordinates and heights above the datum surface, mm, each as it was entered.
  centre_mm double precision not null,
  centre_entered text not null,
  width_mm double precision not null check (width_mm > 0 and width_mm < 2000),
  width_entered text not null,
  jaw_mm double precision not null,
  jaw_entered text not null,
  is_far boolean not null,
  bed_mm double precision not null,
  bed_entered text not null,
  stop_mm double precision,
  stop_entered text
);
create index fixture_by_machine on fixture (machine_id, code, entry_id);
call make_ledger('fixture');
