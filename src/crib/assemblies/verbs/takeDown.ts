import { defineVerb, field } from '@/crib/door';
import { placeInCrib } from '@/crib/stock';
import { dismantle, standing } from '../dismantle';

export const takeDown = defineVerb({
  name: 'takeDown',
  may: ['crib', 'operator'],
  path: 'take-downs',
  summary:
    'Take an assembly down whose cutter is still good: holder back to its place, cutter to a place, its life goes on.',
  properties: { tag: field.words(20), cutterTo: field.code },
  required: ['tag', 'cutterTo'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const place = await placeInCrib(c, moment, 'cutterTo', input.cutterTo);
    await dismantle(c, moment, assembly, place, true);
    return { tag: assembly.tag, piece: assembly.mark, cutterTo: place.code };
  },
  says: (a) => `${a.tag} taken down, ${a.piece} to ${a.cutterTo}`,
});
