import { type Connection, many, maybeOne } from '@/data/database';
import type { CalibrationRow, DeviceRow, DoubtedRow, GaugeRow } from './types';

const DEVICE = `select d.id, d.code, d.name, d.kind, d.port, d.master_mm, d.master_entered, d.entry_id, z.at as checked_at, z.off_mm, z.ok
  from device d join live_entry e on e.id = d.entry_id
  left join lateral (select c.at, c.off_mm, c.ok from zero_check c join live_entry ce on ce.id = c.entry_id
    where c.device_id = d.id order by c.at desc, c.entry_id desc limit 1) z on true`;
export const manyDevices = (c: Connection) => many<DeviceRow>(c, `${DEVICE} order by d.code`);
export const maybeDevice = (c: Connection, code: string) =>
  maybeOne<DeviceRow>(c, `${DEVICE} where d.code = $1`, [code]);

/** The first of some readings of a device that a measurement was made of already; null: none was. */
export const maybeTaken = (c: Connection, deviceId: number, serials: readonly number[]) =>
  maybeOne<{ serial: number; tag: string }>(
    c,
    `select r.serial, a.tag from reading r join live_entry e on e.id = r.entry_id join measurement m on m.entry_id = r.entry_id
     join assembly a on a.id = m.assembly_id where r.device_id = $1 and r.serial = any ($2) order by r.serial limit 1`,
    [deviceId, serials],
  );

/** Assemblies that stand and whose newest measurement was read from a device after a moment, or ever. */
export const manyReadSince = (c: Connection, deviceId: number, since: Date | null) =>
  many<{ tag: string; happenedAt: Date }>(
    c,
    `select a.tag, e.happened_at from assembly_now n join measurement m on m.entry_id = n.newest_id join entry e on e.id = m.entry_id
     join assembly a on a.id = n.assembly_id
     where m.device_id = $1 and ($2::timestamptz is null or e.happened_at > $2) order by a.tag`,
    [deviceId, since],
  );
/** When a device was last checked and good; null: never. */
export const maybeLastGood = (c: Connection, deviceId: number) =>
  maybeOne<{ at: Date }>(
    c,
    `select z.at from zero_check z join live_entry e on e.id = z.entry_id where z.device_id = $1 and z.ok order by z.at desc, z.entry_id desc limit 1`,
    [deviceId],
  );

const GAUGE = 'select g.* from gauge g join live_entry e on e.id = g.entry_id';
export const manyGauges = (c: Connection) => many<GaugeRow>(c, `${GAUGE} order by g.kind, g.code`);
export const maybeGauge = (c: Connection, code: string) =>
  maybeOne<GaugeRow>(c, `${GAUGE} where g.code = $1`, [code]);

const CALIBRATION = `select k.gauge_id, k.device_id, k.at, k.due::text, k.ok, k.found, e.who, k.entry_id
  from calibration k join live_entry e on e.id = k.entry_id`;
/** The newest calibration of each of some gauges, or of some devices. */
export const manyCalibrated = (c: Connection, of: 'gauge' | 'device', ids: readonly number[]) =>
  many<CalibrationRow>(
    c,
    `select l.* from unnest($1::int[]) x (id) cross join lateral (
       ${CALIBRATION} where k.${of}_id = x.id order by k.at desc, k.entry_id desc limit 1) l`,
    [ids],
  );
/** When one was last found good before a moment; null: never. */
export const maybeLastPassed = (c: Connection, of: 'gauge' | 'device', id: number, before: Date) =>
  maybeOne<{ at: Date }>(
    c,
    `select k.at from calibration k join live_entry e on e.id = k.entry_id
     where k.${of}_id = $1 and k.ok and k.at < $2 order by k.at desc, k.entry_id desc limit 1`,
    [id, before],
  );

/** Devices that were checked at a master since a moment, or ever; of each the first such check. */
export const manyCheckedAt = (c: Connection, gaugeId: number, since: Date | null) =>
  many<{ deviceId: number; at: Date }>(
    c,
    `select z.device_id, min(z.at) as at from zero_check z join live_entry e on e.id = z.entry_id
     where z.gauge_id = $1 and ($2::timestamptz is null or z.at > $2) group by z.device_id order by z.device_id`,
    [gaugeId, since],
  );

/** Measurements that a device made since a moment, or ever, of assemblies that stand. */
export const manyMeasuredWith = (c: Connection, deviceId: number, since: Date | null) =>
  many<{ entryId: number }>(
    c,
    `select m.entry_id from measurement m join live_entry e on e.id = m.entry_id join assembly_now n on n.assembly_id = m.assembly_id
     where m.device_id = $1 and ($2::timestamptz is null or e.happened_at > $2) order by m.entry_id`,
    [deviceId, since],
  );
/** Builds that stand and were tightened with a wrench since a moment, or ever. */
export const manyTightenedWith = (c: Connection, gaugeId: number, since: Date | null) =>
  many<{ entryId: number }>(
    c,
    `select t.entry_id from tightening t join live_entry e on e.id = t.entry_id join assembly_now n on n.assembly_id = t.assembly_id
     where t.gauge_id = $1 and ($2::timestamptz is null or e.happened_at > $2) order by t.entry_id`,
    [gaugeId, since],
  );
/** Sizes of parts that were measured with a gauge since a moment, or ever. */
export const manySizedWith = (c: Connection, gaugeId: number, since: Date | null) =>
  many<{ entryId: number }>(
    c,
    `select distinct x.entry_id from size_correction x join live_entry e on e.id = x.entry_id
     where x.gauge_id = $1 and ($2::timestamptz is null or e.happened_at > $2) order by x.entry_id`,
    [gaugeId, since],
  );

/**
 * What a calibration put in doubt and was not done again since: lengths that are still the newest of what stands, builds that
 * were not tightened since, sizes of parts.
 */
export const manyDoubted = (c: Connection, calibrationEntryId: number) =>
  many<DoubtedRow>(
    c,
    `select d.doubted_id, 'measurement' as what, a.tag, e.happened_at, null as job from doubt d join entry e on e.id = d.doubted_id
       join assembly_now n on n.newest_id = d.doubted_id join assembly a on a.id = n.assembly_id where d.entry_id = $1
     union all
     select d.doubted_id, 'tightening', a.tag, e.happened_at, null from doubt d join entry e on e.id = d.doubted_id
       cross join lateral (select y.assembly_id from tightening y where y.entry_id = d.doubted_id limit 1) t
       join assembly_now n on n.assembly_id = t.assembly_id join assembly a on a.id = t.assembly_id
       where d.entry_id = $1 and not exists (select 1 from tightening y join live_entry ye on ye.id = y.entry_id
         where y.assembly_id = t.assembly_id and (ye.happened_at, ye.id) > (e.happened_at, e.id))
     union all
     select d.doubted_id, 'size', a.tag, e.happened_at, j.number from doubt d join entry e on e.id = d.doubted_id
       cross join lateral (select y.assembly_id, y.operation_id from size_correction y where y.entry_id = d.doubted_id limit 1) x
       join assembly a on a.id = x.assembly_id join operation o on o.id = x.operation_id join job j on j.id = o.job_id where d.entry_id = $1
     order by 4, 3`,
    [calibrationEntryId],
  );

/** Of some assemblies the wrench each was tightened with last, and whether that was found off since. */
export const manyTightened = (c: Connection, assemblyIds: readonly number[]) =>
  many<{
    assemblyId: number;
    wrench: string;
    torque: number | null;
    happenedAt: Date;
    who: string;
    doubted: boolean;
  }>(
    c,
    `select l.* from unnest($1::int[]) x (id) cross join lateral (
       select t.assembly_id, g.code as wrench, t.torque, e.happened_at, e.who,
         exists (select 1 from doubt d join live_entry de on de.id = d.entry_id where d.doubted_id = t.entry_id) as doubted
       from tightening t join live_entry e on e.id = t.entry_id join gauge g on g.id = t.gauge_id
       where t.assembly_id = x.id order by e.happened_at desc, e.id desc limit 1) l`,
    [assemblyIds],
  );
