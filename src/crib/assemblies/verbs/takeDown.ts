import { defineVerb, field, type Moment, Problem } from '@/crib/door';
import { placeInCrib } from '@/crib/stock';
import type { AssemblyRow } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import type { PlaceRow } from '@/data/stock';
import { dismantle, standing } from '../dismantle';
import { heldBy } from '../taking';

export const takeDown = defineVerb({
  name: 'takeDown',
  may: ['crib', 'operator'],
  path: 'take-downs',
  summary:
    'Take an assembly down whose cutter is still good: cutter to a place, its life goes on; holder and parts back where they came from, or elsewhere.',
  properties: {
    tag: field.words(20),
    cutterTo: field.code,
    elsewhere: {
      type: 'array',
      maxItems: 13,
      description: 'What does not go back where it came from',
      items: {
        type: 'object',
        properties: { item: field.words(40), place: field.code },
        required: ['item', 'place'],
        additionalProperties: false,
      },
    },
  },
  required: ['tag', 'cutterTo'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const place = await placeInCrib(c, moment, 'cutterTo', input.cutterTo);
    const elsewhere = await placesOf(c, moment, assembly, input.elsewhere ?? []);
    await dismantle(c, moment, assembly, place, { elsewhere });
    return { tag: assembly.tag, piece: assembly.mark, cutterTo: place.code };
  },
  says: (a) => `${a.tag} taken down, ${a.piece} to ${a.cutterTo}`,
});

/** Places by what goes there; a thing that is not in the build is refused. */
async function placesOf(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  said: readonly { item: string; place: string }[],
): Promise<Map<number, PlaceRow>> {
  const { parts, itemId } = await heldBy(c, a);
  const inIt = new Set([itemId, ...parts.map((p) => p.itemId)]);
  const places = new Map<number, PlaceRow>();
  for (const [i, { item: code, place }] of said.entries()) {
    const item = await maybeItem(c, code);
    if (!item || !inIt.has(item.id))
      throw new Problem('INVALID_INPUT', `${code} is not in ${a.tag}`, {
        field: `elsewhere/${i}/item`,
        value: code,
        limit: 'its holder or a part of it',
        wayOut: 'Look at the tag: what is in it is listed there.',
      });
    places.set(item.id, await placeInCrib(c, moment, `elsewhere/${i}/place`, place));
  }
  return places;
}
