-- What people say of a line of the worklist: that it is done for today, put off to a day, or given to somebody. A line is
-- what it says: another count or another tool is another line. The latest word of each counts, none is changed.
create table work_word (
  entry_id int primary key references entry (id),
  line text not null check (length(line) between 1 and 400),
  word text not null check (word in ('done', 'put off', 'given')),
  -- The day until which it is out of sight: that of saying it where it is done.
  until date,
  person text references person (initials),
  reason text,
  check ((word = 'given') = (until is null)),
  check (word = 'given' or person is null)
);
create index work_word_by_line on work_word (line, entry_id);
call make_ledger('work_word');
