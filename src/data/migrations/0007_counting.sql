-- Counting: nested places of more kinds, lots, loans, count sheets, regrinding, seats and mounted inserts, grades
-- with the zone that is still good, a ladder that the shop can change.

alter table place drop constraint place_kind_check;
alter table place add constraint place_kind_check check (kind in
  ('room', 'cabinet', 'shelf', 'drawer', 'bin', 'cart', 'build', 'hand', 'machine', 'regrind', 'scrap', 'lost'));
create index place_by_parent on place (parent_id);
-- In somebody's hands: one place a person, made with them.
alter table place add column person text references person (initials);
alter table place add constraint place_hand_of_a_person check ((kind = 'hand') = (person is not null));
create unique index place_one_hand_a_person on place (person);
insert into place (code, name, kind, person) select 'HAND-' || initials, 'with ' || name, 'hand', initials from person;
create function give_hand() returns trigger language plpgsql as $$
begin
  insert into place (code, name, kind, person) values ('HAND-' || new.initials, 'with ' || new.name, 'hand', new.initials);
  return null;
end $$;
create trigger person_has_a_hand after insert on person for each row execute function give_hand();

-- The core's own list of where stock lies in the crib, which a test compares.
create function in_crib(kind text) returns boolean language sql immutable as $$
  select kind in ('room', 'cabinet', 'shelf', 'drawer', 'bin', 'cart')
$$;

-- A parcel of an item that is told apart: a maker's lot, a supplier's own stock, inserts with edges used.
create table lot (
  id int generated always as identity primary key,
  item_id int not null references item (id),
  code text check (length(trim(code)) between 1 and 40),
  owner_supplier_id int references supplier (id),
  edges_left int check (edges_left between 1 and 32),
  entry_id int not null references entry (id),
  constraint lot_says_something check (num_nonnulls(code, owner_supplier_id, edges_left) > 0),
  constraint lot_once unique nulls not distinct (item_id, code, owner_supplier_id, edges_left)
);
alter table assembly add column holder_lot_id int references lot (id);
alter table piece add column lot_id int references lot (id);
alter table movement add column lot_id int references lot (id);
alter table balance add column lot_id int references lot (id);
alter table balance drop constraint balance_pkey;
alter table balance add constraint balance_once unique nulls not distinct (item_id, place_id, lot_id);
create index balance_by_place on balance (place_id, item_id) where quantity > 0;
create index piece_place_by_place on piece_place (place_id);
create index movement_by_piece on movement (piece_id, id) where piece_id is not null;
create index movement_from on movement (from_place_id, id);
create index movement_to on movement (to_place_id, id);
create index entry_by_who on entry (who, id);
create index edge_set_by_piece on edge_set (piece_id, id);
create index ending_by_edge_set on ending (edge_set_id);
create index grade_by_piece on grade (piece_id, entry_id);
create index wear_reading_by_edge_set on wear_reading (edge_set_id);
create index assembly_by_piece on assembly (piece_id);
create index purchase_by_item on purchase (item_id);
create index receipt_by_purchase on receipt (purchase_id);

-- How many of a balance are marked pieces: kept, not counted, and never more than lie there.
alter table balance disable trigger balance_derived;
alter table balance add column marked int not null default 0;
update balance b set marked = (select count(*) from piece_place pp join piece x on x.id = pp.piece_id
                               where pp.place_id = b.place_id and x.item_id = b.item_id);
alter table balance enable trigger balance_derived;
alter table balance add constraint balance_marked_lie_there check (quantity < 0 or marked between 0 and quantity);

drop function add_to_balance(int, int, int);
create function add_to_balance(i int, p int, l int, n int, m int) returns void language plpgsql as $$
begin
  if l is null then
    update balance set quantity = quantity + n, marked = marked + m where item_id = i and place_id = p and lot_id is null;
  else
    update balance set quantity = quantity + n, marked = marked + m where item_id = i and place_id = p and lot_id = l;
  end if;
  if not found then insert into balance (item_id, place_id, lot_id, quantity, marked) values (i, p, l, n, m); end if;
end $$;

create or replace function follow_movement() returns trigger language plpgsql as $$
declare
  here int; became int;
  from_crib boolean; to_crib boolean;
  -- Marked pieces that leave the one place and come to the other, and what that is for the crib's unmarked stock.
  marked_off int := 0; marked_on int := 0; unmarked int;
begin
  select in_crib(kind) into from_crib from place where id = new.from_place_id;
  select in_crib(kind) into to_crib from place where id = new.to_place_id;
  if new.lot_id is not null and new.item_id <> (select item_id from lot where id = new.lot_id) then
    raise exception 'the lot is of another item' using errcode = 'ST002', table = 'movement';
  end if;
  if new.piece_id is not null then
    if not exists (select 1 from piece where id = new.piece_id and item_id = new.item_id and lot_id is not distinct from new.lot_id) then
      raise exception 'the piece is another item' using errcode = 'ST002', table = 'movement';
    end if;
    select place_id into here from piece_place where piece_id = new.piece_id for update;
    if here is not null and here is distinct from new.from_place_id then
      raise exception 'the piece is not at that place' using errcode = 'ST002', table = 'movement';
    end if;
    -- Until now it was unmarked stock, where nothing is known of it.
    marked_off := case when here is null then 0 else 1 end;
    select entry_id into became from piece where id = new.piece_id;
    if became = (select counters from entry where id = new.entry_id) or new.to_place_id is null then
      -- Undoing the entry that made it a piece: it is unmarked stock again.
      delete from piece_place where piece_id = new.piece_id;
    else
      marked_on := 1;
      if here is null then insert into piece_place (piece_id, place_id) values (new.piece_id, new.to_place_id);
      else update piece_place set place_id = new.to_place_id where piece_id = new.piece_id; end if;
    end if;
  end if;
  if new.to_place_id is not null then perform add_to_balance(new.item_id, new.to_place_id, new.lot_id, new.quantity, marked_on); end if;
  if new.from_place_id is not null then perform add_to_balance(new.item_id, new.from_place_id, new.lot_id, -new.quantity, -marked_off); end if;
  unmarked := coalesce(to_crib, false)::int * (new.quantity - marked_on) - coalesce(from_crib, false)::int * (new.quantity - marked_off);
  if unmarked <> 0 then update item_now set unused = unused + unmarked where item_id = new.item_id; end if;
  return null;
end $$;

create or replace function counter_movements() returns trigger language plpgsql as $$
begin
  insert into movement (entry_id, item_id, piece_id, lot_id, from_place_id, to_place_id, quantity)
    select new.id, m.item_id, m.piece_id, m.lot_id, m.to_place_id, m.from_place_id, m.quantity
    -- The last one first. By m.id: a bare id would be the output column, the counter-entry's number.
    from movement m where m.entry_id = new.counters order by m.id desc;
  return null;
end $$;

-- What somebody has, and by which day it is wanted back (null: no day was said).
create table loan (
  entry_id int primary key references entry (id),
  item_id int not null references item (id),
  piece_id int references piece (id),
  lot_id int references lot (id),
  hand_place_id int not null references place (id),
  quantity int not null check (quantity > 0),
  due date
);
create index loan_by_hand on loan (hand_place_id, item_id);

create table count_sheet (
  id int generated always as identity primary key,
  number text not null unique,
  place_id int not null references place (id),
  entry_id int not null references entry (id)
);
create index count_sheet_by_place on count_sheet (place_id);
-- What was counted, and what the books said at that moment; the latest line of an item there counts.
create table count_line (
  entry_id int not null references entry (id),
  sheet_id int not null references count_sheet (id),
  place_id int not null references place (id),
  item_id int not null references item (id),
  lot_id int references lot (id),
  counted int not null check (counted between 0 and 100000),
  expected int not null check (expected >= 0),
  constraint count_line_once unique nulls not distinct (entry_id, place_id, item_id, lot_id)
);
create index count_line_by_sheet on count_line (sheet_id);
create table count_booking (
  entry_id int primary key references entry (id),
  sheet_id int not null references count_sheet (id),
  explained text check (length(explained) <= 2000)
);
create index count_booking_by_sheet on count_booking (sheet_id);
create function count_booked_once() returns trigger language plpgsql as $$
begin
  if exists (select 1 from count_booking b join live_entry e on e.id = b.entry_id where b.sheet_id = new.sheet_id) then
    raise exception 'this count sheet is booked' using errcode = 'ST008', table = tg_table_name;
  end if;
  return new;
end $$;
create trigger count_line_open before insert on count_line for each row execute function count_booked_once();
create trigger count_booking_once before insert on count_booking for each row execute function count_booked_once();

create table regrind_out (
  entry_id int primary key references entry (id),
  piece_id int not null references piece (id),
  place_id int not null references place (id),
  due date,
  wanted text check (length(wanted) <= 200)
);
create index regrind_out_by_piece on regrind_out (piece_id);
create table regrind_back (
  entry_id int primary key references entry (id),
  out_entry_id int not null references regrind_out (entry_id),
  edge_set_id int references edge_set (id),
  dc_mm double precision check (dc_mm > 0 and dc_mm < 1000),
  dc_entered text,
  lcf_mm double precision check (lcf_mm > 0 and lcf_mm < 1000),
  lcf_entered text,
  recoated text check (length(trim(recoated)) between 1 and 80),
  cost_cents int check (cost_cents >= 0),
  lost boolean not null,
  -- Measured on return, or it did not come back.
  constraint regrind_back_measured check (lost or (dc_mm is not null and lcf_mm is not null and edge_set_id is not null))
);
create index regrind_back_by_out on regrind_back (out_entry_id);
create function regrind_back_once() returns trigger language plpgsql as $$
begin
  if exists (select 1 from regrind_back b join live_entry e on e.id = b.entry_id where b.out_entry_id = new.out_entry_id) then
    raise exception 'it came back already' using errcode = 'ST008', table = tg_table_name;
  end if;
  return new;
end $$;
create trigger regrind_back_once before insert on regrind_back for each row execute function regrind_back_once();

-- Where a cutter may still be used, down to scrap; the latest counts.
create table grade_ladder (
  entry_id int primary key references entry (id),
  rungs jsonb not null check (jsonb_typeof(rungs) = 'array' and jsonb_array_length(rungs) between 1 and 20)
);
-- The part of the flute that is still good, from the tip.
alter table grade add column good_from_mm double precision check (good_from_mm >= 0 and good_from_mm < 1000);
alter table grade add column good_to_mm double precision check (good_to_mm > good_from_mm and good_to_mm < 1000);
alter table grade add column signs jsonb;
alter table grade drop constraint grade_pkey;
alter table grade add primary key (entry_id, piece_id);

create table seat_state (
  entry_id int not null references entry (id),
  piece_id int not null references piece (id),
  seat int not null check (seat between 1 and 60),
  damaged boolean not null,
  primary key (entry_id, piece_id, seat)
);
create index seat_state_by_piece on seat_state (piece_id, seat);
-- The inserts of one edge set of a body: all of one item, so that grades are never mixed.
create table mounting (
  entry_id int not null references entry (id),
  edge_set_id int not null primary key references edge_set (id),
  item_id int not null references item (id),
  lot_id int references lot (id),
  quantity int not null check (quantity between 1 and 60)
);
create index mounting_by_item on mounting (item_id);

call make_ledger('lot', 'loan', 'count_sheet', 'count_line', 'count_booking', 'regrind_out', 'regrind_back',
                 'grade_ladder', 'seat_state', 'mounting');
