import { at20, type MeasuredAgainst, questionMeasurement } from '@/core/measuring';
import { expectedOf, standing } from '@/crib/assemblies';
import {
  defineVerb,
  field,
  found,
  maybeLength,
  maybeNumber,
  type Moment,
  Problem,
  toLength,
} from '@/crib/door';
import { type AssemblyRow, insertMeasurement, measuredNow } from '@/data/assemblies';
import { maybeBuiltFrom } from '@/data/sheets';
import type { Connection } from '@/data/database';
import { type DeviceRow, insertReading, maybeDevice, maybeTaken } from '@/data/devices';

const mmRead = { type: 'number', minimum: -1000, maximum: 5000 } as const;
const readingsSchema = {
  type: 'array',
  minItems: 1,
  maxItems: 20,
  description: 'The readings of the device that the length is the mean of, mm, by its own count.',
  items: {
    type: 'object',
    properties: {
      serial: { type: 'integer', minimum: 0, maximum: 999_999_999 },
      length: mmRead,
      diameter: mmRead,
      runout: mmRead,
    },
    required: ['serial', 'length'],
    additionalProperties: false,
  },
} as const;
type ReadingsTaken = readonly { serial: number; length: number; diameter?: number; runout?: number }[];

/** mm: a length that was rounded for typing may be off its readings' mean by so much. */
const ROUNDED_MM = 0.0011;

export const recordMeasurement = defineVerb({
  name: 'recordMeasurement',
  may: ['crib', 'operator'],
  path: 'measurements',
  summary:
    'Record gauge length, diameter and runout of an assembly, typed or read from a device. Far from expected or from the last is in question.',
  properties: {
    tag: field.words(20),
    gaugeLength: field.length(5, 1500, 'Gauge line to tip.'),
    diameter: field.length(0.05, 500),
    runout: field.length(0, 2),
    device: field.code,
    readings: readingsSchema,
    block: field.length(5, 800, 'Of a height stand: the block its dial stood against.'),
    temperature: {
      ...field.decimal(-20, 120),
      description: 'Of the tool, °C, where its length is to be brought to 20; left out: as it was read.',
    },
  },
  required: ['tag', 'gaugeLength'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const read = toLength(input.gaugeLength);
    const D = maybeLength(input.diameter);
    const runout = maybeLength(input.runout);
    const device = await deviceOf(c, moment, input.device, input.readings ?? [], read.mm);
    const block = blockOf(device, maybeLength(input.block)?.mm ?? null);
    const { expectedMm, DC, substrate } = await expectedOf(c, assembly);
    const temperature = maybeNumber(input.temperature);
    const L = temperature === null ? read : broughtTo20(read.mm, assembly.stickoutMm, substrate, temperature);
    const last = (await measuredNow(c, [assembly.id])).get(assembly.id)?.good ?? null;
    const questions = questionMeasurement({
      L: L.mm,
      expected: expectedMm,
      last: last?.gaugeLengthMm ?? null,
      sheet: await sheetLengths(c, assembly, expectedMm),
      D: D?.mm ?? null,
      DC,
    });
    moment.leansOn(assembly.entryId);
    await insertMeasurement(c, moment.entryId, {
      assemblyId: assembly.id,
      gaugeLengthMm: L.mm,
      gaugeLengthEntered: L.entered,
      diameterMm: D?.mm ?? null,
      diameterEntered: D?.entered ?? null,
      runoutMm: runout?.mm ?? null,
      runoutEntered: runout?.entered ?? null,
      deviceId: device?.id ?? null,
      temperature,
      readMm: temperature === null ? null : read.mm,
      blockMm: block,
      questions: JSON.stringify(questions),
    });
    for (const r of device ? (input.readings ?? []) : [])
      await insertReading(c, moment.entryId, {
        deviceId: device?.id ?? 0,
        serial: r.serial,
        lengthMm: r.length,
        diameterMm: r.diameter ?? null,
        runoutMm: r.runout ?? null,
      });
    return { tag: assembly.tag, inQuestion: questions.length > 0, questions };
  },
  says: (a) => `${a.tag} measured${a.inQuestion ? ', in question' : ''}`,
});

/** The gauge lengths that a build sheet's stickout comes to; null: built from none, or its range is not stated. */
async function sheetLengths(
  c: Connection,
  a: AssemblyRow,
  expectedMm: number,
): Promise<MeasuredAgainst['sheet']> {
  const from = await maybeBuiltFrom(c, a.id);
  if (from?.leastMm == null || from.mostMm == null) return null;
  const toFace = expectedMm - a.stickoutMm;
  return { code: from.code, least: toFace + from.leastMm, most: toFace + from.mostMm };
}

/** A length at 20 °C, as it is entered: to the hundredth of a thousandth it was read to. */
function broughtTo20(mm: number, stickout: number, substrate: string | null, temperature: number) {
  const { length } = at20(mm, stickout, substrate, temperature);
  const text = length.toFixed(4);
  return { mm: Number(text), entered: `${text} mm` };
}

/** The block of a height stand, its own where none is named; refused where it is no height stand. */
function blockOf(device: DeviceRow | null, block: number | null): number | null {
  if (device?.kind === 'height stand') return block ?? device.masterMm;
  if (block === null) return null;
  throw new Problem('INVALID_INPUT', 'block: only a height stand stands against one', {
    field: 'block',
    value: block,
    limit: 'left out, or with a height stand',
    wayOut: 'Name the height stand, or leave the block out.',
  });
}

/** The device the length was read from; null: it was typed. Readings are of one device, its own, and taken once. */
async function deviceOf(
  c: Connection,
  moment: Moment,
  code: string | undefined,
  readings: ReadingsTaken,
  length: number,
): Promise<DeviceRow | null> {
  if (code === undefined && readings.length)
    throw new Problem('INVALID_INPUT', 'Of which device are these readings?', {
      field: 'device',
      limit: 'a device, where there are readings',
      wayOut: 'Name it; or leave the readings out and type the length.',
    });
  if (code === undefined) return null;
  const device = found(await maybeDevice(c, code), 'device', code, 'device');
  moment.leansOn(device.entryId);
  const serials = readings.map((r) => r.serial);
  const twice = serials.find((s, i) => serials.indexOf(s) !== i);
  const taken = await maybeTaken(c, device.id, serials);
  if (twice !== undefined || taken)
    throw new Problem('CONFLICT', `Reading ${twice ?? taken?.serial} of ${device.code} was taken already`, {
      field: 'readings',
      value: twice ?? taken?.serial,
      limit: 'each reading once',
      wayOut: taken ? `It is in a measurement of ${taken.tag}. Read again.` : 'Leave the second one out.',
    });
  const mean = readings.reduce((sum, r) => sum + r.length, 0) / (readings.length || 1);
  if (readings.length && Math.abs(mean - length) > ROUNDED_MM)
    throw new Problem(
      'INVALID_INPUT',
      `The readings come to ${mean.toFixed(4)} mm, not ${length.toFixed(4)}`,
      {
        field: 'gaugeLength',
        value: length,
        limit: 'the mean of its readings',
        wayOut: 'Take over what was read; or leave the readings out and type the length.',
      },
    );
  return device;
}
