-- When the cutter of a T is changed: after so many parts, or, where none are said, when a sign shows; and by what that was chosen.
create table change_rule (
  entry_id int not null references entry (id),
  operation_id int not null references operation (id),
  t int not null check (t between 0 and 99999),
  parts int check (parts between 1 and 1000000),
  basis text check (basis in ('cost', 'risk', 'maker', 'hand')),
  primary key (entry_id, operation_id, t),
  check (parts is not null or basis is null)
);
create index change_rule_by_t on change_rule (operation_id, t, entry_id);
call make_ledger('change_rule');
