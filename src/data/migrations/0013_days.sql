-- When the shop works, when operations start, and what suppliers promise anew: the latest word counts, none is changed.

create table shop_week (
  entry_id int primary key references entry (id),
  -- Monday first; 0: closed
  minutes int[] not null check (array_length(minutes, 1) = 7 and 0 <= all (minutes) and 1440 >= all (minutes))
);
create table closed_day (
  entry_id int not null references entry (id),
  day date not null,
  -- false: it is open after all
  closed boolean not null,
  reason text,
  primary key (entry_id, day)
);
create index closed_day_by_day on closed_day (day);
create table operation_start (
  entry_id int primary key references entry (id),
  operation_id int not null references operation (id),
  -- null: not stated any more
  starts date
);
create index operation_start_by_operation on operation_start (operation_id);
create table promise (
  entry_id int primary key references entry (id),
  purchase_id int not null references purchase (entry_id),
  promised date not null
);
create index promise_by_purchase on promise (purchase_id);
create index purchase_by_supplier on purchase (supplier_id, entry_id);

call make_ledger('shop_week', 'closed_day', 'operation_start', 'promise');
