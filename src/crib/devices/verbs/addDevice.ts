import { defineVerb, field, toLength, toNumber } from '@/crib/door';
import { insertDevice } from '@/data/devices';

export const addDevice = defineVerb({
  name: 'addDevice',
  may: ['crib'],
  path: 'devices',
  summary: 'Add a device that measures: where it answers on this machine, and the master it is checked at.',
  properties: {
    code: field.code,
    name: field.words(),
    port: field.whole(1024, 65_535),
    master: field.length(5, 800, 'Length of its master, by its certificate.'),
  },
  required: ['code', 'name', 'port', 'master'],
  async run(c, input, moment) {
    const master = toLength(input.master);
    await insertDevice(c, moment.entryId, {
      code: input.code,
      name: input.name.trim(),
      port: toNumber(input.port),
      masterMm: master.mm,
      masterEntered: master.entered,
    });
    return { code: input.code };
  },
  says: (a) => `device ${a.code}`,
});
