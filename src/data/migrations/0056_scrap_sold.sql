-- Scrap is sold by weight: what was weighed and paid for all of one substrate that lay there then. What lies there now is the
-- balance of the scrap, less what was sold of each item by then.
create table scrap_sale (
  entry_id int primary key references entry (id),
  substrate text not null check (length(substrate) between 1 and 40),
  kg double precision not null check (kg > 0 and kg < 100000),
  per_kg_cents int not null check (per_kg_cents between 0 and 100000000),
  buyer text check (length(buyer) between 1 and 80)
);
create index scrap_sale_by_substrate on scrap_sale (substrate, entry_id);
create table scrap_sale_line (
  entry_id int not null references scrap_sale (entry_id),
  item_id int not null references item (id),
  quantity int not null check (quantity > 0),
  -- All of the item that was ever scrapped by then.
  total int not null check (total >= quantity),
  primary key (entry_id, item_id)
);
create index scrap_sale_line_by_item on scrap_sale_line (item_id, entry_id);
call make_ledger('scrap_sale', 'scrap_sale_line');
