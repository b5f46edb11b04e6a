-- How a machine gains and loses speed, and how far it may stay away from a corner: its own times are reckoned by both.
alter table machine_figures
  add column acceleration_mm_s2 double precision check (acceleration_mm_s2 > 0 and acceleration_mm_s2 <= 100000),
  add column corner_mm double precision check (corner_mm > 0 and corner_mm <= 5),
  add check ((acceleration_mm_s2 is null) = (corner_mm is null));

-- A program that is read again, as its machine is taken for now, keeps its text where it lies: programs are megabytes.
alter table program alter column text drop not null;
alter table program
  add column text_of int references program (entry_id),
  add check ((text is null) <> (text_of is null));
create index program_by_text_of on program (text_of) where text_of is not null;
