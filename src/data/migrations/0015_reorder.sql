-- What is kept on the shelf without any job asking for it: below so many, up to so many is ordered. The latest word counts.

create table reorder_point (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  -- null: none any more
  minimum int check (minimum between 1 and 100000),
  up_to int check (up_to between 1 and 100000),
  check ((minimum is null) = (up_to is null) and up_to >= minimum)
);
create index reorder_point_by_item on reorder_point (item_id, entry_id);
call make_ledger('reorder_point');
