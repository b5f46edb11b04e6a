-- Two cutters tried against each other in a material: which goes in next is alternated until so many of each have failed.
create table trial (
  id int generated always as identity primary key,
  number text not null unique check (number ~ '^TR-[0-9]{4,}$'),
  entry_id int not null references entry (id),
  first_item_id int not null references item (id),
  second_item_id int not null references item (id),
  material_id int not null references material (id),
  -- It ends after twice as many failures of both together.
  failures_each int not null check (failures_each between 1 and 50),
  why text check (length(why) between 1 and 200),
  check (first_item_id <> second_item_id)
);
create index trial_by_first on trial (first_item_id, id);
create index trial_by_second on trial (second_item_id, id);
create index trial_by_entry on trial (entry_id);
-- How it was decided, by whoever ended it; winner null: neither.
create table trial_end (
  entry_id int primary key references entry (id),
  trial_id int not null references trial (id),
  winner text check (winner in ('first', 'second')),
  words text check (length(words) between 1 and 200)
);
create index trial_end_by_trial on trial_end (trial_id, entry_id);
call make_ledger('trial', 'trial_end');
