-- A mark that is another one whenever a life of a cutter in a material is: whoever read its lives knows by it that they are as they
-- were. Drawn by chance, so that none comes twice: not after an entry that was undone, nor in another shop.
alter table life_line disable trigger user;
alter table life_line add column revision uuid not null default gen_random_uuid();
alter table life_line enable trigger user;
create or replace function follow_life() returns trigger language plpgsql as $$
begin
  if tg_op <> 'INSERT' and old.fitted and (tg_op = 'DELETE' or not new.fitted or new.material_id <> old.material_id) then
    update life_line set lives = lives - 1, revision = gen_random_uuid() where item_id = old.item_id and material_id = old.material_id;
  end if;
  if tg_op <> 'DELETE' and new.fitted then
    if tg_op = 'INSERT' or not old.fitted or new.material_id <> old.material_id then
      insert into life_line (item_id, material_id, lives) values (new.item_id, new.material_id, 1)
        on conflict (item_id, material_id) do update set lives = life_line.lives + 1, revision = excluded.revision;
    else
      -- Its minutes, its end or the speeds it cut at: edge_speed is written before life_now is.
      update life_line set revision = gen_random_uuid() where item_id = new.item_id and material_id = new.material_id;
    end if;
  end if;
  return null;
end $$;
