-- What a cutter reaches stands beside its diameter: those for a depth are found by one index, however many there are.
-- The longest of flutes, usable length and width that is known; null where the flutes' length is not.
create function reach_of(item int) returns double precision language sql stable as $$
  select case when bool_or(f.symbol = 'LCF') then max(f.value) end
  from fact_now f where f.item_id = item and f.symbol in ('LCF', 'LU', 'CW')
$$;
alter table item_now disable trigger item_now_derived;
alter table item_now add column reach double precision;
update item_now set reach = reach_of(item_id);
alter table item_now enable trigger item_now_derived;
drop index item_now_here;
drop index item_now_to_buy;
create index item_now_here on item_now (family, (coalesce(dc, 1e9)), item_id) include (reach) where unused > 0;
create index item_now_to_buy on item_now (family, (coalesce(dc, 1e9)), item_id) include (reach) where unused = 0;

create or replace function refresh_items(items int[]) returns void language plpgsql as $$
begin
  update item_now n set
    dc = (select f.value from fact_now f where f.item_id = n.item_id and f.symbol = 'DC'),
    reach = reach_of(n.item_id),
    search = lower(concat_ws(' ', i.code, i.maker,
      (select k.words from kind_word k where k.name = i.kind and i.kind <> 'cutter'),
      (select k.words from kind_word k where k.name = i.family),
      (select string_agg(case f.symbol when 'DC' then f.text || ' ' || f.unit when 'RE' then 'R' || f.text
                         when 'NOF' then f.text || ' flutes' else f.text end, ' ' order by f.symbol)
       from fact_now f where f.item_id = n.item_id and (f.unit = 'words' or f.symbol in ('DC', 'RE', 'NOF'))),
      (select string_agg(distinct s.order_code, ' ') from supply s join live_entry e on e.id = s.entry_id where s.item_id = n.item_id)))
  from item i where i.id = n.item_id and n.item_id = any (items);
end $$;
