-- A shift that is handed over, with a note, and by whom it was taken over.
create table hand_over (
  entry_id int primary key references entry (id),
  words text check (length(words) between 1 and 2000)
);
create table hand_over_taken (
  entry_id int primary key references entry (id),
  hand_over_id int not null references hand_over (entry_id)
);
create index hand_over_taken_of on hand_over_taken (hand_over_id);
call make_ledger('hand_over', 'hand_over_taken');
