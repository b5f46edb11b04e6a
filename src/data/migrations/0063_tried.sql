-- Beside two cutters, two kinds of holders or two recipes are tried: the lives of one cutter tell them apart.
alter table trial add column tried text not null default 'cutter' check (tried in ('cutter', 'holder', 'recipe'));
alter table trial alter column tried drop default;
-- Whose lives tell; null where cutters are tried against each other.
alter table trial add column cutter_item_id int references item (id);
alter table trial add column first_recipe_id int references recipe (id);
alter table trial add column second_recipe_id int references recipe (id);
alter table trial alter column first_item_id drop not null;
alter table trial alter column second_item_id drop not null;
alter table trial add constraint trial_of_two check (
  (tried = 'cutter') = (cutter_item_id is null)
  and num_nonnulls(first_item_id, second_item_id) = case when tried = 'recipe' then 0 else 2 end
  and num_nonnulls(first_recipe_id, second_recipe_id) = case when tried = 'recipe' then 2 else 0 end
  and first_recipe_id is distinct from coalesce(second_recipe_id, -1));
create index trial_by_cutter on trial (cutter_item_id, id) where cutter_item_id is not null;
