-- Wear, endings, grades; orders and what came of them.

create table wear_reading (
  entry_id int primary key references entry (id),
  edge_set_id int not null references edge_set (id),
  flank_wear_mm double precision not null check (flank_wear_mm >= 0 and flank_wear_mm < 20),
  flank_wear_entered text not null
);

create table ending (
  entry_id int primary key references entry (id),
  edge_set_id int not null references edge_set (id),
  kind text not null check (kind in ('worn', 'sign', 'chipped', 'broken', 'crash', 'pulled-out', 'lost', 'preventive')),
  signs jsonb not null,
  cost_cents int check (cost_cents >= 0)
);
create function one_ending() returns trigger language plpgsql as $$
begin
  if exists (select 1 from ending x join live_entry e on e.id = x.entry_id where x.edge_set_id = new.edge_set_id) then
    raise exception 'this life has ended already' using errcode = 'ST006', table = 'ending';
  end if;
  return new;
end $$;
create trigger ending_once before insert on ending for each row execute function one_ending();

create table grade (
  entry_id int primary key references entry (id),
  piece_id int not null references piece (id),
  grade text not null check (length(trim(grade)) > 0),
  good_zone text
);

create table purchase (
  entry_id int primary key references entry (id),
  number text not null unique,
  item_id int not null references item (id),
  supplier_id int not null references supplier (id),
  quantity int not null check (quantity > 0),
  promised date not null,
  price_cents int check (price_cents >= 0),
  because jsonb not null
);
create table receipt (
  entry_id int primary key references entry (id),
  purchase_id int not null references purchase (entry_id),
  quantity int not null check (quantity > 0)
);
create function receipt_within_order() returns trigger language plpgsql as $$
begin
  if new.quantity + coalesce((select sum(r.quantity) from receipt r join live_entry e on e.id = r.entry_id
                              where r.purchase_id = new.purchase_id), 0)
     > (select quantity from purchase where entry_id = new.purchase_id for update) then
    raise exception 'more than was ordered' using errcode = 'ST007', table = 'receipt';
  end if;
  return new;
end $$;
create trigger receipt_within before insert on receipt for each row execute function receipt_within_order();

call make_ledger('wear_reading', 'ending', 'grade', 'purchase', 'receipt');
