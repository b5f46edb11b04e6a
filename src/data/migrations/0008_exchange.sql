-- Lists in and out, questions kept by name, pictures, and the shop's own rules for choosing.

-- Many items of one entry have a supplier of their own; many have outlines and standings.
alter table supply drop constraint supply_pkey;
alter table supply add primary key (entry_id, item_id);
alter table item_standing drop constraint item_standing_pkey;
alter table item_standing add primary key (entry_id, item_id);
alter table item_link drop constraint item_link_pkey;
alter table item_link add primary key (entry_id, item_id, earlier_item_id);

-- A name's latest address counts; an empty address drops the name.
create table saved_view (
  entry_id int primary key references entry (id),
  name text not null check (length(trim(name)) between 1 and 60),
  address text not null check (length(address) <= 600)
);

-- Columns of a list that people mapped to symbols, remembered by the header's words; null: left out on purpose.
create table column_mapping (
  entry_id int not null references entry (id),
  header text not null check (length(header) between 1 and 120),
  symbol text check (length(symbol) between 1 and 40),
  primary key (entry_id, header)
);
create index column_mapping_by_header on column_mapping (header, entry_id);
create table import_list (
  entry_id int primary key references entry (id),
  name text not null check (length(name) between 1 and 200),
  digest text not null,
  added int not null check (added >= 0),
  changed int not null check (changed >= 0)
);

create table picture (
  entry_id int primary key references entry (id),
  item_id int references item (id),
  piece_id int references piece (id),
  shows text not null check (length(trim(shows)) between 1 and 80),
  mime text not null check (mime in ('image/jpeg', 'image/png', 'image/webp')),
  width int not null check (width between 1 and 20000),
  height int not null check (height between 1 and 20000),
  bytes bytea not null check (length(bytes) between 1 and 3000000),
  thumb bytea not null check (length(thumb) between 1 and 200000),
  constraint picture_of_something check (num_nonnulls(item_id, piece_id) = 1)
);
create index picture_by_item on picture (item_id);
create index picture_by_piece on picture (piece_id);

-- The shop's rules for choosing a cutter and how much each reason weighs; the latest counts.
create table choosing_rules (
  entry_id int primary key references entry (id),
  rules jsonb not null check (jsonb_typeof(rules) = 'object')
);

-- Inserts taken out of a body: the whole ones have one edge less, the broken ones are scrap.
create table unmounting (
  entry_id int primary key references entry (id),
  edge_set_id int not null references mounting (edge_set_id),
  broken int not null check (broken >= 0)
);
create index unmounting_by_edge_set on unmounting (edge_set_id);
create function unmounted_once() returns trigger language plpgsql as $$
begin
  if exists (select 1 from unmounting u join live_entry e on e.id = u.entry_id where u.edge_set_id = new.edge_set_id) then
    raise exception 'these inserts are out already' using errcode = 'ST008', table = tg_table_name;
  end if;
  return new;
end $$;
create trigger unmounting_once before insert on unmounting for each row execute function unmounted_once();

call make_ledger('unmounting', 'saved_view', 'column_mapping', 'import_list', 'picture', 'choosing_rules');
