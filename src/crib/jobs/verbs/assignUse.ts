import { standing } from '@/crib/assemblies';
import { defineVerb, field, found, toNumber } from '@/crib/door';
import { insertUseAssignment, manyOpenUses } from '@/data/jobs';

export const assignUse = defineVerb({
  name: 'assignUse',
  may: ['crib', 'planner'],
  path: 'use-assignments',
  summary: 'Say which assembly ran the minutes of a T that had none tied: all of them that are open.',
  properties: { operation: field.number, t: field.whole(0, 9999), tag: field.words(20) },
  required: ['operation', 't', 'tag'],
  async run(c, input, moment) {
    const t = toNumber(input.t);
    const uses = await manyOpenUses(c, input.operation, t);
    found(uses[0] ?? null, 't', `T${t}`, 'open use');
    const assembly = await standing(c, moment, input.tag);
    moment.leansOn(assembly.entryId);
    for (const use of uses) {
      moment.leansOn(use.entryId);
      await insertUseAssignment(c, moment.entryId, { useId: use.id, edgeSetId: assembly.edgeSetId });
    }
    return {
      operation: input.operation,
      t,
      tag: assembly.tag,
      minutes: uses.reduce((sum, u) => sum + u.minutes, 0),
    };
  },
  says: (a) => `minutes given to ${a.tag}`,
});
