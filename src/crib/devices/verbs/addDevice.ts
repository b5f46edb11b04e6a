import { defineVerb, field, maybeNumber, Problem, toLength } from '@/crib/door';
import { DEVICE_KINDS, insertDevice } from '@/data/devices';

export const addDevice = defineVerb({
  name: 'addDevice',
  may: ['crib'],
  path: 'devices',
  summary:
    'Add a device that measures, a presetter or a height stand: where it answers on this machine, and the master it is checked at.',
  properties: {
    code: field.code,
    name: field.words(),
    kind: field.choice(DEVICE_KINDS),
    port: {
      ...field.whole(1024, 65_535),
      description: 'Where it answers on this machine; left out: read by eye',
    },
    master: field.length(
      5,
      800,
      'Length of its master by its certificate; of a height stand the block it is set to nothing on.',
    ),
  },
  required: ['code', 'name', 'master'],
  async run(c, input, moment) {
    const kind = input.kind ?? 'presetter';
    if (kind === 'presetter' && input.port === undefined)
      throw new Problem('INVALID_INPUT', 'port: a presetter is asked on a port', {
        field: 'port',
        value: null,
        limit: 'needed for a presetter',
        wayOut: 'Enter it; or leave the device out and type its lengths.',
      });
    const master = toLength(input.master);
    await insertDevice(c, moment.entryId, {
      code: input.code,
      name: input.name.trim(),
      kind,
      port: maybeNumber(input.port),
      masterMm: master.mm,
      masterEntered: master.entered,
    });
    return { code: input.code };
  },
  says: (a) => `device ${a.code}`,
});
