-- A design that is built again and again, by version: what an assembly was built from stays as it was when it is drawn anew.
-- It names the very cutter, or what any cutter must have (must, a JSON of figures in mm); lengths keep the text they were
-- entered as.
create table build_sheet (
  id int generated always as identity primary key,
  code text not null check (length(code) between 1 and 24),
  version int not null check (version between 1 and 9999),
  name text not null check (length(name) between 1 and 80),
  cutter_item_id int references item (id),
  must jsonb,
  holder_item_id int not null references item (id),
  least_mm double precision not null check (least_mm > 0 and least_mm < 2000),
  least_entered text not null,
  most_mm double precision not null check (most_mm < 2000),
  most_entered text not null,
  stickout_mm double precision not null,
  stickout_entered text not null,
  grip_mm double precision check (grip_mm > 0 and grip_mm < 500),
  grip_entered text,
  -- N m.
  torque double precision check (torque > 0 and torque < 1000),
  collar boolean not null,
  steps text check (length(steps) between 1 and 2000),
  entry_id int not null references entry (id),
  unique (code, version),
  check ((cutter_item_id is null) <> (must is null)),
  check (least_mm <= stickout_mm and stickout_mm <= most_mm)
);
create index build_sheet_by_entry on build_sheet (entry_id);
create table build_sheet_part (
  sheet_id int not null references build_sheet (id),
  place_in_stack int not null check (place_in_stack between 1 and 20),
  item_id int not null references item (id),
  out_mm double precision check (out_mm > 0 and out_mm < 1000),
  out_entered text,
  entry_id int not null references entry (id),
  primary key (sheet_id, place_in_stack)
);
-- What was built from which version, and that cleaning and torque were ticked.
create table built_from (
  assembly_id int primary key references assembly (id),
  sheet_id int not null references build_sheet (id),
  is_clean boolean not null,
  is_torqued boolean not null,
  entry_id int not null references entry (id)
);
create index built_from_by_sheet on built_from (sheet_id);
call make_ledger('build_sheet', 'build_sheet_part', 'built_from');
