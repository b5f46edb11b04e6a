import { assemblyOutline, expectedGaugeLength, judgeBuild, type Build } from '@/core/assemblies';
import { proposeOrder, type BookedUse, type BuyingTerms, type CutterSupply } from '@/core/buying';
import { checkToolLine, cycleMinutes, type MachineTimes, type ToolLineFacts } from '@/core/jobs';
import {
  expectLife,
  kaplanMeier,
  lifeUsed,
  meanReached,
  medianLife,
  wearLimit,
  type AssumedLife,
  type LifeTime,
  type UseInMaterial,
} from '@/core/life';
import {
  commonOffset,
  DIAMETER_SCHOOLS,
  diameterRegister,
  gaugeLengthFromTouch,
  LENGTH_SCHOOLS,
  lengthRegister,
  questionMeasurement,
  workOffset,
  type DiameterSchool,
  type LengthSchool,
  type MeasuredAgainst,
} from '@/core/measuring';
import {
  assumed,
  buildOf,
  computation,
  day,
  life,
  list,
  number,
  orNull,
  textOrNull,
  positive,
  shape,
  text,
  whole,
  type Computation,
} from './computation';
import { OF_CUTTERS } from './ofCutters';

interface RegistersInput {
  school: LengthSchool;
  K: number;
  K0?: number | null;
  Lm?: number | null;
  L: number;
  h?: number | null;
  diameterSchool?: DiameterSchool;
  D?: number | null;
  programmed?: number | null;
}
interface ProposeInput {
  uses: BookedUse[];
  supply: CutterSupply;
  terms: BuyingTerms;
  today: string;
}

/** Everything a screen computes. `programs/read` takes text/plain and has its own door. */
export const COMPUTATIONS: readonly Computation[] = [
  ...OF_CUTTERS,
  computation<Build>(
    'assemblies/judge',
    'Judgement of a build and its expected gauge length, mm.',
    shape({ ...buildOf, shank: shape({ form: textOrNull, takes: textOrNull }, ['form', 'takes']) }, [
      'cutter',
      'holder',
      'stickout',
    ]),
    (b) => ({
      judgements: judgeBuild({ ...b, cutter: whole(b.cutter) }),
      expectedGaugeLength: expectedGaugeLength(b.holder.LF, b.stickout),
    }),
  ),
  computation<Build & { length?: number }>(
    'assemblies/outline',
    'Half outline hung from the gauge line, mm.',
    shape({ ...buildOf, length: positive }, ['cutter', 'holder', 'stickout']),
    (b) => assemblyOutline(whole(b.cutter), b.holder, b.stickout, b.length),
  ),
  computation<RegistersInput>(
    'measuring/registers',
    'Length and diameter register and work offset of a machine from one measurement, mm.',
    shape(
      {
        school: { enum: Object.keys(LENGTH_SCHOOLS) as LengthSchool[] },
        K: positive,
        K0: orNull,
        Lm: orNull,
        L: positive,
        h: orNull,
        diameterSchool: { enum: Object.keys(DIAMETER_SCHOOLS) as DiameterSchool[] },
        D: orNull,
        programmed: orNull,
      },
      ['school', 'K', 'L'],
    ),
    (i) => {
      const m = { school: i.school, K: i.K, K0: i.K0 ?? null, Lm: i.Lm ?? null };
      return {
        H: lengthRegister(m, i.L, i.h ?? null),
        workOffset: workOffset(m, i.h ?? null),
        commonOffset: commonOffset(m),
        D:
          i.diameterSchool && i.D != null
            ? diameterRegister(i.diameterSchool, i.D, i.programmed ?? null)
            : { needs: 'a measured diameter and its school' },
      };
    },
  ),
  computation<{ reading: number; block: number; K: number; h: number }>(
    'measuring/touch-off',
    'Register and gauge length from a touch-off with a block, mm.',
    shape({ reading: number, block: number, K: positive, h: number }, ['reading', 'block', 'K', 'h']),
    (i) => gaugeLengthFromTouch(i.reading, i.block, i.K, i.h),
  ),
  computation<MeasuredAgainst>(
    'measuring/question',
    'Whether a measurement is in question, and why.',
    shape({ L: positive, expected: positive, last: orNull, D: orNull, DC: positive }, [
      'L',
      'expected',
      'last',
      'D',
      'DC',
    ]),
    (i) => ({
      questions: questionMeasurement(i),
    }),
  ),
  computation<{ lives: LifeTime[] }>(
    'life/survival',
    'Kaplan-Meier curve, median and mean life reached.',
    shape({ lives: list(life) }, ['lives']),
    ({ lives }) => ({
      steps: kaplanMeier(lives),
      median: medianLife(lives),
      mean: meanReached(lives),
    }),
  ),
  computation<{ lives: LifeTime[]; assumed: AssumedLife | null }>(
    'life/expectation',
    'What to expect of a life, and on what it rests; null: cannot say.',
    shape({ lives: list(life), assumed }, ['lives', 'assumed']),
    (i) => ({ expectation: expectLife(i.lives, i.assumed) }),
  ),
  computation<{ uses: UseInMaterial[] }>(
    'life/used',
    'Share of a life used over several materials; null: cannot say.',
    shape(
      {
        uses: list(
          shape({ minutes: { type: 'number', minimum: 0 }, expected: orNull }, ['minutes', 'expected']),
        ),
      },
      ['uses'],
    ),
    (i) => ({
      used: lifeUsed(i.uses),
    }),
  ),
  computation<{ DC: number }>(
    'life/wear-limit',
    'Flank wear at which an end mill counts as worn, mm.',
    shape({ DC: positive }, ['DC']),
    (i) => ({ limit: wearLimit(i.DC) }),
  ),
  computation<ToolLineFacts>(
    'jobs/check',
    'One T of a program against its assembly and machine.',
    shape(
      {
        t: { type: 'integer' },
        h: list({ type: 'integer' }),
        spindle: list(number),
        feeds: list(number),
        lowestFeedZ: orNull,
        highestBeside: orNull,
        passDepth: orNull,
        hEqualsT: { type: 'boolean' },
        machineRpmMax: orNull,
        machineFeedMax: orNull,
        assembly: {
          anyOf: [
            shape({ tag: text, stickout: positive, LCF: orNull, holderRpmMax: orNull }, [
              'tag',
              'stickout',
              'LCF',
              'holderRpmMax',
            ]),
            { type: 'null' },
          ],
        },
      },
      [
        't',
        'h',
        'spindle',
        'feeds',
        'lowestFeedZ',
        'highestBeside',
        'passDepth',
        'hEqualsT',
        'machineRpmMax',
        'machineFeedMax',
        'assembly',
      ],
    ),
    (i) => ({ judgements: checkToolLine(i) }),
  ),
  computation<MachineTimes & { cuttingS: number; rapidMm: number; changes: number }>(
    'jobs/cycle',
    'Minutes of one part: in the cut, rapid, tool changes.',
    shape(
      {
        cuttingS: { type: 'number', minimum: 0 },
        rapidMm: { type: 'number', minimum: 0 },
        changes: { type: 'integer', minimum: 0 },
        rapidMmMin: orNull,
        toolChangeS: orNull,
      },
      ['cuttingS', 'rapidMm', 'changes', 'rapidMmMin', 'toolChangeS'],
    ),
    (i) =>
      cycleMinutes(i.cuttingS, i.rapidMm, i.changes, {
        rapidMmMin: i.rapidMmMin,
        toolChangeS: i.toolChangeS,
      }),
  ),
  computation<ProposeInput>(
    'buying/propose',
    'What to buy, how many, by which day and because of what; null: nothing is booked.',
    shape(
      {
        uses: list(
          shape(
            {
              job: text,
              due: day,
              material: text,
              partsLeft: { type: 'number', minimum: 0 },
              minutesPerPart: { type: 'number', minimum: 0 },
              atLeast: { type: 'boolean' },
              life: {
                anyOf: [shape({ minutes: positive, basis: text }, ['minutes', 'basis']), { type: 'null' }],
              },
            },
            ['job', 'due', 'material', 'partsLeft', 'minutesPerPart', 'life'],
          ),
        ),
        supply: shape(
          {
            shelf: { type: 'integer', minimum: 0 },
            edgeSets: list(shape({ tag: text, livesLeft: orNull }, ['tag', 'livesLeft'])),
            openOrders: list(
              shape({ number: text, quantity: { type: 'integer', minimum: 0 }, promised: day }, [
                'number',
                'quantity',
                'promised',
              ]),
            ),
          },
          ['shelf', 'edgeSets', 'openOrders'],
        ),
        terms: shape(
          {
            leadTimeDays: orNull,
            pack: { type: 'integer', minimum: 1 },
            minimum: { type: 'integer', minimum: 1 },
          },
          ['leadTimeDays', 'pack', 'minimum'],
        ),
        today: day,
      },
      ['uses', 'supply', 'terms', 'today'],
    ),
    (i) => ({ proposal: proposeOrder(i.uses, i.supply, i.terms, i.today) }),
  ),
];
