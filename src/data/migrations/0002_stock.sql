-- Places, items with their facts, and stock: movements are the ledger, balances follow by trigger.

create table place (
  id int generated always as identity primary key,
  code text not null unique check (code ~ '^[A-Z0-9][A-Z0-9.-]{0,23}$'),
  name text not null check (length(name) between 1 and 80),
  -- 'build' holds what is in assemblies; 'scrap' and 'lost' are the ends.
  kind text not null check (kind in ('shelf', 'drawer', 'cart', 'build', 'scrap', 'lost')),
  parent_id int references place (id),
  entry_id int references entry (id)
);
insert into place (code, name, kind) values
  ('BUILD', 'In assemblies', 'build'), ('SCRAP', 'Scrap bin', 'scrap'), ('LOST', 'Lost', 'lost');

create table material (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  iso_group text not null check (iso_group in ('P', 'M', 'K', 'N', 'S', 'H', 'O')),
  entry_id int not null references entry (id)
);

create table supplier (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  entry_id int not null references entry (id)
);
create table supplier_terms (
  entry_id int primary key references entry (id),
  supplier_id int not null references supplier (id),
  lead_time_days int check (lead_time_days between 0 and 1000)
);

create table item (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 40),
  kind text not null check (kind in ('cutter', 'holder')),
  maker text check (length(maker) <= 80),
  family text,
  substrate text,
  centre_cutting boolean,
  taper text,
  entry_id int not null references entry (id),
  check ((kind = 'cutter') = (family is not null))
);

-- One fact by ISO 13399 symbol: the text as entered, its number (mm where a length), and where it came from.
create table fact (
  entry_id int not null references entry (id),
  item_id int not null references item (id),
  symbol text not null check (symbol ~ '^[A-Z][A-Z0-9_]{0,15}$'),
  text text not null,
  unit text not null check (unit in ('mm', 'inch', 'deg', '')),
  value double precision not null check (value > -1e6 and value < 1e6),
  origin text not null check (origin in ('measured', 'maker', 'similar', 'guess')),
  primary key (entry_id, item_id, symbol)
);
create index fact_by_item on fact (item_id, symbol);

create table holder_segment (
  entry_id int not null references entry (id),
  item_id int not null references item (id),
  ordinal int not null,
  length_mm double precision not null check (length_mm > 0 and length_mm < 1000),
  upper_mm double precision not null check (upper_mm > 0 and upper_mm < 1000),
  lower_mm double precision not null check (lower_mm > 0 and lower_mm < 1000),
  primary key (entry_id, item_id, ordinal)
);

create table supply (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  supplier_id int not null references supplier (id),
  order_code text not null,
  price_cents int check (price_cents >= 0),
  pack int not null check (pack >= 1),
  minimum int not null check (minimum >= 1)
);

create table assumed_life (
  entry_id int not null references entry (id),
  item_id int not null references item (id),
  -- null: in any material that has no figure of its own
  material_id int references material (id),
  minutes double precision not null check (minutes > 0 and minutes < 1e6),
  origin text not null check (origin in ('measured', 'maker', 'similar', 'guess'))
);

-- One physical cutter with a mark of its own, made when it is first built.
create table piece (
  id int generated always as identity primary key,
  mark text not null unique,
  item_id int not null references item (id),
  entry_id int not null references entry (id)
);

create table movement (
  id int generated always as identity primary key,
  entry_id int not null references entry (id),
  item_id int not null references item (id),
  piece_id int references piece (id),
  -- null: from or to the world outside
  from_place_id int references place (id),
  to_place_id int references place (id),
  quantity int not null check (quantity > 0),
  check (from_place_id is distinct from to_place_id),
  check (piece_id is null or quantity = 1)
);
create index movement_by_item on movement (item_id, id);
create index movement_by_entry on movement (entry_id);

create table balance (
  item_id int not null references item (id),
  place_id int not null references place (id),
  quantity int not null,
  primary key (item_id, place_id),
  constraint balance_not_below_zero check (quantity >= 0)
);
create table piece_place (
  piece_id int primary key references piece (id),
  place_id int not null references place (id)
);

-- Balances are written by the movements' trigger alone.
create function guard_derived() returns trigger language plpgsql as $$
begin
  if tg_op = 'TRUNCATE' or pg_trigger_depth() < 2 then
    raise exception 'written by movements alone' using errcode = 'ST001', table = tg_table_name;
  end if;
  if tg_op = 'DELETE' then return old; end if;
  return new;
end $$;
create trigger balance_derived before insert or update or delete on balance for each row execute function guard_derived();
create trigger balance_derived_whole before truncate on balance for each statement execute function guard_derived();
create trigger piece_place_derived before insert or update or delete on piece_place for each row execute function guard_derived();
create trigger piece_place_derived_whole before truncate on piece_place for each statement execute function guard_derived();

create function add_to_balance(i int, p int, n int) returns void language plpgsql as $$
begin
  update balance set quantity = quantity + n where item_id = i and place_id = p;
  if not found then insert into balance (item_id, place_id, quantity) values (i, p, n); end if;
end $$;

create function follow_movement() returns trigger language plpgsql as $$
declare here int; became int; loose int;
begin
  if new.piece_id is not null then
    if new.item_id <> (select item_id from piece where id = new.piece_id) then
      raise exception 'the piece is another item' using errcode = 'ST002', table = 'movement';
    end if;
    select place_id into here from piece_place where piece_id = new.piece_id for update;
    if here is not null and here is distinct from new.from_place_id then
      raise exception 'the piece is not at that place' using errcode = 'ST002', table = 'movement';
    end if;
    select entry_id into became from piece where id = new.piece_id;
    if became = (select counters from entry where id = new.entry_id) or new.to_place_id is null then
      -- Undoing the build that made it a piece: it is stock again.
      delete from piece_place where piece_id = new.piece_id;
    elsif here is null then
      insert into piece_place (piece_id, place_id) values (new.piece_id, new.to_place_id);
    else
      update piece_place set place_id = new.to_place_id where piece_id = new.piece_id;
    end if;
  end if;
  if new.to_place_id is not null then perform add_to_balance(new.item_id, new.to_place_id, new.quantity); end if;
  if new.from_place_id is not null then
    perform add_to_balance(new.item_id, new.from_place_id, -new.quantity);
    -- A count without a mark may not eat the pieces that lie there.
    select b.quantity - (select count(*) from piece_place pp join piece p on p.id = pp.piece_id
                         where pp.place_id = b.place_id and p.item_id = b.item_id)
      into loose from balance b where b.item_id = new.item_id and b.place_id = new.from_place_id;
    if loose < 0 then
      raise exception 'only marked pieces are left there' using errcode = 'ST005', table = 'movement';
    end if;
  end if;
  return null;
end $$;
create trigger movement_followed after insert on movement for each row execute function follow_movement();

-- A counter-entry moves everything back; the balance check refuses what is no longer there.
create function counter_movements() returns trigger language plpgsql as $$
begin
  insert into movement (entry_id, item_id, piece_id, from_place_id, to_place_id, quantity)
    select new.id, m.item_id, m.piece_id, m.to_place_id, m.from_place_id, m.quantity
    -- The last one first. By m.id: a bare id would be the output column, the counter-entry's number.
    from movement m where m.entry_id = new.counters order by m.id desc;
  return null;
end $$;
create trigger entry_movements_countered after insert on entry
  for each row when (new.counters is not null) execute function counter_movements();

call make_ledger('place', 'material', 'supplier', 'supplier_terms', 'item', 'fact', 'holder_segment', 'supply',
                 'assumed_life', 'piece', 'movement');
