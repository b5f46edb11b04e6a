import type { JSONSchema } from 'json-schema-to-ts';
import { FAMILY_NAMES } from '@/core/cutters';
import { COOLANTS, CUTS, FEEDS, OUTCOMES, SPEEDS } from '@/core/cutting';
import { namesOf } from '@/core/names';
import { cycleMinutes, judgeUse, type MachineTimes, type Use } from '@/core/jobs';
import { computation, part, type Computation } from '@/crib/door';

const yes = { type: 'boolean' } as const;
const notNegative = { type: 'number', minimum: 0, maximum: 1e6 } as const;
const orNone = (schema: JSONSchema & object) => ({ anyOf: [schema, { type: 'null' }] }) as const;

const extent = part.shape({ least: part.number, most: part.number }, ['least', 'most']);
const feed = {
  f: orNone(notNegative),
  mode: { enum: ['G93', 'G94', 'G95'] },
  unit: { enum: ['mm/min', 'inch/min', '1/min', 'mm/rev', 'inch/rev'] },
  s: orNone(notNegative),
  line: part.count,
} as const;
/** What else a program says of a tool, as its report has it; left out: not read. */
const ASKED_MORE = {
  inForce: part.list(
    part.shape(
      { ...feed, dir: { enum: ['M3', 'M4', null] }, cutting_mm: notNegative, cutting_s: notNegative },
      ['f', 'mode', 'unit', 's', 'line'],
    ),
  ),
  taps: part.list(
    part.shape({ ...feed, cycle: part.text, dwell_s: orNone(notNegative) }, [
      'cycle',
      'f',
      'mode',
      'unit',
      's',
      'dwell_s',
      'line',
    ]),
  ),
  plunges: orNone(part.shape({ lowest: part.orNull, line: part.count }, ['lowest', 'line'])),
  reachY: orNone(extent),
  firstZ: part.list(part.shape({ z: part.number, h: part.orNull, line: part.count }, ['z', 'h', 'line'])),
  readOtherwise: part.list(part.text),
  ramp: orNone(part.shape({ degrees: notNegative, line: part.count }, ['degrees', 'line'])),
} as const;

const stated = (as: readonly string[]) =>
  orNone(part.shape({ as: { enum: as }, least: notNegative, most: notNegative }, ['as', 'least', 'most']));
/** How a cutter is run in a material. */
const recipe = part.shape(
  {
    code: part.text,
    state: { enum: [...OUTCOMES, 'not tried'] },
    ...{ item: part.textOrNull, family: { enum: [...FAMILY_NAMES, null] } },
    diameters: orNone(extent),
    ...{ material: part.text, machine: part.textOrNull, cut: { enum: namesOf(CUTS) } },
    ...{ speed: stated(namesOf(SPEEDS)), feed: stated(namesOf(FEEDS)) },
    ...{ ap: part.orNull, ae: part.orNull, ramp: part.orNull },
    ...{ coolant: { enum: [...COOLANTS, null] }, replacedBy: part.textOrNull },
  },
  [
    'code',
    'state',
    'item',
    'family',
    'diameters',
    'material',
    'machine',
    'cut',
    'speed',
    'feed',
    'ap',
    'ae',
    'ramp',
    'coolant',
    'replacedBy',
  ],
);

/** What is reckoned of a tool in its program. */
export const JOBS_COMPUTATIONS: readonly Computation[] = [
  computation<Use>(
    'jobs/use',
    'Whether an assembly may run as this T on this machine now: one answer with every judgement.',
    part.shape(
      {
        asks: part.shape(
          {
            t: part.count,
            h: part.list(part.count),
            d: part.list(part.count),
            spindle: part.list(part.number),
            highestFeed: part.orNull,
            lowestFeedZ: part.orNull,
            deepestHole: part.orNull,
            minutesPerPart: notNegative,
            atLeast: yes,
            warned: part.list(part.text),
            ...ASKED_MORE,
          },
          [
            't',
            'h',
            'd',
            'spindle',
            'highestFeed',
            'lowestFeedZ',
            'deepestHole',
            'minutesPerPart',
            'atLeast',
            'warned',
          ],
        ),
        here: part.shape(
          {
            highestBeside: part.orNull,
            passDepth: part.orNull,
            stock: orNone(
              part.shape({ bottom: part.number, parallels: part.orNull }, ['bottom', 'parallels']),
            ),
            jaws: orNone(
              part.shape({ vise: part.text, top: part.orNull, stock: extent }, ['vise', 'top', 'stock']),
            ),
            partZero: part.orNull,
            recipes: orNone(
              part.shape({ material: part.text, named: orNone(recipe), recipes: part.list(recipe) }, [
                'material',
                'named',
                'recipes',
              ]),
            ),
          },
          ['highestBeside', 'passDepth'],
        ),
        machine: part.shape(
          {
            code: part.text,
            taper: part.text,
            hEqualsT: yes,
            rpmMax: part.orNull,
            feedMax: part.orNull,
            k: part.orNull,
            travelZ: part.orNull,
            hunts: orNone(part.shape({ from: notNegative, to: notNegative }, ['from', 'to'])),
          },
          ['code', 'taper', 'hEqualsT', 'rpmMax', 'feedMax'],
        ),
        partsLeft: part.count,
        was: part.textOrNull,
        assembly: {
          anyOf: [
            part.shape(
              {
                name: part.text,
                itemCode: part.text,
                cutter: part.cutter,
                body: orNone(part.shape({ rpmMax: part.orNull }, ['rpmMax'])),
                stickout: part.positive,
                cuts: part.shape({ centreCutting: orNone(yes), pitch: part.orNull, body: yes }, [
                  'centreCutting',
                  'pitch',
                  'body',
                ]),
                holder: part.shape({ taper: part.textOrNull, rpmMax: part.orNull }, ['taper', 'rpmMax']),
                build: part.list({ type: 'object', maxProperties: 20 }, 100),
                measured: { enum: ['not measured', 'in question', 'measured'] },
                question: part.textOrNull,
                gaugeLength: part.orNull,
                diameterMeasured: yes,
                runout: part.orNull,
                registerNeeds: part.textOrNull,
                figuresChanged: yes,
                inserts: orNone(
                  part.shape({ seats: part.orNull, mounted: notNegative, damaged: notNegative }, [
                    'seats',
                    'mounted',
                    'damaged',
                  ]),
                ),
                wear: orNone(
                  part.shape(
                    {
                      ...{ reading: part.orNull, limit: part.positive, worn: yes, asks: part.textOrNull },
                      limitOf: part.textOrNull,
                      corner: orNone(
                        part.shape({ reading: notNegative, limit: part.positive }, ['reading', 'limit']),
                      ),
                      left: orNone(
                        part.shape({ minutes: notNegative, cautious: part.orNull }, ['minutes', 'cautious']),
                      ),
                    },
                    ['reading', 'limit', 'worn'],
                  ),
                ),
                life: part.shape(
                  {
                    ...{ used: part.orNull, leftMinutes: part.orNull, fresh: yes, freshMinutes: part.orNull },
                    usualUsed: part.orNull,
                  },
                  ['used', 'leftMinutes', 'fresh'],
                ),
              },
              [
                'name',
                'cutter',
                'body',
                'stickout',
                'holder',
                'build',
                'measured',
                'question',
                'diameterMeasured',
                'runout',
                'registerNeeds',
                'figuresChanged',
                'inserts',
                'wear',
                'life',
              ],
            ),
            { type: 'null' },
          ],
        },
      },
      ['asks', 'here', 'machine', 'partsLeft', 'assembly', 'was'],
    ),
    (use) =>
      judgeUse({
        ...use,
        assembly: use.assembly && { ...use.assembly, cutter: part.whole(use.assembly.cutter) },
      }),
  ),
  computation<MachineTimes & { cuttingS: number; rapidMm: number; changes: number }>(
    'jobs/cycle',
    'Minutes of one part: in the cut, rapid, tool changes.',
    part.shape(
      {
        cuttingS: part.amount,
        rapidMm: part.amount,
        changes: part.count,
        rapidMmMin: part.orNull,
        toolChangeS: part.orNull,
      },
      ['cuttingS', 'rapidMm', 'changes', 'rapidMmMin', 'toolChangeS'],
    ),
    (i) =>
      cycleMinutes(i.cuttingS, i.rapidMm, i.changes, {
        rapidMmMin: i.rapidMmMin,
        toolChangeS: i.toolChangeS,
      }),
  ),
];
