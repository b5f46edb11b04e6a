-- One seat of a body is turned, or gets another insert, while the rest cut on: what sits in each seat, where they are not all
-- alike, and since which set of edges it cuts. A body whose inserts are all alike has none of these rows.
create table seat_insert (
  entry_id int not null references entry (id),
  edge_set_id int not null references mounting (edge_set_id),
  seat int not null check (seat between 1 and 60),
  lot_id int references lot (id),
  since_id int not null references edge_set (id),
  primary key (edge_set_id, seat)
);
-- Screws and other small parts of a body that were renewed. How many sets of edges they have held follows from the mountings.
create table spare_renewed (
  entry_id int primary key references entry (id),
  piece_id int not null references piece (id),
  item_id int not null references item (id),
  quantity int not null check (quantity between 1 and 200)
);
create index spare_renewed_by_piece on spare_renewed (piece_id, item_id, entry_id);
call make_ledger('seat_insert', 'spare_renewed');
