-- What a T of an operation is for, and what it needs, as its planner says before it is built: the very cutter, a build sheet, or
-- what any cutter must have (a JSON of figures in mm, as a build sheet's). The latest word counts; gone: it is planned no more.
create table tool_plan (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  t int not null check (t between 0 and 99999),
  does text check (length(does) between 1 and 80),
  item_id int references item (id),
  sheet_code text check (length(sheet_code) between 1 and 24),
  must jsonb,
  gone boolean not null default false,
  primary key (entry_id, operation_id, t),
  check (num_nonnulls(item_id, sheet_code, must) <= 1)
);
create index tool_plan_by_operation on tool_plan (operation_id, t, entry_id);
create index tool_plan_by_item on tool_plan (item_id) where item_id is not null;

-- An assembly that was taken off the rack for an operation, onto a cart or by hand, and put back.
create table kit_move (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  assembly_id int not null references assembly (id),
  is_pulled boolean not null,
  cart_id int references place (id),
  primary key (entry_id, assembly_id)
);
create index kit_move_by_assembly on kit_move (assembly_id, entry_id);
create index kit_move_by_operation on kit_move (operation_id);
call make_ledger('tool_plan', 'kit_move');

-- A depth of a pass that is not known any more: its T is another tool by now.
alter table pass_depth alter column depth_mm drop not null;
alter table pass_depth alter column depth_entered drop not null;
