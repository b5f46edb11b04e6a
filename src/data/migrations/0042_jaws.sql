-- How high a vise's jaws stand above its bed: what reaches beyond the part must stay above them. null: nobody said.
alter table fixture
  add column jaw_high_mm double precision check (jaw_high_mm > 0 and jaw_high_mm <= 500),
  add column jaw_high_entered text,
  add check ((jaw_high_mm is null) = (jaw_high_entered is null));
