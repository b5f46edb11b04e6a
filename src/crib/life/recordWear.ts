import { standing } from '@/crib/assemblies';
import { defineVerb, field, toLength } from '@/crib/door';
import { insert } from '@/data/database';

export const recordWear = defineVerb({
  name: 'recordWear',
  path: 'wear-readings',
  summary: 'Record flank wear of the cutter in an assembly, as read under the loupe.',
  properties: { tag: field.words(20), flankWear: field.length(0, 5, 'Uniform flank wear VB.') },
  required: ['tag', 'flankWear'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const wear = toLength(input.flankWear);
    await moment.leansOn(assembly.entry_id);
    await insert(c, 'wear_reading', {
      entry_id: moment.entryId,
      edge_set_id: assembly.edge_set_id,
      flank_wear_mm: wear.mm,
      flank_wear_entered: wear.entered,
    });
    return { tag: assembly.tag, flankWearMm: wear.mm };
  },
});
