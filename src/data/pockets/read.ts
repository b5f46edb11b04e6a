import { type Connection, many, maybeOne } from '@/data/database';
import type { KeptRow, LoadedRow, LoadRow, MagazineRow } from './types';

/** A machine's magazine as it holds now; null: nobody stated it. */
export const maybeMagazine = (c: Connection, machineId: number) =>
  maybeOne<MagazineRow>(
    c,
    `select m.* from magazine m join live_entry e on e.id = m.entry_id where m.machine_id = $1
     order by e.happened_at desc, e.id desc limit 1`,
    [machineId],
  );

/** Those of some machines whose tools are swapped by hand. */
export const manyByHand = (c: Connection, machineIds: readonly number[]) =>
  many<{ machineId: number }>(
    c,
    `select x.machine_id from (select distinct on (m.machine_id) m.machine_id, m.kind from magazine m join live_entry e on e.id = m.entry_id
       where m.machine_id = any ($1) order by m.machine_id, e.happened_at desc, e.id desc) x where x.kind = 'by hand'`,
    [machineIds],
  );

/** The newest load of an assembly anywhere, which says where it is. */
const LAST_OF = `select y.entry_id, y.machine_id, y.pocket from pocket_load y join live_entry ye on ye.id = y.entry_id
  where y.assembly_id = l.assembly_id order by ye.happened_at desc, ye.id desc limit 1`;
/** Of a load l that is the newest of its pocket: it is still there, since the assembly stands and went nowhere else. */
const STILL = `join assembly_now n on n.assembly_id = l.assembly_id join assembly a on a.id = l.assembly_id
  cross join lateral (${LAST_OF}) w`;
const IS_THERE = 'w.entry_id = l.entry_id and w.machine_id = l.machine_id and w.pocket = l.pocket';

/** What is in a machine's pockets now. */
export const manyLoads = (c: Connection, machineId: number) => manyLoadsIn(c, [machineId]);
/** What is in the pockets of some machines now. */
export const manyLoadsIn = (c: Connection, machineIds: readonly number[]) =>
  many<LoadRow>(
    c,
    `select l.*, a.tag from (
       select g.*, e.happened_at, e.who from pocket_now p
       join pocket_load g on g.entry_id = p.entry_id and g.machine_id = p.machine_id and g.pocket = p.pocket
       join entry e on e.id = g.entry_id where p.machine_id = any ($1)) l ${STILL}
     where ${IS_THERE} order by l.machine_id, l.pocket`,
    [machineIds],
  );

/** Where an assembly is loaded now, with its machine; null: it is in none. */
export const maybeLoadOf = (c: Connection, assemblyId: number) =>
  maybeOne<LoadRow & { machine: string }>(
    c,
    `select l.*, e.happened_at, e.who, a.tag, m.code as machine
     from (select y.* from pocket_load y join live_entry ye on ye.id = y.entry_id where y.assembly_id = $1
           order by ye.happened_at desc, ye.id desc limit 1) l
     join entry e on e.id = l.entry_id join assembly_now n on n.assembly_id = l.assembly_id join assembly a on a.id = l.assembly_id
     join machine m on m.id = l.machine_id
     join pocket_now w on w.machine_id = l.machine_id and w.pocket = l.pocket where w.entry_id = l.entry_id`,
    [assemblyId],
  );

/** Where some assemblies are loaded now; one that is in no pocket is left out. */
export const manyLoaded = (c: Connection, assemblyIds: readonly number[]) =>
  many<LoadedRow>(
    c,
    `select l.assembly_id, l.machine_id, m.code as machine, l.pocket, l.t, l.h, l.d, g.takes
     from unnest($1::bigint[]) i (id) join assembly_now n on n.assembly_id = i.id
     cross join lateral (select y.* from pocket_load y join live_entry ye on ye.id = y.entry_id where y.assembly_id = i.id
       order by ye.happened_at desc, ye.id desc limit 1) l
     join pocket_now w on w.machine_id = l.machine_id and w.pocket = l.pocket join machine m on m.id = l.machine_id
     left join lateral (select m.takes from magazine m join live_entry e on e.id = m.entry_id where m.machine_id = l.machine_id
       order by e.happened_at desc, e.id desc limit 1) g on true
     where w.entry_id = l.entry_id`,
    [assemblyIds],
  );

/** What is kept in a machine under its T. */
export const manyKept = (c: Connection, machineId: number) =>
  many<KeptRow>(
    c,
    `with recursive known (t) as (
       (select g.t from kept_tool g where g.machine_id = $1 order by g.t limit 1)
       union all
       select (select g.t from kept_tool g where g.machine_id = $1 and g.t > k.t order by g.t limit 1)
       from known k where k.t is not null
     )
     select l.*, i.code from known k cross join lateral (
       select g.machine_id, g.t, g.item_id, g.entry_id from kept_tool g join live_entry e on e.id = g.entry_id
       where g.machine_id = $1 and g.t = k.t order by e.happened_at desc, e.id desc limit 1) l join item i on i.id = l.item_id
     where k.t is not null order by l.t`,
    [machineId],
  );
