-- What a drill or reamer made was measured: its size, and the limits it is held to as they were said. Out of them the reading
-- says 'tight' or 'loose', as a gauge would.
alter table wear_reading add column hole_mm double precision check (hole_mm > 0 and hole_mm < 1000);
alter table wear_reading add column hole_entered text;
alter table wear_reading add column hole_fits text check (length(hole_fits) between 1 and 24);
alter table wear_reading add column hole_least_mm double precision check (hole_least_mm > 0 and hole_least_mm < 1000);
alter table wear_reading add column hole_most_mm double precision check (hole_most_mm > 0 and hole_most_mm < 1000);
alter table wear_reading add constraint wear_reading_hole check
  (num_nonnulls(hole_mm, hole_entered, hole_fits, hole_least_mm, hole_most_mm) in (0, 5) and hole_least_mm <= hole_most_mm
   and (hole_mm is null or gauge is not null));
