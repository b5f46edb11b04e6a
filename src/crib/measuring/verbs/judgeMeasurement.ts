import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertVerdict, maybeMeasurement } from '@/data/assemblies';

export const judgeMeasurement = defineVerb({
  name: 'judgeMeasurement',
  may: ['crib'],
  path: 'measurement-verdicts',
  summary:
    'Accept a measurement in question with a reason, or reject it. One that was rejected is not accepted after it: it is measured again.',
  properties: {
    measurement: field.number,
    accepted: { type: 'boolean' },
    reason: field.words(500),
  },
  required: ['measurement', 'accepted', 'reason'],
  async run(c, input, moment) {
    const measurement = found(
      await maybeMeasurement(c, input.measurement),
      'measurement',
      input.measurement,
      'measurement that stands',
    );
    if (measurement.questions.length === 0 && input.accepted)
      throw new Problem('REFUSED', 'This measurement is not in question', {
        field: 'measurement',
        value: measurement.entryId,
        wayOut: 'Nothing to do: it counts already.',
      });
    // Of two who judge at once the one who doubts it is right until somebody has looked again.
    if (input.accepted && measurement.accepted === false)
      throw new Problem('CONFLICT', `It was rejected: ${measurement.reason ?? 'no reason was said'}`, {
        field: 'measurement',
        value: measurement.entryId,
        limit: 'one that nobody rejected',
        wayOut: 'Measure it again; or take the rejection back where it stands under Entries.',
      });
    moment.leansOn(measurement.entryId);
    await insertVerdict(c, moment.entryId, {
      measurementId: measurement.entryId,
      accepted: input.accepted,
      reason: input.reason.trim(),
    });
    return { measurement: measurement.entryId, accepted: input.accepted };
  },
  says: (a) => `measurement ${a.measurement} ${a.accepted ? 'accepted' : 'rejected'}`,
});
