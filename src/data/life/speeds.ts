import { type Connection, many } from '@/data/database';

/** How long some edge sets cut at each spindle speed, by the programs they were logged by; rev/min. */
export const manySpeedsOf = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; s: number; minutes: number }>(
    c,
    `with cut as materialized (
       select x.edge_set_id, l.program_id, u.t, sum(x.minutes) as minutes from cut_of($1) x
       join use u on u.id = x.use_id join parts_log l on l.id = u.parts_log_id
       where x.minutes > 0 and l.program_id is not null group by 1, 2, 3),
     forced as materialized (
       select p.program_id, p.t, (f ->> 's')::double precision as s, sum((f ->> 'cutting_s')::double precision) as seconds
       from (select distinct program_id, t from cut) p join program g on g.entry_id = p.program_id
       cross join lateral jsonb_array_elements(g.report -> 'tools') o cross join lateral jsonb_array_elements(o -> 'in_force') f
       where (o ->> 't')::int = p.t group by 1, 2, 3),
     whole as (select program_id, t, sum(seconds) as seconds from forced group by 1, 2)
     select cut.edge_set_id, f.s, sum(cut.minutes * f.seconds / w.seconds) as minutes
     from cut join forced f using (program_id, t) join whole w using (program_id, t)
     where f.s > 0 and w.seconds > 0 group by 1, 2 order by 1, 2`,
    [edgeSetIds],
  );
