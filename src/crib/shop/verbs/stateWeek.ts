import { defineVerb, field, toNumber } from '@/crib/door';
import { insertShopWeek } from '@/data/shop';

const hours = field.decimal(0, 24);

export const stateWeek = defineVerb({
  name: 'stateWeek',
  may: ['crib', 'planner'],
  path: 'weeks',
  summary: 'State the hours the shop works on each day of the week; 0 is closed.',
  properties: {
    monday: hours,
    tuesday: hours,
    wednesday: hours,
    thursday: hours,
    friday: hours,
    saturday: hours,
    sunday: hours,
  },
  required: ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'],
  async run(c, input, moment) {
    const week = [
      input.monday,
      input.tuesday,
      input.wednesday,
      input.thursday,
      input.friday,
      input.saturday,
      input.sunday,
    ].map((h) => Math.round(toNumber(h) * 60));
    await insertShopWeek(c, moment.entryId, { minutes: week });
    return { hours: week.reduce((sum, m) => sum + m, 0) / 60 };
  },
  says: (a) => `the shop works ${a.hours} hours a week`,
});
