-- Who cuts a material most: to hold one cutter beside another.
create index life_line_by_material on life_line (material_id, lives desc, item_id) where lives > 0;

-- What was foretold of a fresh edge when its first minutes were logged: minutes by which a twentieth, two ... nineteen of such have failed.
create table forecast (
  entry_id int not null references entry (id),
  edge_set_id int not null references edge_set (id),
  material_id int not null references material (id),
  failed_by double precision[] not null check (cardinality(failed_by) = 19),
  -- On how many lives it rested, and how many of them had failed.
  lives int not null check (lives >= 0),
  failures int not null check (failures between 0 and lives),
  primary key (entry_id, edge_set_id)
);
create index forecast_of_edges on forecast (edge_set_id, entry_id);
call make_ledger('forecast');
