import { takesIn } from '@/core/stock';
import { defineVerb, field, foundInUse, Problem } from '@/crib/door';
import { maybePlace } from '@/data/stock';
import { moveThing, takeThing, thingFields } from '../things';

export const moveStock = defineVerb({
  name: 'moveStock',
  may: ['crib', 'operator'],
  path: 'stock/moved',
  summary: 'Move a piece, or so many of an item, to another shelf, drawer, cart or machine.',
  properties: { ...thingFields, to: field.code },
  required: ['to'],
  async run(c, input, moment) {
    const thing = await takeThing(c, moment, input);
    const to = foundInUse(await maybePlace(c, input.to.toUpperCase()), 'to', input.to, 'place');
    if (!takesIn(to.kind) && to.kind !== 'machine')
      throw new Problem('REFUSED', `to: things are not simply moved to ${to.name}`, {
        field: 'to',
        value: to.code,
        limit: 'a place in the crib, quarantine or a machine',
        wayOut: 'Lend it, scrap it or send it to be reground instead.',
      });
    if (to.id === thing.from.id)
      throw new Problem('INVALID_INPUT', `${thing.words} lies at ${to.code} already`, {
        field: 'to',
        value: to.code,
      });
    moment.leansOn(to.entryId);
    await moveThing(c, moment, thing, to.id);
    return {
      what: thing.words,
      item: thing.item.code,
      from: thing.from.code,
      to: to.code,
      quantity: thing.quantity,
    };
  },
  says: (a) => `${a.what} from ${a.from} to ${a.to}`,
});
