-- Every balance has a number of its own, by which a page of the stock table goes on; and what was taken of a supplier's
-- own stock is settled with them.

alter table balance disable trigger balance_derived;
alter table balance add column id int generated always as identity unique;
alter table balance enable trigger balance_derived;
create index balance_by_quantity on balance (quantity, id) where quantity > 0;
-- Places in the order in which people count them: P2 before P10.
alter table place add column sort_code text generated always as (natural_key(code)) stored;
create index place_by_sort_code on place (sort_code);
-- Whether an item answers a range is read from the index alone.
create index fact_now_of_item on fact_now (item_id, symbol, value);
create index lot_by_owner on lot (owner_supplier_id) where owner_supplier_id is not null;
create index movement_by_lot on movement (lot_id, id) where lot_id is not null;

-- All that was taken of one supplier's own stock up to a movement is settled: paid for, or replaced.
create table settlement (
  entry_id int primary key references entry (id),
  supplier_id int not null references supplier (id),
  up_to_movement_id int not null references movement (id),
  reference text check (length(trim(reference)) between 1 and 80)
);
create index settlement_by_supplier on settlement (supplier_id, up_to_movement_id);
-- Two people can't settle the same takings.
create function settlement_goes_on() returns trigger language plpgsql as $$
begin
  perform pg_advisory_xact_lock(9001, new.supplier_id);
  if exists (select 1 from settlement s join live_entry e on e.id = s.entry_id
             where s.supplier_id = new.supplier_id and s.up_to_movement_id >= new.up_to_movement_id) then
    raise exception 'these takings are settled already' using errcode = 'ST008', table = tg_table_name;
  end if;
  return new;
end $$;
create trigger settlement_goes_on before insert on settlement for each row execute function settlement_goes_on();

call make_ledger('settlement');
