import { defineVerb, field, found } from '@/crib/door';
import { maybeMachine } from '@/data/shop';
import { figures, REQUIRED, writeFigures } from '../machineFigures';

/** A crash or spindle repair makes a new K: new figures from a day on, never a change of the old ones. */
export const changeMachine = defineVerb({
  name: 'changeMachine',
  may: ['crib', 'planner'],
  path: 'machine-figures',
  summary:
    'State a machine’s figures anew (after a crash, a spindle repair, a new stand). Registers follow at once.',
  properties: { code: field.code, ...figures },
  required: ['code', ...REQUIRED],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.code), 'code', input.code, 'machine');
    moment.leansOn(machine.entryId);
    await writeFigures(c, moment.entryId, machine.id, input);
    return { code: machine.code };
  },
  says: (a) => `new figures of ${a.code}`,
});
