import { defineVerb, field, found, Problem } from '@/crib/door';
import { maybeEntry } from '@/data/ledger';
import { manyMeasurements } from '@/data/assemblies';
import { insert } from '@/data/database';

export const judgeMeasurement = defineVerb({
  name: 'judgeMeasurement',
  path: 'measurement-verdicts',
  summary: 'Accept a measurement in question with a reason, or reject it.',
  properties: {
    measurement: { type: 'integer', minimum: 1 },
    accepted: { type: 'boolean' },
    reason: field.words(500),
  },
  required: ['measurement', 'accepted', 'reason'],
  async run(c, input, moment) {
    const entry = found(
      await maybeEntry(c, input.measurement),
      'measurement',
      input.measurement,
      'measurement',
    );
    const all = await manyMeasurements(c, null);
    const measurement = found(
      all.find((m) => m.entry_id === entry.id) ?? null,
      'measurement',
      input.measurement,
      'measurement that stands',
    );
    if (measurement.questions.length === 0 && input.accepted)
      throw new Problem('REFUSED', 'This measurement is not in question', {
        field: 'measurement',
        value: entry.id,
        wayOut: 'Nothing to do: it counts already.',
      });
    await moment.leansOn(entry.id);
    await insert(c, 'verdict', {
      entry_id: moment.entryId,
      measurement_id: entry.id,
      accepted: input.accepted,
      reason: input.reason.trim(),
    });
    return { measurement: entry.id, accepted: input.accepted };
  },
});
