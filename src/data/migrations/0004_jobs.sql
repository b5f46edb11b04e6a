-- Jobs, operations, the programs they run, the assemblies tied to each T, and what was made.

create table job (
  id int generated always as identity primary key,
  number text not null unique check (length(number) between 1 and 24),
  part text not null check (length(part) between 1 and 80),
  revision text not null,
  material_id int not null references material (id),
  quantity int not null check (quantity between 1 and 1000000),
  due date not null,
  entry_id int not null references entry (id)
);
create table operation (
  id int generated always as identity primary key,
  job_id int not null references job (id),
  number int not null,
  machine_id int not null references machine (id),
  entry_id int not null references entry (id)
);
create table operation_figures (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  -- work coordinates: part top or jaw
  highest_beside_mm double precision check (highest_beside_mm between -2000 and 2000),
  highest_beside_entered text,
  -- part zero above the machine's datum surface
  part_zero_mm double precision check (part_zero_mm between -1000 and 3000),
  part_zero_entered text
);
create table program (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  name text not null,
  text text not null,
  report jsonb not null
);
create table pass_depth (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  t int not null,
  depth_mm double precision not null check (depth_mm > 0 and depth_mm < 1000),
  depth_entered text not null,
  primary key (entry_id, operation_id, t)
);
create table tie (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  t int not null check (t >= 0),
  assembly_id int references assembly (id),
  primary key (entry_id, operation_id, t)
);
create index tie_by_operation on tie (operation_id, t);

create table parts_log (
  id int generated always as identity primary key,
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  program_id int not null references program (entry_id),
  parts int not null check (parts > 0)
);
-- Minutes of one T on the edge set that was tied to it then; null: none was, somebody must say.
create table use (
  id int generated always as identity primary key,
  entry_id int not null references entry (id),
  parts_log_id int not null references parts_log (id),
  t int not null,
  edge_set_id int references edge_set (id),
  minutes double precision not null check (minutes >= 0 and minutes < 1e7),
  lower_bound boolean not null
);
create index use_by_edge_set on use (edge_set_id);
create table use_assignment (
  entry_id int not null references entry (id),
  use_id int not null references use (id),
  edge_set_id int not null references edge_set (id),
  primary key (entry_id, use_id)
);

call make_ledger('job', 'operation', 'operation_figures', 'program', 'pass_depth', 'tie', 'parts_log', 'use', 'use_assignment');
