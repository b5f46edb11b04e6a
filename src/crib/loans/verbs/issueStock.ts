import { defineVerb, field, foundInUse, notPast, Problem } from '@/crib/door';
import { moveThing, takeThing, thingFields } from '@/crib/stock';
import { maybePerson } from '@/data/shop';
import { insertLoan, oneHand } from '@/data/stock';

export const issueStock = defineVerb({
  name: 'issueStock',
  may: ['crib', 'operator'],
  path: 'stock/issued',
  summary: 'Hand a piece, or so many of an item, to somebody, with the day it is wanted back.',
  properties: {
    ...thingFields,
    to: { ...field.initials, description: 'Initials of who takes it' },
    due: field.day,
  },
  required: ['to'],
  async run(c, input, moment) {
    const thing = await takeThing(c, moment, input);
    const person = foundInUse(await maybePerson(c, input.to), 'to', input.to, 'person');
    if (input.due !== undefined) notPast('due', input.due, moment.today, 'Leave it out if no day was said.');
    if (['scrap', 'regrind', 'quarantine'].includes(thing.from.kind))
      throw new Problem('REFUSED', `${thing.words} is at ${thing.from.name}`, {
        field: 'from',
        value: thing.from.code,
      });
    const hand = await oneHand(c, person.initials);
    if (hand.id === thing.from.id)
      throw new Problem('REFUSED', `${person.initials} has it already`, {
        field: 'to',
        value: person.initials,
      });
    await moveThing(c, moment, thing, hand.id);
    await insertLoan(c, moment.entryId, {
      itemId: thing.item.id,
      pieceId: thing.piece?.id ?? null,
      lotId: thing.lotId,
      handPlaceId: hand.id,
      quantity: thing.quantity,
      due: input.due ?? null,
    });
    return {
      what: thing.words,
      item: thing.item.code,
      quantity: thing.quantity,
      to: person.initials,
      due: input.due ?? null,
    };
  },
  says: (a) => `${a.what} to ${a.to}${a.due ? `, back by ${a.due}` : ''}`,
});
