import { defineVerb, field } from '@/crib/door';
import { insertMachine } from '@/data/shop';
import { figures, REQUIRED, writeFigures } from '../machineFigures';

export const addMachine = defineVerb({
  name: 'addMachine',
  may: ['crib', 'planner'],
  path: 'machines',
  summary: 'Add a machine with its taper, K, schools of registers, units and limits.',
  properties: { code: field.code, name: field.words(), ...figures },
  required: ['code', 'name', ...REQUIRED],
  async run(c, input, moment) {
    const id = await insertMachine(c, moment.entryId, { code: input.code, name: input.name.trim() });
    await writeFigures(c, moment.entryId, id, input);
    return { code: input.code };
  },
  says: (a) => `machine ${a.code}`,
});
