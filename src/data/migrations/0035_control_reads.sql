-- How a machine's control reads a program, where controls differ: what the P of a dwell is in, how far above the depth reached a
-- pecking cycle stops its rapid back, whether D must be the number of its tool. null: nobody said; seconds, 0, no.
alter table machine_figures add column dwell_unit text check (dwell_unit in ('seconds', 'milliseconds'));
alter table machine_figures add column peck_clearance_mm double precision check (peck_clearance_mm >= 0 and peck_clearance_mm <= 50);
alter table machine_figures add column d_equals_t boolean;
-- Speeds between which its spindle hunts: it swings about what it was told. Both, or nobody said.
alter table machine_figures add column hunts_from double precision check (hunts_from >= 0);
alter table machine_figures add column hunts_to double precision check (hunts_to <= 200000);
alter table machine_figures add constraint hunts_between check ((hunts_from is null) = (hunts_to is null) and hunts_from < hunts_to);
