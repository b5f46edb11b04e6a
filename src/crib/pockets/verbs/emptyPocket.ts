import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertPocketLoad, manyLoads } from '@/data/pockets';
import { maybeMachine } from '@/data/shop';

export const emptyPocket = defineVerb({
  name: 'emptyPocket',
  may: ['crib', 'operator'],
  path: 'pockets/emptied',
  summary: 'Take an assembly out of a pocket: it is in the crib again.',
  properties: { machine: field.code, pocket: field.whole(1, 400) },
  required: ['machine', 'pocket'],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    const pocket = toNumber(input.pocket);
    const load = (await manyLoads(c, machine.id)).find((l) => l.pocket === pocket);
    if (!load)
      throw new Problem('CONFLICT', `Pocket ${pocket} of ${machine.code} is empty`, {
        field: 'pocket',
        value: pocket,
        limit: 'a pocket with a tool',
        wayOut: 'Look at the number on the magazine.',
      });
    moment.leansOn(load.entryId);
    await insertPocketLoad(c, moment.entryId, {
      machineId: machine.id,
      pocket,
      ...{ assemblyId: null, t: null, h: null, d: null, counterZero: null },
    });
    return { machine: machine.code, pocket, tag: load.tag };
  },
  says: (a) => `${a.tag} out of pocket ${a.pocket} of ${a.machine}`,
});
