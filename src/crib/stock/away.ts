import { defineVerb, field, Problem } from '@/crib/door';
import { onePlaceOfKind } from '@/data/stock';
import { moveThing, takeThing, thingFields } from './things';

/** What leaves the crib's stock for good, or until somebody finds it. */
export const away = <const Name extends string>(
  name: Name,
  path: string,
  summary: string,
  kind: 'scrap' | 'lost',
  done: string,
) =>
  defineVerb({
    name,
    may: ['crib'],
    path,
    summary,
    properties: { ...thingFields, reason: field.words(200) },
    required: ['reason'],
    async run(c, input, moment) {
      const thing = await takeThing(c, moment, input);
      const to = await onePlaceOfKind(c, kind);
      if (to.id === thing.from.id)
        throw new Problem('REFUSED', `${thing.words} is there already`, {
          field: 'from',
          value: thing.from.code,
        });
      await moveThing(c, moment, thing, to.id);
      return {
        what: thing.words,
        item: thing.item.code,
        from: thing.from.code,
        quantity: thing.quantity,
        reason: input.reason.trim(),
      };
    },
    says: (a) => `${a.what} ${done}: ${a.reason}`,
  });
