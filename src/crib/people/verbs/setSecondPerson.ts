import { namesOf } from '@/core/names';
import { SECOND_PERSON } from '@/core/people';
import { defineVerb, field } from '@/crib/door';
import { insertSecondPerson } from '@/data/people';

const YES_NO = field.choice(['yes', 'no']);

/** What this shop wants two people for. */
export const setSecondPerson = defineVerb({
  name: 'setSecondPerson',
  may: [],
  path: 'people/second-person',
  summary: 'Say what a second person confirms by PIN: write-offs, accepted deviations, settlements.',
  properties: { writeOff: YES_NO, deviation: YES_NO, settlement: YES_NO },
  required: ['writeOff', 'deviation', 'settlement'],
  async run(c, input, moment) {
    const wanted = {
      writeOff: input.writeOff === 'yes',
      deviation: input.deviation === 'yes',
      settlement: input.settlement === 'yes',
    };
    await insertSecondPerson(c, moment.entryId, wanted);
    return { wanted: namesOf(SECOND_PERSON).filter((name) => wanted[name]) };
  },
  countering: { never: 'What two people are wanted for is said anew, not taken back' },
  says: (a) =>
    a.wanted.length
      ? `two people for ${a.wanted.map((name) => SECOND_PERSON[name].words).join(', ')}`
      : 'one person is enough for all',
});
