import { defineVerb, field } from '@/crib/door';
import { insertHandOver } from '@/data/shift';

/** Hands the shift over: what stood then is what is handed over, with a note. */
export const handOver = defineVerb({
  name: 'handOver',
  may: ['crib', 'planner', 'operator'],
  path: 'hand-overs',
  summary: 'Hand the shift over, with a note for whoever takes it over.',
  properties: { words: field.words(2000) },
  required: [],
  async run(c, input, moment) {
    const words = input.words?.trim() || null;
    await insertHandOver(c, moment.entryId, { words });
    return { words };
  },
  says: (a) => `the shift handed over${a.words === null ? '' : `: ${a.words}`}`,
});
