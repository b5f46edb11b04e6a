import { GAUGE_KINDS, hasSize, namedGauge } from '@/core/devices';
import { namesOf } from '@/core/names';
import { defineVerb, field, maybeLength, Problem } from '@/crib/door';
import { insertGauge } from '@/data/devices';

export const addGauge = defineVerb({
  name: 'addGauge',
  may: ['crib'],
  path: 'gauges',
  summary:
    'Add what is measured or tightened by and has a certificate: a master, a gauge block, a torque wrench, a bore gauge, a micrometer.',
  properties: {
    code: field.code,
    name: field.words(),
    kind: field.choice(namesOf(GAUGE_KINDS)),
    size: field.length(0.5, 1500, 'Of a master or block: its length by its certificate.'),
  },
  required: ['code', 'name', 'kind'],
  async run(c, input, moment) {
    const size = maybeLength(input.size);
    if (hasSize(input.kind) !== (size !== null))
      throw new Problem(
        'INVALID_INPUT',
        size === null
          ? `size: ${namedGauge(input.kind)} stands for a length`
          : `size: ${namedGauge(input.kind)} stands for none`,
        {
          field: 'size',
          value: size?.entered ?? null,
          limit: size === null ? 'its length by its certificate' : 'left out',
          wayOut: size === null ? 'Enter it.' : 'Leave it out, or choose another kind.',
        },
      );
    await insertGauge(c, moment.entryId, {
      code: input.code,
      name: input.name.trim(),
      kind: input.kind,
      sizeMm: size?.mm ?? null,
      sizeEntered: size?.entered ?? null,
    });
    return { code: input.code, kind: input.kind };
  },
  says: (a) => `${GAUGE_KINDS[a.kind].words} ${a.code}`,
});
