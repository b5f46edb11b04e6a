import { type Connection, many } from '@/data/database';
import type { CorrectionRow, GivenRow } from './types';

/**
 * What a machine was given last in each H, by its number. Numbers are found one after another by the index, so that it costs
 * as many steps as there are numbers, however often each was given.
 */
export const manyGivenLast = (c: Connection, machineId: number) =>
  many<GivenRow>(
    c,
    `with recursive known (n) as (
       (select coalesce(g.h_number, g.t) from register_given g where g.machine_id = $1 order by coalesce(g.h_number, g.t) limit 1)
       union all
       select (select coalesce(g.h_number, g.t) from register_given g where g.machine_id = $1 and coalesce(g.h_number, g.t) > k.n
         order by coalesce(g.h_number, g.t) limit 1) from known k where k.n is not null
     )
     select l.* from known k cross join lateral (
       select k.n as number, g.t, a.tag, g.h, g.d, g.h_wear, g.d_wear, g.unit, g.how, e.happened_at, e.who, g.entry_id
       from register_given g join live_entry e on e.id = g.entry_id join assembly a on a.id = g.assembly_id
       where g.machine_id = $1 and coalesce(g.h_number, g.t) = k.n order by e.happened_at desc, e.id desc limit 1) l
     where k.n is not null order by l.number`,
    [machineId],
  );

/** What was corrected of some assemblies on any machine, in the order it happened. */
export const manyCorrections = (c: Connection, assemblyIds: readonly number[]) =>
  many<CorrectionRow>(
    c,
    `select x.*, a.tag, e.happened_at, e.who from size_correction x join live_entry e on e.id = x.entry_id join assembly a on a.id = x.assembly_id
     where x.assembly_id = any ($1) order by e.happened_at, e.id`,
    [assemblyIds],
  );

/**
 * What was corrected last in registers of a machine by their numbers, whatever tool was in them: H and D, each with its wear.
 * The newest that was recorded, since the index holds them in that order.
 */
export const manyLastCorrected = (c: Connection, machineId: number, numbers: readonly number[]) =>
  many<CorrectionRow>(
    c,
    `select l.* from unnest($2::int[]) n (number) cross join (values ('H'), ('D')) r (register) cross join (values ('wear'), ('register')) p (place)
     cross join lateral (
       select x.*, a.tag, e.happened_at, e.who from size_correction x join live_entry e on e.id = x.entry_id join assembly a on a.id = x.assembly_id
       where x.machine_id = $1 and x.register = r.register and x.place = p.place and x.number = n.number
       order by x.entry_id desc limit 1) l
     order by l.entry_id`,
    [machineId, numbers],
  );

/** What machines with a setter of their own read back of some assemblies, the newest of each. */
export const manySetThere = (c: Connection, assemblyIds: readonly number[]) =>
  many<{ machineId: number; assemblyId: number; happenedAt: Date }>(
    c,
    `select distinct on (g.assembly_id, g.machine_id) g.machine_id, g.assembly_id, e.happened_at
     from register_given g join live_entry e on e.id = g.entry_id
     where g.assembly_id = any ($1) and g.h is not null
     order by g.assembly_id, g.machine_id, e.happened_at desc, e.id desc`,
    [assemblyIds],
  );
