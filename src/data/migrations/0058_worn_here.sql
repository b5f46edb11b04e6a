-- Wear at which the cutter of a T counts as worn there, where that is another than its usual: said with when it is changed.
alter table change_rule add column flank_mm double precision check (flank_mm > 0 and flank_mm <= 2);
alter table change_rule add column flank_entered text;
alter table change_rule add column corner_mm double precision check (corner_mm > 0 and corner_mm <= 2);
alter table change_rule add column corner_entered text;
alter table change_rule add check ((flank_mm is null) = (flank_entered is null) and (corner_mm is null) = (corner_entered is null));
-- Changed sooner by that alone: its life did not end by what lives are counted to.
alter table ending drop constraint ending_kind_check;
alter table ending add check (kind in ('worn', 'worn-here', 'sign', 'chipped', 'broken', 'crash', 'pulled-out', 'lost', 'preventive'));
