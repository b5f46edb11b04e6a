import { type Connection, many, maybeOne } from '@/data/database';
import type { DeviceRow } from './types';

const DEVICE = `select d.id, d.code, d.name, d.port, d.master_mm, d.master_entered, d.entry_id, z.at as checked_at, z.off_mm, z.ok
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
