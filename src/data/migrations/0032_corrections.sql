-- What a machine does with its registers: whether wear has registers of its own beside the lengths and diameters, and what its
-- own setter measures there, whose figures are then read back and never written. null: nobody said; none.
alter table machine_figures add column wear_registers boolean;
-- Pressure of coolant through its spindle, bar; 0: there is none; null: nobody said.
alter table machine_figures add column coolant_bar double precision check (coolant_bar >= 0 and coolant_bar < 1000);
-- Digits after the point of its registers, in its own unit; null: the usual 3 of a mm, 4 of an inch.
alter table machine_figures add column digits int check (digits between 1 and 6);
alter table machine_figures add column own_setter text check (own_setter in ('length', 'length and diameter'));

-- A register has a number of its own: that of its T where nothing else was said. Sister tools share a T.
alter table register_given add column h_number int check (h_number between 0 and 9999);
alter table register_given add column d_number int check (d_number between 0 and 9999);
alter table register_given add column h_wear text check (length(h_wear) between 1 and 20);
alter table register_given add column d_wear text check (length(d_wear) between 1 and 20);
alter table register_given drop constraint register_given_pkey;
alter table register_given add primary key (entry_id, t, assembly_id);
create index register_given_by_number on register_given (machine_id, (coalesce(h_number, t)), entry_id);

-- A register that was corrected after a part was measured: what was measured, what that says is left, and what went in.
create table size_correction (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  machine_id int not null references machine (id),
  assembly_id int not null references assembly (id),
  edge_set_id int not null references edge_set (id),
  t int not null check (t between 0 and 9999),
  register text not null check (register in ('H', 'D')),
  number int not null check (number between 0 and 9999),
  place text not null check (place in ('wear', 'register')),
  -- Left on each wall, or on the floor; what was added for it, 0 where it stays as it is.
  left_mm double precision not null check (abs(left_mm) < 1000),
  change_mm double precision not null check (abs(change_mm) < 2000),
  unit text not null check (unit in ('mm', 'inch')),
  -- As the control showed it, in its unit; null: not read.
  before text check (length(before) between 1 and 20),
  after text check (length(after) between 1 and 20),
  -- Why it was entered although something of it was asked about.
  despite text check (length(despite) between 1 and 200),
  primary key (entry_id, register)
);
create index size_correction_by_assembly on size_correction (assembly_id, entry_id);
create index size_correction_by_number on size_correction (machine_id, register, place, number, entry_id);
create index size_correction_by_operation on size_correction (operation_id, entry_id);
create table size_feature (
  entry_id int not null references entry (id),
  n int not null check (n between 1 and 20),
  kind text not null check (kind in ('outside', 'inside', 'wall over material', 'wall over a gap', 'depth', 'height')),
  wanted_mm double precision not null check (wanted_mm > 0 and wanted_mm < 100000),
  measured_mm double precision not null check (measured_mm > 0 and measured_mm < 100000),
  least_mm double precision check (least_mm > 0 and least_mm < 100000),
  most_mm double precision check (most_mm > 0 and most_mm < 100000),
  primary key (entry_id, n)
);
call make_ledger('size_correction', 'size_feature');
