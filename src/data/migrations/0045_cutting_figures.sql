-- What a work material takes to cut, beside its group: stated whole, with where it comes from; the latest word counts. A blank is
-- not known. kc1.1 in N/mm2 at h = b = 1 mm and its exponent mc, density in g/cm3, unit power in hp per in3/min.
create table material_figures (
  entry_id int primary key references entry (id),
  material_id int not null references material (id),
  hardness text check (length(hardness) between 1 and 24),
  kc11 double precision check (kc11 between 50 and 20000),
  mc double precision check (mc > 0 and mc < 1),
  density double precision check (density > 0 and density <= 30),
  unit_power double precision check (unit_power > 0 and unit_power <= 10),
  origin text not null check (origin in ('measured', 'maker', 'similar', 'guess')),
  words text check (length(words) between 1 and 200),
  check ((kc11 is null) = (mc is null))
);
create index material_figures_by_material on material_figures (material_id, entry_id);
call make_ledger('material_figures');

-- What a spindle gives in each of its gears: turns from which to which, power and torque it keeps to at most. Stated whole for a
-- machine; the latest word counts.
create table spindle_gear (
  entry_id int not null references entry (id),
  machine_id int not null references machine (id),
  gear text not null check (gear in ('only', 'low', 'high')),
  from_rpm double precision not null check (from_rpm >= 0),
  to_rpm double precision not null check (to_rpm > from_rpm and to_rpm <= 200000),
  kw double precision not null check (kw > 0 and kw <= 1000),
  nm double precision not null check (nm > 0 and nm <= 100000),
  primary key (entry_id, machine_id, gear)
);
create index spindle_gear_by_machine on spindle_gear (machine_id, entry_id);
call make_ledger('spindle_gear');
