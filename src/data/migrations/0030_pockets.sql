-- A machine's magazine as its maker limits it, dated: what holds is the latest.
create table magazine (
  entry_id int primary key references entry (id),
  machine_id int not null references machine (id),
  kind text not null check (kind in ('carousel', 'chain', 'rack', 'turret', 'by hand')),
  pockets int not null check (pockets between 0 and 400),
  -- kg and mm; null: not known.
  weight double precision check (weight > 0 and weight < 1000),
  diameter_mm double precision check (diameter_mm > 0 and diameter_mm < 2000),
  diameter_entered text,
  alone_mm double precision check (alone_mm > 0 and alone_mm < 2000),
  alone_entered text,
  length_mm double precision check (length_mm > 0 and length_mm < 5000),
  length_entered text
);
create index magazine_by_machine on magazine (machine_id, entry_id);
-- What was put into a pocket, and under which T, H and D it is called there; no assembly: it was emptied. What is in a pocket
-- now is the latest of that pocket, unless the assembly went elsewhere since or was taken down.
create table pocket_load (
  entry_id int not null references entry (id),
  machine_id int not null references machine (id),
  pocket int not null check (pocket between 1 and 400),
  assembly_id int references assembly (id),
  t int check (t between 0 and 9999),
  h int check (h between 0 and 9999),
  d int check (d between 0 and 9999),
  -- Whether the machine's own life counter of it was set to zero; null: nobody said.
  counter_zero boolean,
  primary key (entry_id, machine_id, pocket),
  check ((assembly_id is null) = (t is null))
);
create index pocket_load_by_pocket on pocket_load (machine_id, pocket, entry_id);
create index pocket_load_by_assembly on pocket_load (assembly_id, entry_id) where assembly_id is not null;
-- A cutter that is kept in a machine under its T, in many machines under the same; none: it is kept no more.
create table kept_tool (
  entry_id int not null references entry (id),
  machine_id int not null references machine (id),
  t int not null check (t between 0 and 9999),
  item_id int references item (id),
  primary key (entry_id, machine_id, t)
);
create index kept_tool_by_machine on kept_tool (machine_id, t, entry_id);
call make_ledger('magazine', 'pocket_load', 'kept_tool');
