import type { FromSchema } from 'json-schema-to-ts';
import type { LineRead } from '@/core/devices';
import { expectedOf } from '@/crib/assemblies';
import { field, found, maybeLength, Problem } from '@/crib/door';
import { maybeAssembly, measuredNow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { maybeDevice } from '@/data/devices';
import { askDevice } from './askDevice';

/** What a device is asked for: the tool of a tag, its master (no tag), or its last reading again. */
export const READ_DEVICE = {
  type: 'object',
  properties: {
    device: field.code,
    tag: field.words(20),
    again: { type: 'boolean' },
    block: field.length(5, 800, 'Of a height stand: the block its dial stands against; left out: its own.'),
  },
  required: ['device'],
  additionalProperties: false,
} as const;
export type ReadDevice = FromSchema<typeof READ_DEVICE>;

/**
 * Takes one reading from a device. Nothing is written: what was read is recorded with the measurement it becomes. Where the
 * answer was lost, `again` gives the same reading under the same count.
 */
export async function readDevice(c: Connection, input: ReadDevice): Promise<LineRead> {
  const device = found(await maybeDevice(c, input.device), 'device', input.device, 'device');
  const { code, port } = device;
  if (port === null)
    throw new Problem('REFUSED', `${code} is read by eye: nothing can be asked of it`, {
      field: 'device',
      value: code,
      limit: 'a device with a port',
      wayOut: 'Type its block and what its dial shows.',
    });
  const block = device.kind === 'height stand' ? (maybeLength(input.block)?.mm ?? device.masterMm) : null;
  if (input.again) return askDevice(code, port, { what: 'LAST' });
  if (input.tag === undefined) return askDevice(code, port, { what: 'ZERO', length: device.masterMm, block });
  const assembly = found(await maybeAssembly(c, input.tag.toUpperCase()), 'tag', input.tag, 'assembly');
  const { expectedMm, DC } = await expectedOf(c, assembly);
  const last = (await measuredNow(c, [assembly.id])).get(assembly.id)?.good ?? null;
  return askDevice(code, port, {
    what: 'READ',
    block,
    // It looks where the tool was last seen.
    length: last?.gaugeLengthMm ?? expectedMm,
    diameter: block === null ? (last?.diameterMm ?? DC) : null,
  });
}
