import {
  DIAMETER_SCHOOLS,
  LENGTH_SCHOOLS,
  commonOffset,
  correctSize,
  diameterRegister,
  FEATURES,
  findK,
  gaugeLengthFromTouch,
  lengthRegister,
  questionMeasurement,
  type DiameterSchool,
  type LengthSchool,
  type MeasuredFeature,
  type MeasuredAgainst,
  type TouchedTool,
  workOffset,
} from '@/core/measuring';
import { namesOf } from '@/core/names';
import { computation, part, type Computation } from '@/crib/door';

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

/** What is reckoned of measurements and registers. */
export const MEASURING_COMPUTATIONS: readonly Computation[] = [
  computation<RegistersInput>(
    'measuring/registers',
    'Length and diameter register and work offset of a machine from one measurement, mm.',
    part.shape(
      {
        school: { enum: namesOf(LENGTH_SCHOOLS) },
        K: part.positive,
        K0: part.orNull,
        Lm: part.orNull,
        L: part.positive,
        h: part.orNull,
        diameterSchool: { enum: namesOf(DIAMETER_SCHOOLS) },
        D: part.orNull,
        programmed: part.orNull,
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
    part.shape({ reading: part.number, block: part.number, K: part.positive, h: part.number }, [
      'reading',
      'block',
      'K',
      'h',
    ]),
    (i) => gaugeLengthFromTouch(i.reading, i.block, i.K, i.h),
  ),
  computation<{ block: number; tools: TouchedTool[] }>(
    'measuring/find-k',
    'K of a machine from tools of different length that were measured on the presetter and touched off in it, mm: with its scatter, and how far the two scales disagree.',
    part.shape(
      {
        block: part.positive,
        tools: part.list(
          part.shape({ L: part.positive, readings: part.list(part.number, 20) }, ['L', 'readings']),
          20,
        ),
      },
      ['block', 'tools'],
    ),
    ({ block, tools }) => findK(block, tools),
  ),
  computation<{ features: MeasuredFeature[]; school: DiameterSchool; cutBefore: boolean }>(
    'measuring/size-correction',
    'What goes into the D and H registers after sizes were measured on a part, mm; null: nothing measured moves with it.',
    part.shape(
      {
        features: part.list(
          part.shape(
            {
              kind: { enum: namesOf(FEATURES) },
              wanted: part.positive,
              measured: part.positive,
              least: part.orNull,
              most: part.orNull,
            },
            ['kind', 'wanted', 'measured', 'least', 'most'],
          ),
          100,
        ),
        school: { enum: namesOf(DIAMETER_SCHOOLS) },
        cutBefore: { type: 'boolean' },
      },
      ['features', 'school', 'cutBefore'],
    ),
    ({ features, ...on }) => ({
      D: correctSize('D', features, on),
      H: correctSize('H', features, on),
    }),
  ),
  computation<MeasuredAgainst>(
    'measuring/question',
    'Whether a measurement is in question, and why.',
    part.shape(
      { L: part.positive, expected: part.positive, last: part.orNull, D: part.orNull, DC: part.positive },
      ['L', 'expected', 'last', 'D', 'DC'],
    ),
    (i) => ({
      questions: questionMeasurement(i),
    }),
  ),
];
