import { defineVerb, field, toNumber } from '@/crib/door';
import { insertChangeCosts } from '@/data/life';

/** What a change and a failure cost here beside the edge: from then on nobody types it for each cutter. */
export const setChangeCosts = defineVerb({
  name: 'setChangeCosts',
  may: ['crib', 'planner'],
  path: 'change-costs',
  summary:
    'Say what a minute of machine and person costs, how long a planned change takes, how many minutes a failure loses besides, and what a lost part costs.',
  properties: {
    minuteCents: { ...field.cents, minimum: 1 },
    changeMinutes: field.decimal(0.1, 1000),
    failureMinutes: field.decimal(0, 10_000),
    partCents: field.cents,
  },
  required: ['minuteCents', 'changeMinutes', 'failureMinutes'],
  async run(c, input, moment) {
    await insertChangeCosts(c, moment.entryId, {
      minuteCents: input.minuteCents,
      changeMinutes: toNumber(input.changeMinutes),
      failureMinutes: toNumber(input.failureMinutes),
      partCents: input.partCents ?? null,
    });
    return { minuteCents: input.minuteCents };
  },
  says: () => 'what a change and a failure cost',
});
