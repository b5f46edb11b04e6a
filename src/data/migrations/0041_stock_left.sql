-- What a T leaves on the part for another, mm: at its walls and on its floor; 0: it cuts to size. null: nobody said.
alter table tool_plan
  add column leaves_side_mm double precision check (leaves_side_mm >= 0 and leaves_side_mm <= 100),
  add column leaves_floor_mm double precision check (leaves_floor_mm >= 0 and leaves_floor_mm <= 100);
