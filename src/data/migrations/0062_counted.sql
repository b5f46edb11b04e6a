-- A cutter may be changed after so many holes, metres or minutes of its edge, wherever it cut them, and not after parts alone.
alter table change_rule add column amount double precision check (amount > 0 and amount < 1e9);
alter table change_rule add column counts text check (counts in ('minutes', 'holes', 'metres'));
alter table change_rule drop constraint change_rule_check;
alter table change_rule add constraint change_rule_after check
  ((amount is null) = (counts is null) and num_nonnulls(parts, amount) <= 1 and (num_nonnulls(parts, amount) = 1 or basis is null));
