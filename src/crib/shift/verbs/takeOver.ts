import { defineVerb, field, Problem } from '@/crib/door';
import { insertHandOverTaken, manyHandOvers } from '@/data/shift';

/** Takes a shift over, by one’s initials: it was read. */
export const takeOver = defineVerb({
  name: 'takeOver',
  may: ['crib', 'planner', 'operator'],
  path: 'hand-overs/taken',
  summary: 'Take over the shift that was handed over last.',
  properties: { handOver: field.number },
  required: ['handOver'],
  async run(c, input, moment) {
    const [latest] = await manyHandOvers(c, 1);
    const is = (words: string, wayOut: string) =>
      new Problem('CONFLICT', words, {
        field: 'handOver',
        value: input.handOver,
        limit: 'the one that was handed over last and nobody took',
        wayOut,
      });
    if (latest?.entryId !== input.handOver)
      throw is(
        'That is not the shift that was handed over last',
        'Load the page anew, and read what stands now.',
      );
    if (latest.takenBy !== null)
      throw is(
        `${latest.takenBy} has taken it over already`,
        'Nothing is left to do; hand over at the end of this one.',
      );
    moment.leansOn(latest.entryId);
    await insertHandOverTaken(c, moment.entryId, { handOverId: latest.entryId });
    return { handOver: latest.entryId, from: latest.who };
  },
  says: (a) => `the shift taken over from ${a.from}`,
});
