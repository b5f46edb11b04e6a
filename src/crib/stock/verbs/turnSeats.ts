import { ENDING_NAMES } from '@/core/life';
import { fragmentFields, signsField } from '@/crib/breakage';
import { defineVerb, field, toNumber } from '@/crib/door';
import { bodyPiece } from '../bodies';
import { turnInserts } from '../turnInserts';
import { freshInserts, seatNumbers } from '../things';

export const turnSeats = defineVerb({
  name: 'turnSeats',
  may: ['crib', 'operator'],
  path: 'inserts/turned',
  summary:
    'Turn the inserts of a body to their next edge, all or some seats; broken ones and those on their last edge are replaced. What is not turned keeps its edge and its minutes.',
  properties: {
    piece: field.words(20),
    seats: { ...seatNumbers, description: 'Left out: all that hold an insert' },
    brokenSeats: seatNumbers,
    fresh: freshInserts,
    ended: {
      type: 'object',
      description: 'How the life of these edges ended; left out: it had, or all are turned in good time',
      properties: {
        kind: field.choice(ENDING_NAMES.filter((e) => e !== 'lost')),
        signs: signsField,
        ...fragmentFields,
      },
      required: ['kind'],
      additionalProperties: false,
    },
  },
  required: ['piece'],
  async run(c, input, moment) {
    const piece = await bodyPiece(c, moment, { piece: input.piece });
    const { item, turned, replaced, cutsOn } = await turnInserts(c, moment, piece, {
      seats: input.seats?.map(toNumber),
      broken: input.brokenSeats?.map(toNumber),
      fresh: input.fresh,
      ended: input.ended,
    });
    return { piece: piece.mark, item: item.code, turned, replaced, cutsOn };
  },
  says: (a) =>
    [
      `${a.item} in ${a.piece}: ${a.turned} turned`,
      ...(a.replaced ? [`${a.replaced} replaced`] : []),
      ...(a.cutsOn ? [`${a.cutsOn} cut on`] : []),
    ].join(', '),
});
