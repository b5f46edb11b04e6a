import {
  consumption,
  expectLife,
  kaplanMeier,
  lifeUsed,
  meanReached,
  medianLife,
  type AssumedLife,
  type LifeTime,
  type UseInMaterial,
  wearLimit,
} from '@/core/life';
import { computation, part, type Computation } from '@/crib/door';

/** What is reckoned of lives. */
export const LIFE_COMPUTATIONS: readonly Computation[] = [
  computation<{ lives: LifeTime[] }>(
    'life/survival',
    'Kaplan-Meier curve, median and mean life reached.',
    part.shape({ lives: part.list(part.life) }, ['lives']),
    ({ lives }) => ({
      steps: kaplanMeier(lives),
      median: medianLife(lives),
      mean: meanReached(lives),
    }),
  ),
  computation<{ lives: LifeTime[]; assumed: AssumedLife | null }>(
    'life/expectation',
    'When to change and what to buy by, and on what each rests; null: cannot say.',
    part.shape({ lives: part.list(part.life), assumed: part.assumed }, ['lives', 'assumed']),
    (i) => ({
      expectation: expectLife(i.lives, i.assumed),
      consumption: consumption(i.lives, i.assumed),
    }),
  ),
  computation<{ uses: UseInMaterial[] }>(
    'life/used',
    'Share of a life used over several materials; null: cannot say.',
    part.shape(
      {
        uses: part.list(part.shape({ minutes: part.amount, expected: part.orNull }, ['minutes', 'expected'])),
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
    part.shape({ DC: part.positive }, ['DC']),
    (i) => {
      const { value, because } = wearLimit(i.DC);
      return { limit: value, because };
    },
  ),
];
