-- Holders, extensions and collets with a mark of their own: each has a life of clampings, looks, studs and falls.
-- Where it lies is counted with its item; the mark says which one was in a build.
create table marked_holder (
  id int generated always as identity primary key,
  mark text not null unique check (mark ~ '^H-[0-9]{4,}$'),
  item_id int not null references item (id),
  -- In use since; null: nobody knows.
  since date,
  entry_id int not null references entry (id)
);
create index marked_holder_by_item on marked_holder (item_id, id);
create index marked_holder_by_entry on marked_holder (entry_id);
-- Which one is in a build, each a clamping; entered with the build, or later, when somebody marked what stands.
create table holder_in (
  entry_id int not null references entry (id),
  assembly_id int not null references assembly (id),
  -- 0: the holder; else the part in that place.
  place_in_stack int not null check (place_in_stack between 0 and 20),
  marked_id int not null references marked_holder (id),
  primary key (entry_id, assembly_id, place_in_stack)
);
create index holder_in_by_assembly on holder_in (assembly_id, place_in_stack);
create index holder_in_by_marked on holder_in (marked_id, entry_id);
-- Somebody looked it over: taper, flange, bore or nut, thread.
create table holder_look (
  entry_id int primary key references entry (id),
  marked_id int not null references marked_holder (id),
  found text not null check (found in ('good', 'doubt', 'bad')),
  -- On a test bar; null: not measured.
  runout_mm double precision check (runout_mm >= 0 and runout_mm < 10),
  runout_entered text,
  words text check (length(words) between 1 and 200),
  check ((runout_mm is null) = (runout_entered is null))
);
create index holder_look_by_marked on holder_look (marked_id, entry_id);
create table holder_stud (
  entry_id int primary key references entry (id),
  marked_id int not null references marked_holder (id),
  -- The new one; null: nobody said which.
  stud_item_id int references item (id),
  torque double precision check (torque > 0 and torque < 2000),
  words text check (length(words) between 1 and 200)
);
create index holder_stud_by_marked on holder_stud (marked_id, entry_id);
-- It fell; a build that fell took all that is marked in it along.
create table holder_drop (
  entry_id int not null references entry (id),
  marked_id int not null references marked_holder (id),
  -- Who can tell more of it; null: nobody said.
  dropped_by text references person (initials),
  words text check (length(words) between 1 and 200),
  primary key (entry_id, marked_id)
);
create index holder_drop_by_marked on holder_drop (marked_id, entry_id);
-- When holders are looked over and their studs changed: of one item, or of all that have no rule of their own (item null).
create table holder_rule (
  entry_id int primary key references entry (id),
  item_id int references item (id),
  look_months int check (look_months between 1 and 240),
  look_clampings int check (look_clampings between 1 and 100000),
  stud_months int check (stud_months between 1 and 240),
  runout_mm double precision check (runout_mm > 0 and runout_mm < 10),
  runout_entered text,
  check ((runout_mm is null) = (runout_entered is null))
);
create index holder_rule_by_item on holder_rule (item_id, entry_id);
call make_ledger('marked_holder', 'holder_in', 'holder_look', 'holder_stud', 'holder_drop', 'holder_rule');
