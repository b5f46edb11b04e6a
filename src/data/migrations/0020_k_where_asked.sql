-- K is measured where a school of registers counts from the datum surface: elsewhere it may not be known.
alter table machine_figures alter column k_mm drop not null;
alter table machine_figures alter column k_entered drop not null;
