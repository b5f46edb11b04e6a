import { isNear } from '@/core/devices';
import { defineVerb, field, found, toLength } from '@/crib/door';
import { insertZeroCheck, manyReadSince, maybeDevice, maybeLastGood } from '@/data/devices';
import { usableGauge } from '../usableGauge';

export const checkDevice = defineVerb({
  name: 'checkDevice',
  may: ['crib', 'operator'],
  path: 'device-checks',
  summary:
    'Record what a device reads at its master. One that is off puts in question what it read since it was last good.',
  properties: {
    device: field.code,
    reading: field.length(5, 800, 'What it reads at its master.'),
    master: { ...field.code, description: 'Which of the masters it was checked at' },
  },
  required: ['device', 'reading'],
  async run(c, input, moment) {
    const device = found(await maybeDevice(c, input.device), 'device', input.device, 'device');
    const master =
      input.master === undefined
        ? null
        : await usableGauge(c, moment, 'master', input.master, ['master', 'gauge block']);
    // A master that is named is measured against by its own certificate.
    const off = toLength(input.reading).mm - (master?.sizeMm ?? device.masterMm);
    const ok = isNear(off);
    moment.leansOn(device.entryId);
    const good = await maybeLastGood(c, device.id);
    const doubted = ok ? [] : (await manyReadSince(c, device.id, good?.at ?? null)).map((r) => r.tag);
    await insertZeroCheck(c, moment.entryId, {
      ...{ deviceId: device.id, at: moment.happenedAt, offMm: off, ok },
      gaugeId: master?.id ?? null,
    });
    return { device: device.code, off, ok, doubted };
  },
  says: (a) => `${a.device} checked, ${a.ok ? 'good' : 'off'}`,
});
