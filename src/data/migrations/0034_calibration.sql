-- What is measured by: a height stand stands beside the presetters, its dial against a block; it may answer on a port or be read
-- by eye. Masters, blocks, torque wrenches and bore gauges have a certificate with a date; so have devices.
alter table device add column kind text not null default 'presetter' check (kind in ('presetter', 'height stand'));
alter table device alter column port drop not null;
create table gauge (
  id int generated always as identity primary key,
  code text not null unique check (length(code) between 1 and 24),
  name text not null check (length(name) between 1 and 80),
  kind text not null check (kind in ('master', 'gauge block', 'torque wrench', 'bore gauge', 'micrometer')),
  -- Of a master or a block: its length by the certificate.
  size_mm double precision check (size_mm > 0 and size_mm < 2000),
  size_entered text,
  entry_id int not null references entry (id)
);
create index gauge_by_entry on gauge (entry_id);
-- As it was found when it was calibrated, and when it is due again.
create table calibration (
  entry_id int primary key references entry (id),
  gauge_id int references gauge (id),
  device_id int references device (id),
  at timestamptz not null,
  due date not null,
  ok boolean not null,
  found text check (length(found) between 1 and 200),
  check (num_nonnulls(gauge_id, device_id) = 1)
);
create index calibration_by_gauge on calibration (gauge_id, at, entry_id) where gauge_id is not null;
create index calibration_by_device on calibration (device_id, at, entry_id) where device_id is not null;
-- What one that was found off puts in doubt: measurements, tightenings, sizes of parts, each by its own entry.
create table doubt (
  entry_id int not null references calibration (entry_id),
  doubted_id int not null references entry (id),
  primary key (entry_id, doubted_id)
);
create index doubt_by_doubted on doubt (doubted_id);
-- Which wrench a build was tightened with.
create table tightening (
  entry_id int not null references entry (id),
  assembly_id int not null references assembly (id),
  gauge_id int not null references gauge (id),
  torque double precision check (torque > 0 and torque < 2000),
  primary key (entry_id, assembly_id)
);
create index tightening_by_assembly on tightening (assembly_id, entry_id);
create index tightening_by_gauge on tightening (gauge_id, entry_id);
alter table zero_check add column gauge_id int references gauge (id);
create index zero_check_by_gauge on zero_check (gauge_id, at, entry_id) where gauge_id is not null;
alter table size_correction add column gauge_id int references gauge (id);
create index size_correction_by_gauge on size_correction (gauge_id, entry_id) where gauge_id is not null;
-- A tool that was not at 20 °C: its temperature, and the length as it was read before it was brought to 20.
alter table measurement add column temperature double precision check (temperature between -20 and 120);
alter table measurement add column read_mm double precision check (read_mm > 0 and read_mm < 5000);
-- Of a height stand: the block its dial stood against.
alter table measurement add column block_mm double precision check (block_mm > 0 and block_mm < 2000);
create index measurement_by_device on measurement (device_id, entry_id) where device_id is not null;
-- What is to be measured: never, or its newest length is in question.
create index assembly_now_to_measure on assembly_now (assembly_id) where good_id is null or newest_id is distinct from good_id;
call make_ledger('gauge', 'calibration', 'doubt', 'tightening');
