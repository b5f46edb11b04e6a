import type { Judgement } from '@/core/because';
import { judgeDevice } from '@/core/devices';
import { localDay } from '@/core/units';
import type { Connection } from '@/data/database';
import { type DeviceRow, manyDevices, manyReadSince, maybeLastGood } from '@/data/devices';

export interface DeviceLine extends DeviceRow {
  judgement: Judgement;
  /** Where it is off: assemblies that were measured with it since it was last good. */
  doubted: { tag: string; happenedAt: Date }[];
}

/** Devices, whether they may be believed today, and what one that is off puts in question. */
export async function devicesView(c: Connection, today: string, zone: string): Promise<DeviceLine[]> {
  const lines: DeviceLine[] = [];
  for (const d of await manyDevices(c)) {
    const last =
      d.checkedAt === null || d.offMm === null || d.ok === null
        ? null
        : { day: localDay(d.checkedAt, zone), off: d.offMm, ok: d.ok };
    const good = d.ok === false ? await maybeLastGood(c, d.id) : null;
    lines.push({
      ...d,
      judgement: judgeDevice(last, today),
      doubted: d.ok === false ? await manyReadSince(c, d.id, good?.at ?? null) : [],
    });
  }
  return lines;
}
