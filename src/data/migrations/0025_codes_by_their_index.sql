-- Whether a code is taken is asked of a list of 20,000 at once, most of all on a shop's first day. Then the planner knows of
-- hardly an item, holds each line of the list against each, and takes minutes: so each line asks the index, whatever the
-- planner knows (an offset keeps the lateral question whole, and without whole tables the index is what is left for it).
create or replace function refuse_same_items() returns trigger language plpgsql set enable_seqscan = off as $$
begin
  if exists (
    select from added a cross join lateral (
      select i.entry_id from item i where upper(i.code) = upper(a.code) and i.id <> a.id offset 0) same
    where exists (select from live_entry e where e.id = same.entry_id)) then
    raise exception 'there is one already, by this code or one that differs by case alone' using errcode = '23505', table = 'item';
  end if;
  return null;
end $$;
