import { standing } from '@/crib/assemblies';
import { defineVerb, field, toLength } from '@/crib/door';
import { insertWearReading } from '@/data/life';

export const recordWear = defineVerb({
  name: 'recordWear',
  may: ['crib', 'operator'],
  path: 'wear-readings',
  summary: 'Record flank wear of the cutter in an assembly, as read under the loupe.',
  properties: { tag: field.words(20), flankWear: field.length(0, 5, 'Uniform flank wear VB.') },
  required: ['tag', 'flankWear'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const wear = toLength(input.flankWear);
    moment.leansOn(assembly.entryId);
    await insertWearReading(c, moment.entryId, {
      edgeSetId: assembly.edgeSetId,
      flankWearMm: wear.mm,
      flankWearEntered: wear.entered,
    });
    return { tag: assembly.tag, flankWearMm: wear.mm };
  },
  says: (a) => `${a.tag}: flank wear ${a.flankWearMm} mm`,
});
