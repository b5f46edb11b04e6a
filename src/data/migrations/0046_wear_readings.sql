-- A wear reading says more than flank wear: corner, chips, where along the flute, runout, what the size does, and signs
-- with their strength. What was not looked at stays empty; a reading says something.
alter table wear_reading alter column flank_wear_mm drop not null;
alter table wear_reading alter column flank_wear_entered drop not null;
alter table wear_reading add column uncertainty_mm double precision check (uncertainty_mm >= 0 and uncertainty_mm < 5);
alter table wear_reading add column corner_mm double precision check (corner_mm >= 0 and corner_mm < 20);
alter table wear_reading add column corner_entered text;
alter table wear_reading add column chips text check (chips in ('none', 'fine', 'coarse'));
alter table wear_reading add column zone_from_mm double precision check (zone_from_mm >= 0);
alter table wear_reading add column zone_to_mm double precision check (zone_to_mm < 2000);
alter table wear_reading add column runout_mm double precision check (runout_mm >= 0 and runout_mm < 5);
alter table wear_reading add column drift_mm double precision check (abs(drift_mm) < 5);
alter table wear_reading add column signs jsonb not null default '[]' check (jsonb_typeof(signs) = 'array');
alter table wear_reading add constraint wear_reading_zone check ((zone_from_mm is null) = (zone_to_mm is null) and zone_from_mm < zone_to_mm);
alter table wear_reading add constraint wear_reading_says check
  (num_nonnulls(flank_wear_mm, corner_mm, chips, zone_from_mm, runout_mm, drift_mm) > 0 or signs <> '[]');
