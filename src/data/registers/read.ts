import { type Connection, many } from '@/data/database';
import type { GivenRow } from './types';

/**
 * What a machine was given last under each T, by T. Its T are found one after another by the index, so that it costs as
 * many steps as there are T, however often each was given.
 */
export const manyGivenLast = (c: Connection, machineId: number) =>
  many<GivenRow>(
    c,
    `with recursive known (t) as (
       (select g.t from register_given g where g.machine_id = $1 order by g.t limit 1)
       union all
       select (select g.t from register_given g where g.machine_id = $1 and g.t > k.t order by g.t limit 1) from known k where k.t is not null
     )
     select l.* from known k cross join lateral (
       select g.t, a.tag, g.h, g.d, g.unit, g.how, e.happened_at, e.who, g.entry_id
       from register_given g join live_entry e on e.id = g.entry_id join assembly a on a.id = g.assembly_id
       where g.machine_id = $1 and g.t = k.t order by e.happened_at desc, e.id desc limit 1) l
     where k.t is not null order by l.t`,
    [machineId],
  );
