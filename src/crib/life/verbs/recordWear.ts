import { CHIPS_NAMES, GAUGE, GAUGE_NAMES, measureOf, SIGNS, STRENGTH_NAMES } from '@/core/life';
import { standing } from '@/crib/assemblies';
import { familySpec } from '@/core/cutters';
import { factNumber, loadItem } from '@/crib/catalogue';
import { defineVerb, field, maybeLength, Problem } from '@/crib/door';
import { insertWearReading } from '@/data/life';

/** What a reading may say; one of them at least. */
const SAYS = [
  'flankWear',
  'corner',
  'gauge',
  'chips',
  'zoneFrom',
  'zoneTo',
  'runout',
  'drift',
  'signs',
] as const;

export const recordWear = defineVerb({
  name: 'recordWear',
  may: ['crib', 'operator'],
  path: 'wear-readings',
  summary:
    'Record what was read of the edge in an assembly: flank wear, corner, what a gauge says of the hole or thread it made, chips, where along the flute, runout, what the size does, signs.',
  properties: {
    tag: field.words(20),
    flankWear: field.length(0, 5, 'Uniform flank wear VB.'),
    uncertainty: field.length(0, 1, 'How far that reading may be off.'),
    corner: field.length(0, 5, 'Wear of the corner or at one spot.'),
    gauge: field.choice(GAUGE_NAMES),
    chips: field.choice(CHIPS_NAMES),
    zoneFrom: field.length(0, 800, 'Where the worn zone begins, from the tip.'),
    zoneTo: field.length(0, 800, 'Where it ends, from the tip.'),
    runout: field.length(0, 1, 'Runout at the tip.'),
    drift: field.length(-1, 1, 'By how much what it cuts grew (+) or shrank (-).'),
    signs: {
      type: 'array',
      maxItems: SIGNS.length,
      items: {
        type: 'object',
        properties: { sign: field.choice(SIGNS), strength: field.choice(STRENGTH_NAMES) },
        required: ['sign', 'strength'],
        additionalProperties: false,
      },
    },
  },
  required: ['tag'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const signs = input.signs ?? [];
    if (!SAYS.some((s) => input[s] !== undefined && (s !== 'signs' || signs.length > 0)))
      throw new Problem('INVALID_INPUT', 'The reading says nothing', {
        field: 'flankWear',
        limit: 'at least one figure or sign',
        wayOut: 'Enter what was read; what was not looked at stays empty.',
      });
    const twice = signs.find((s, i) => signs.findIndex((o) => o.sign === s.sign) < i);
    if (twice)
      throw new Problem('INVALID_INPUT', `“${twice.sign}” stands twice`, {
        field: 'signs',
        value: twice.sign,
        limit: 'each sign once',
        wayOut: 'Say each sign once, with one strength.',
      });
    const [from, to] = [maybeLength(input.zoneFrom), maybeLength(input.zoneTo)];
    const item = await loadItem(c, assembly.cutterItemId);
    const flute = factNumber(item, 'LCF');
    if (from && !to)
      throw new Problem('INVALID_INPUT', 'Where the worn zone ends is not said', {
        field: 'zoneTo',
        limit: 'where it ends, where it begins',
        wayOut: 'Say both, or only where it ends: it begins at the tip then.',
      });
    const begins = from?.mm ?? 0;
    if (to && !(to.mm > begins))
      throw new Problem(
        'INVALID_INPUT',
        `A worn zone can't end at ${to.entered} where it begins at ${from?.entered ?? '0'}`,
        {
          field: 'zoneTo',
          value: to.entered,
          limit: `more than ${from?.entered ?? '0'}`,
          wayOut: 'Measure both from the tip.',
        },
      );
    if (to && flute !== null && to.mm > flute + 1e-9)
      throw new Problem(
        'INVALID_INPUT',
        `A worn zone can't end at ${to.entered}: the flute is ${flute} mm long`,
        {
          field: 'zoneTo',
          value: to.entered,
          limit: `at most the flute of ${flute} mm`,
          wayOut: 'Measure from the tip, or correct the flute of the cutter.',
        },
      );
    const flank = maybeLength(input.flankWear);
    const corner = maybeLength(input.corner);
    const off = maybeLength(input.uncertainty);
    if (off && !flank)
      throw new Problem('INVALID_INPUT', `Off by ${off.entered}, but no flank wear is said`, {
        field: 'uncertainty',
        value: off.entered,
        limit: 'with a flank wear',
        wayOut: 'Say the flank wear that may be off by so much, or leave it out.',
      });
    const { family } = item;
    if (input.gauge !== undefined && measureOf(family && familySpec(family)) !== 'holes')
      throw new Problem('INVALID_INPUT', `${item.code} sizes no hole and cuts no thread along its axis`, {
        field: 'gauge',
        value: input.gauge,
        limit: 'a drill, reamer, tap or another that makes a hole',
        wayOut: 'Say by how much the size grew or shrank instead.',
      });
    moment.leansOn(assembly.entryId);
    await insertWearReading(c, moment.entryId, {
      edgeSetId: assembly.edgeSetId,
      flankWearMm: flank?.mm ?? null,
      flankWearEntered: flank?.entered ?? null,
      uncertaintyMm: off?.mm ?? null,
      cornerMm: corner?.mm ?? null,
      cornerEntered: corner?.entered ?? null,
      gauge: input.gauge ?? null,
      chips: input.chips ?? null,
      zoneFromMm: to ? (from?.mm ?? 0) : null,
      zoneToMm: to?.mm ?? null,
      runoutMm: maybeLength(input.runout)?.mm ?? null,
      driftMm: maybeLength(input.drift)?.mm ?? null,
      signs: JSON.stringify(signs),
    });
    return { tag: assembly.tag, flankWearMm: flank?.mm ?? null, gauge: input.gauge ?? null };
  },
  says: (a) =>
    `${a.tag}: ${a.flankWearMm !== null ? `flank wear ${a.flankWearMm} mm` : a.gauge ? `what it makes is gauged: ${GAUGE[a.gauge]}` : 'its edge read'}`,
});
