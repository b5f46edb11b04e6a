-- What is put together with cutter and holder: extensions and collets from the spindle down, pull stud and spares beside.
-- Each goes back to the place it was taken from. A build of before has none on record, which is not 'none in it'.
create table assembly_part (
  assembly_id int not null references assembly (id),
  place_in_stack int not null check (place_in_stack between 1 and 20),
  item_id int not null references item (id),
  place_id int not null references place (id),
  lot_id int references lot (id),
  -- How far an extension was set out of what carries it; null: as far as its own figures say.
  out_mm double precision check (out_mm > 0 and out_mm < 1000),
  out_entered text,
  entry_id int not null references entry (id),
  primary key (assembly_id, place_in_stack)
);
create index assembly_part_by_item on assembly_part (item_id);
call make_ledger('assembly_part');
