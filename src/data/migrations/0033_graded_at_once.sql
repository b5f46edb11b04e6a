-- A cutter that is graded by the entry that ends its life is graded: nobody is to be asked again.
create or replace function awaits_grade(marked int) returns boolean language sql stable as $$
  select exists (
    select 1 from (select s.id from edge_set s join live_entry se on se.id = s.entry_id where s.piece_id = marked order by s.id desc limit 1) s
    join ending t on t.edge_set_id = s.id join live_entry te on te.id = t.entry_id
    where not exists (select 1 from grade g join live_entry ge on ge.id = g.entry_id where g.piece_id = marked and g.entry_id >= t.entry_id))
$$;
