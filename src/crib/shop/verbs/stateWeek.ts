import { defineVerb, field, toNumber } from '@/crib/door';
import { insertShopWeek } from '@/data/shop';

const hours = field.decimal(0, 24);

export const stateWeek = defineVerb({
  name: 'stateWeek',
  may: ['crib', 'planner'],
  path: 'weeks',
  summary: 'State the hours the shop works on each day of the week, and when its day begins; 0 is closed.',
  properties: {
    monday: hours,
    tuesday: hours,
    wednesday: hours,
    thursday: hours,
    friday: hours,
    saturday: hours,
    sunday: hours,
    begins: {
      type: 'string',
      pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$',
      description: 'When its day begins, 06:00 where it is left out.',
    },
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
    const [hour, minute] = (input.begins ?? '').split(':').map(Number);
    await insertShopWeek(c, moment.entryId, {
      minutes: week,
      begins: hour === undefined || minute === undefined ? null : hour * 60 + minute,
    });
    return { hours: week.reduce((sum, m) => sum + m, 0) / 60 };
  },
  says: (a) => `the shop works ${a.hours} hours a week`,
});
