import type { GaugeKind } from '@/core/devices';
import { defineVerb, field, maybeLength, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import {
  type DeviceRow,
  type GaugeRow,
  insertCalibration,
  insertDoubt,
  insertZeroCheck,
  manyCheckedAt,
  manyDoubted,
  manyMeasuredWith,
  manySizedWith,
  manyTightenedWith,
  maybeDevice,
  maybeGauge,
  maybeLastPassed,
} from '@/data/devices';

/**
 * How something was found when it was calibrated, and when it is due again. One that was found off puts in doubt what was
 * measured or tightened with it since it was last found good; each stays in doubt until it is done again.
 */
export const recordCalibration = defineVerb({
  name: 'recordCalibration',
  may: ['crib'],
  path: 'calibrations',
  summary:
    'Record a calibration of a device, master, block, wrench or gauge as it was found, and when it is due again. One that was off puts in doubt what was done with it since it was last good.',
  properties: {
    of: { ...field.code, description: 'A device or a gauge, by its code' },
    found: field.choice(['good', 'off']),
    off: field.length(-5, 5, 'Of a device: by how much it was off.'),
    due: field.day,
    words: field.words(200),
  },
  required: ['of', 'found', 'due'],
  async run(c, input, moment) {
    const device = await maybeDevice(c, input.of);
    const gauge = device ? null : await maybeGauge(c, input.of);
    const thing = device ?? gauge;
    if (!thing)
      throw new Problem('NOT_FOUND', `of: there is no device or gauge ${input.of}`, {
        field: 'of',
        value: input.of,
        wayOut: 'Add it first, or look at its code.',
      });
    const day = moment.day(moment.happenedAt);
    if (input.due <= day)
      throw new Problem('INVALID_INPUT', `due: ${input.due} is not after ${day}`, {
        field: 'due',
        value: input.due,
        limit: `after ${day}`,
        wayOut: 'Enter the day it is to be calibrated again.',
      });
    const ok = input.found === 'good';
    moment.leansOn(thing.entryId);
    await insertCalibration(c, moment.entryId, {
      gaugeId: gauge?.id ?? null,
      deviceId: device?.id ?? null,
      at: moment.happenedAt,
      due: input.due,
      ok,
      found: input.words?.trim() || null,
    });
    // What it reads from now on is judged by this, as by a check at its master.
    const off = maybeLength(input.off);
    if (device && (!ok || off))
      await insertZeroCheck(c, moment.entryId, {
        ...{ deviceId: device.id, at: moment.happenedAt, offMm: off?.mm ?? 0, ok },
        gaugeId: null,
      });
    if (!ok)
      for (const doubtedId of await inDoubt(c, moment, device, gauge))
        await insertDoubt(c, moment.entryId, { doubtedId });
    const doubted = ok ? [] : await manyDoubted(c, moment.entryId);
    return { of: thing.code, ok, due: input.due, doubted: doubted.map((d) => d.tag) };
  },
  says: (a) => `${a.of} calibrated, found ${a.ok ? 'good' : 'off'}, due ${a.due}`,
});

/** Entries that rest on what it said since it was last found good. */
async function inDoubt(
  c: Connection,
  moment: Moment,
  device: DeviceRow | null,
  gauge: GaugeRow | null,
): Promise<number[]> {
  const of = device ? 'device' : 'gauge';
  const id = device?.id ?? gauge?.id ?? 0;
  const since = (await maybeLastPassed(c, of, id, moment.happenedAt))?.at ?? null;
  const entries = (rows: readonly { entryId: number }[]) => rows.map((r) => r.entryId);
  if (device) return entries(await manyMeasuredWith(c, device.id, since));
  return gauge ? RESTS_ON[gauge.kind](c, gauge.id, since).then((list) => [...new Set(list)]) : [];
}

type RestsOn = (c: Connection, gaugeId: number, since: Date | null) => Promise<number[]>;
/** Through a master, what the devices have measured from their first check at it on. */
const throughChecks: RestsOn = async (c, gaugeId, since) => {
  const entries: number[] = [];
  for (const { deviceId, at } of await manyCheckedAt(c, gaugeId, since))
    entries.push(...(await manyMeasuredWith(c, deviceId, at)).map((m) => m.entryId));
  return entries;
};
const sized: RestsOn = async (c, gaugeId, since) =>
  (await manySizedWith(c, gaugeId, since)).map((s) => s.entryId);
const RESTS_ON: Record<GaugeKind, RestsOn> = {
  master: throughChecks,
  'gauge block': throughChecks,
  'torque wrench': async (c, gaugeId, since) =>
    (await manyTightenedWith(c, gaugeId, since)).map((t) => t.entryId),
  'bore gauge': sized,
  micrometer: sized,
};
