import { defineVerb, field } from '@/crib/door';
import { insertClosedDay } from '@/data/shop';

export const stateDay = defineVerb({
  name: 'stateDay',
  may: ['crib', 'planner'],
  path: 'days',
  summary: 'State that the shop is closed on a day, or open after all.',
  properties: { day: field.day, closed: field.choice(['yes', 'no']), reason: field.words(80) },
  required: ['day', 'closed'],
  async run(c, input, moment) {
    await insertClosedDay(c, moment.entryId, {
      day: input.day,
      closed: input.closed === 'yes',
      reason: input.reason?.trim() || null,
    });
    return { day: input.day, closed: input.closed };
  },
  says: (a) => `${a.day} ${a.closed === 'yes' ? 'is closed' : 'is open after all'}`,
});
