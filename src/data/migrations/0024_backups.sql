-- When and where to the shop is backed up by itself. The latest word counts; without a folder it is no longer.
create table backup_plan (
  entry_id int primary key references entry (id),
  folder text check (length(folder) between 2 and 400),
  at_time text check (at_time ~ '^([01][0-9]|2[0-3]):[0-5][0-9]$'),
  keep int check (keep between 1 and 400),
  locked boolean,
  check (num_nonnulls(folder, at_time, keep, locked) in (0, 4))
);
call make_ledger('backup_plan');
