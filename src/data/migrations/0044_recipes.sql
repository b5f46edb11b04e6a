-- How a cutter is run in a material: a very cutter, or any of a family between two diameters; on one machine or any. Speeds and
-- feeds are kept in the measure they were stated in. A recipe is never changed: another is written instead of it.
create table recipe (
  id int generated always as identity primary key,
  code text not null unique,
  item_id int references item (id),
  family text check (length(family) between 1 and 40),
  least_mm double precision check (least_mm > 0 and least_mm <= 1000),
  least_entered text,
  most_mm double precision check (most_mm >= least_mm and most_mm <= 1000),
  most_entered text,
  material_id int not null references material (id),
  machine_id int references machine (id),
  cut text not null check (length(cut) between 1 and 24),
  speed_as text check (speed_as in ('Vc', 'Vc ft', 'n')),
  speed_least double precision check (speed_least > 0 and speed_least <= 200000),
  speed_most double precision check (speed_most >= speed_least and speed_most <= 200000),
  feed_as text check (feed_as in ('tooth', 'turn', 'minute')),
  feed_least_mm double precision check (feed_least_mm > 0 and feed_least_mm <= 50000),
  feed_least_entered text,
  feed_most_mm double precision check (feed_most_mm >= feed_least_mm and feed_most_mm <= 50000),
  feed_most_entered text,
  ap_mm double precision check (ap_mm > 0 and ap_mm <= 1000),
  ap_entered text,
  ae_mm double precision check (ae_mm > 0 and ae_mm <= 1000),
  ae_entered text,
  ramp_deg double precision check (ramp_deg > 0 and ramp_deg <= 90),
  coolant text check (length(coolant) between 1 and 24),
  words text check (length(words) between 1 and 500),
  -- The one it was written instead of.
  instead_of int references recipe (id),
  entry_id int not null references entry (id),
  check (num_nonnulls(item_id, family) = 1),
  check (num_nonnulls(speed_as, speed_least, speed_most) in (0, 3)),
  check (num_nonnulls(feed_as, feed_least_mm, feed_most_mm, feed_least_entered, feed_most_entered) in (0, 5)),
  check (speed_as is not null or feed_as is not null),
  check ((family is null) = (least_mm is null) and (least_mm is null) = (most_mm is null)),
  check ((least_mm is null) = (least_entered is null) and (most_mm is null) = (most_entered is null)),
  check ((ap_mm is null) = (ap_entered is null) and (ae_mm is null) = (ae_entered is null))
);
create index recipe_by_item on recipe (item_id, material_id) where item_id is not null;
create index recipe_by_material on recipe (material_id, id);
create index recipe_by_instead on recipe (instead_of) where instead_of is not null;

-- What came of a recipe where it was run: the latest word counts.
create table recipe_outcome (
  entry_id int primary key references entry (id),
  recipe_id int not null references recipe (id),
  outcome text not null check (outcome in ('tried', 'proven', 'rejected')),
  operation_id int references operation (id),
  minutes double precision check (minutes > 0 and minutes <= 1000000),
  parts int check (parts > 0 and parts <= 1000000),
  words text check (length(words) between 1 and 500)
);
create index recipe_outcome_by_recipe on recipe_outcome (recipe_id, entry_id);
call make_ledger('recipe', 'recipe_outcome');

-- The recipe that a T is planned to run by.
alter table tool_plan add column recipe_id int references recipe (id);
create index tool_plan_by_recipe on tool_plan (recipe_id) where recipe_id is not null;
