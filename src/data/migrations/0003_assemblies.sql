-- Machines with dated figures; edge sets (one life each); tagged builds; measurements and what people said of them.

create table machine (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  entry_id int not null references entry (id)
);
-- A crash or a spindle repair makes a new K: figures are dated, never changed.
create table machine_figures (
  entry_id int primary key references entry (id),
  machine_id int not null references machine (id),
  taper text not null check (length(taper) between 1 and 24),
  k_mm double precision not null check (k_mm > 0 and k_mm < 5000),
  k_entered text not null,
  length_school text not null check (length_school in ('gauge', 'datum', 'common-stand', 'master', 'touched-off')),
  k0_mm double precision check (k0_mm > 0 and k0_mm < 5000),
  master_length_mm double precision check (master_length_mm > 0 and master_length_mm < 2000),
  diameter_school text not null check (diameter_school in ('diameter', 'radius', 'wear-diameter', 'wear-radius')),
  units text not null check (units in ('mm', 'inch')),
  h_equals_t boolean not null,
  rpm_max double precision check (rpm_max > 0),
  feed_max_mm_min double precision check (feed_max_mm_min > 0),
  rapid_mm_min double precision check (rapid_mm_min > 0),
  tool_change_s double precision check (tool_change_s >= 0)
);

create table edge_set (
  id int generated always as identity primary key,
  piece_id int not null references piece (id),
  -- false: a graded cutter's further life, shown apart and not fitted
  fresh boolean not null,
  entry_id int not null references entry (id)
);

create table assembly (
  id int generated always as identity primary key,
  tag text not null unique check (tag ~ '^A-[0-9]{4,}$'),
  piece_id int not null references piece (id),
  edge_set_id int not null references edge_set (id),
  holder_item_id int not null references item (id),
  holder_place_id int not null references place (id),
  stickout_mm double precision not null check (stickout_mm > 0 and stickout_mm < 1000),
  stickout_entered text not null,
  entry_id int not null references entry (id)
);
create table take_down (
  entry_id int primary key references entry (id),
  assembly_id int not null references assembly (id)
);

create table measurement (
  entry_id int primary key references entry (id),
  assembly_id int not null references assembly (id),
  gauge_length_mm double precision not null check (gauge_length_mm > 0 and gauge_length_mm < 2000),
  gauge_length_entered text not null,
  diameter_mm double precision check (diameter_mm > 0 and diameter_mm < 1000),
  diameter_entered text,
  runout_mm double precision check (runout_mm >= 0 and runout_mm < 10),
  runout_entered text,
  questions jsonb not null
);
create index measurement_by_assembly on measurement (assembly_id);
create table verdict (
  entry_id int primary key references entry (id),
  measurement_id int not null references measurement (entry_id),
  accepted boolean not null,
  reason text not null check (length(trim(reason)) > 0)
);

call make_ledger('machine', 'machine_figures', 'edge_set', 'assembly', 'take_down', 'measurement', 'verdict');
