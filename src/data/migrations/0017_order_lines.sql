-- An order has several lines, each of one item: what came and what is promised is of a line. A line has a number of its
-- own; those of before keep the number of their entry, which receipts and promises name.

alter table purchase disable trigger user;
alter table purchase add column id int;
alter table purchase add column line int not null default 1 check (line between 1 and 100);
update purchase set id = entry_id;
alter table purchase enable trigger user;
alter table receipt drop constraint receipt_purchase_id_fkey;
alter table promise drop constraint promise_purchase_id_fkey;
alter table purchase_now drop constraint purchase_now_purchase_id_fkey;
alter table purchase drop constraint purchase_pkey;
alter table purchase drop constraint purchase_number_key;
alter table purchase alter column id set not null;
alter table purchase add primary key (id);
alter table purchase add constraint purchase_line_once unique (number, line);
create index purchase_by_entry on purchase (entry_id);
create sequence purchase_id_seq owned by purchase.id;
select setval('purchase_id_seq', coalesce(max(id), 0) + 1, false) from purchase;
alter table purchase alter column id set default nextval('purchase_id_seq');
-- All lines of an order may be promised anew at once.
alter table promise drop constraint promise_pkey;
alter table promise add primary key (entry_id, purchase_id);
alter table receipt add foreign key (purchase_id) references purchase (id);
alter table promise add foreign key (purchase_id) references purchase (id);
alter table purchase_now add foreign key (purchase_id) references purchase (id);

create or replace function receipt_within_order() returns trigger language plpgsql as $$
begin
  if new.quantity + coalesce((select sum(r.quantity) from receipt r join live_entry e on e.id = r.entry_id
                              where r.purchase_id = new.purchase_id), 0)
     > (select quantity from purchase where id = new.purchase_id for update) then
    raise exception 'more than was ordered' using errcode = 'ST007', table = 'receipt';
  end if;
  return new;
end $$;
create or replace function refresh_purchases(ids int[]) returns void language plpgsql as $$
begin
  delete from purchase_now where purchase_id = any (ids);
  insert into purchase_now (purchase_id, item_id, quantity, received, happened_at)
    select p.id, p.item_id, p.quantity,
      coalesce((select sum(r.quantity)::int from receipt r join live_entry re on re.id = r.entry_id where r.purchase_id = p.id), 0),
      e.happened_at
    from purchase p join live_entry e on e.id = p.entry_id where p.id = any (ids);
end $$;
create or replace function follow_purchase() returns trigger language plpgsql as $$
begin perform refresh_purchases(array[new.id]); return null; end $$;

-- The two long ones stay as they were written but for the number they hand on.
do $$
declare name text; was text;
begin
  foreach name in array array['counter_in_force', 'rebuild_in_force'] loop
    was := pg_get_functiondef(name::regproc);
    if position('select entry_id from purchase' in was) = 0 then raise exception '% is not as it was', name; end if;
    execute replace(was, 'select entry_id from purchase', 'select id from purchase');
  end loop;
end $$;
