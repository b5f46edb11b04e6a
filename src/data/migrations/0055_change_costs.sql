-- What a change of a cutter and a failure in the cut cost the shop beside the edge: the latest stands.
create table change_costs (
  entry_id int primary key references entry (id),
  -- A minute of machine and person.
  minute_cents int not null check (minute_cents between 1 and 100000000),
  -- Minutes a planned change takes, and minutes lost beside it when one fails.
  change_minutes double precision not null check (change_minutes > 0 and change_minutes <= 1000),
  failure_minutes double precision not null check (failure_minutes >= 0 and failure_minutes <= 10000),
  -- A part that is lost; null: nobody said, and it is not reckoned.
  part_cents int check (part_cents between 0 and 100000000)
);
call make_ledger('change_costs');
