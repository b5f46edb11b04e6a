-- Devices that measure: each with the master it is checked at and the port it answers on, on this machine. Their checks, and
-- the readings that measurements were made of, by the device's own count, so that none is taken twice.
create table device (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  port int not null check (port between 1024 and 65535),
  master_mm double precision not null check (master_mm > 0 and master_mm < 2000),
  master_entered text not null,
  entry_id int not null references entry (id)
);
create index device_by_entry on device (entry_id);
create table zero_check (
  entry_id int primary key references entry (id),
  device_id int not null references device (id),
  -- When it happened, beside its entry: what comes first after a measurement is found by the index.
  at timestamptz not null,
  off_mm double precision not null check (abs(off_mm) < 1000),
  ok boolean not null
);
create index zero_check_by_device on zero_check (device_id, at, entry_id);
create table reading (
  entry_id int not null references measurement (entry_id),
  device_id int not null references device (id),
  serial int not null check (serial >= 0),
  length_mm double precision not null,
  diameter_mm double precision,
  runout_mm double precision,
  primary key (entry_id, serial)
);
create index reading_by_serial on reading (device_id, serial);
call make_ledger('device', 'zero_check', 'reading');
alter table measurement add column device_id int references device (id);
