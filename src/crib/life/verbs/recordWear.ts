import { CHIPS_NAMES, GAUGE, GAUGE_NAMES, gaugeOfSize, measureOf, SIGNS, STRENGTH_NAMES } from '@/core/life';
import { standing } from '@/crib/assemblies';
import { familySpec, holeLimits } from '@/core/cutters';
import { type CribItem, factNumber, factText, loadItem } from '@/crib/catalogue';
import { defineVerb, field, maybeLength, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertWearReading, manyWearReadings } from '@/data/life';

/** What a reading may say; one of them at least. */
const SAYS = [
  'flankWear',
  'corner',
  'gauge',
  'hole',
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
    hole: field.length(0.1, 500, 'A hole it made, measured.'),
    holeFits: {
      ...field.words(24),
      description:
        'What that hole must be: a class such as H7, or limits such as +0/+0.021; left out: as it was said of this edge before, or as its cutter’s TCHA says.',
    },
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
    const makesHoles = measureOf(item.family && familySpec(item.family)) === 'holes';
    const only = (['gauge', 'hole', 'holeFits'] as const).find((name) => input[name] !== undefined);
    if (only && !makesHoles)
      throw new Problem('INVALID_INPUT', `${item.code} sizes no hole and cuts no thread along its axis`, {
        field: only,
        value: input[only] ?? null,
        limit: 'a drill, reamer, tap or another that makes a hole',
        wayOut: 'Say by how much the size grew or shrank instead.',
      });
    const hole = await holeOf(c, assembly.edgeSetId, item, input);
    if (hole && input.gauge !== undefined && input.gauge !== hole.gauge)
      throw new Problem(
        'INVALID_INPUT',
        `A hole of ${hole.entered} within ${hole.fits} is not ‘${GAUGE[input.gauge]}’`,
        {
          field: 'gauge',
          value: input.gauge,
          limit: GAUGE[hole.gauge],
          wayOut: 'Leave the gauge out: the size says it. Or measure the hole again.',
        },
      );
    const gauge = hole?.gauge ?? input.gauge ?? null;
    moment.leansOn(assembly.entryId);
    await insertWearReading(c, moment.entryId, {
      edgeSetId: assembly.edgeSetId,
      flankWearMm: flank?.mm ?? null,
      flankWearEntered: flank?.entered ?? null,
      uncertaintyMm: off?.mm ?? null,
      cornerMm: corner?.mm ?? null,
      cornerEntered: corner?.entered ?? null,
      gauge,
      holeMm: hole?.mm ?? null,
      holeEntered: hole?.entered ?? null,
      holeFits: hole?.fits ?? null,
      holeLeastMm: hole?.lower ?? null,
      holeMostMm: hole?.upper ?? null,
      chips: input.chips ?? null,
      zoneFromMm: to ? (from?.mm ?? 0) : null,
      zoneToMm: to?.mm ?? null,
      runoutMm: maybeLength(input.runout)?.mm ?? null,
      driftMm: maybeLength(input.drift)?.mm ?? null,
      signs: JSON.stringify(signs),
    });
    return { tag: assembly.tag, flankWearMm: flank?.mm ?? null, gauge };
  },
  says: (a) =>
    `${a.tag}: ${a.flankWearMm !== null ? `flank wear ${a.flankWearMm} mm` : a.gauge ? `what it makes is gauged: ${GAUGE[a.gauge]}` : 'its edge read'}`,
});

/** A hole that was measured, with what it must be, and what a gauge would say of it; null: none was. */
async function holeOf(
  c: Connection,
  edgeSetId: number,
  item: CribItem,
  input: { hole?: string | number; holeFits?: string },
) {
  const hole = maybeLength(input.hole);
  if (!hole) {
    if (input.holeFits === undefined) return null;
    throw new Problem('INVALID_INPUT', 'What the hole must be is said, and not what it is', {
      field: 'hole',
      limit: 'its measured size',
      wayOut: 'Enter the size, or leave both out.',
    });
  }
  const before = (await manyWearReadings(c, [edgeSetId])).findLast((r) => r.holeFits !== null)?.holeFits;
  const fits = input.holeFits?.trim() ?? before ?? factText(item, 'TCHA');
  const nominal = factNumber(item, 'DC');
  const limits = fits == null || nominal === null ? null : holeLimits(nominal, fits);
  if (fits == null || !limits)
    throw new Problem(
      'INVALID_INPUT',
      fits == null
        ? 'What the hole must be is not said'
        : `holeFits: ${fits} is no class of a hole of ${nominal} mm`,
      {
        field: 'holeFits',
        value: fits ?? null,
        limit: 'a class such as H7, or limits such as +0/+0.021',
        wayOut: 'Say what the drawing asks of the hole.',
      },
    );
  if (Math.abs(hole.mm - limits.nominal) > limits.nominal / 10)
    throw new Problem(
      'INVALID_INPUT',
      `A hole of ${hole.entered} is none of a ${item.code} of ${limits.nominal} mm`,
      {
        field: 'hole',
        value: hole.entered,
        limit: `within a tenth of ${limits.nominal} mm`,
        wayOut: 'Look at the figure and its unit; or correct DC of the cutter.',
      },
    );
  const { lower, upper } = limits;
  return { ...hole, fits, lower, upper, gauge: gaugeOfSize(hole.mm, { least: lower, most: upper }) };
}
