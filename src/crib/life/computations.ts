import {
  ageReplacement,
  type AssumedLife,
  cheapestSpeed,
  compareLives,
  consumption,
  costOfPart,
  costRate,
  expectLife,
  fitTaylor,
  lifeAt,
  type LifeTime,
  lifeUsed,
  logRank,
  meanReached,
  medianLife,
  nextLife,
  speedFor,
  surveyLives,
  type UseInMaterial,
  type Way,
  wearCrossing,
  wearLimit,
  type WearPoint,
  whichPays,
} from '@/core/life';
import { computation, part, Problem, type Computation } from '@/crib/door';

/** What the core refuses in words, as a refusal of the field it came in. */
function named<T>(run: () => T, field: string): T {
  try {
    return run();
  } catch (e) {
    if (!(e instanceof RangeError)) throw e;
    throw new Problem('INVALID_INPUT', `Not to be reckoned: ${e.message}`, {
      field,
      limit: e.message,
      wayOut: 'Send other figures.',
    });
  }
}

/** One way to make a cut. */
const WAY = part.shape(
  {
    ...{ edge: part.amount, once: part.amount, changeMinutes: part.amount },
    ...{ lifeMinutes: part.minutes, partMinutes: part.minutes },
  },
  ['edge', 'once', 'changeMinutes', 'lifeMinutes', 'partMinutes'],
);

/** What is reckoned of lives. */
export const LIFE_COMPUTATIONS: readonly Computation[] = [
  computation<{ lives: LifeTime[] }>(
    'life/survival',
    'Kaplan-Meier curve with its limits, median and mean life reached; Weibull law by maximum likelihood with likelihood intervals, and the exponential law beside it.',
    part.shape({ lives: part.list(part.life) }, ['lives']),
    ({ lives }) => ({
      ...named(() => surveyLives(lives), 'lives'),
      median: medianLife(lives),
      mean: meanReached(lives),
    }),
  ),
  computation<{ lives: LifeTime[]; assumed: AssumedLife | null; chance: number; at: number[] }>(
    'life/next',
    'Between which minutes the next life will end, with a stated chance, and the share that lasts to some minutes; null: no failure and nothing assumed.',
    part.shape(
      {
        lives: part.list(part.life),
        assumed: part.assumed,
        chance: { type: 'number', minimum: 0.01, maximum: 0.999 },
        at: part.list(part.minutes, 100),
      },
      ['lives', 'assumed', 'chance', 'at'],
    ),
    (i) => {
      const next = nextLife(i.lives, i.assumed, i.chance);
      if (!next) return { next: null };
      const { survival, by: _, ...said } = next;
      return { next: said, lasting: i.at.map(survival) };
    },
  ),
  computation<{ first: LifeTime[]; second: LifeTime[] }>(
    'life/compare',
    'Whether two kinds of cutters last alike: log-rank test; how many times as long the first lasts, and how many more failures of each would tell.',
    part.shape({ first: part.list(part.life), second: part.list(part.life) }, ['first', 'second']),
    (i) => ({ ...logRank(i.first, i.second), ...compareLives(i.first, i.second) }),
  ),
  computation<{ lives: { speed: number; minutes: number }[]; at: number[] }>(
    'life/taylor',
    "Taylor's law through lives at several speeds, with its doubts, and the life at some speeds.",
    part.shape(
      {
        lives: part.list(part.shape({ speed: part.speed, minutes: part.minutes }, ['speed', 'minutes'])),
        at: part.list(part.speed, 100),
      },
      ['lives', 'at'],
    ),
    (i) => {
      const { at, ...law } = named(() => fitTaylor(i.lives), 'lives');
      return { ...law, at: i.at.map(at) };
    },
  ),
  computation<Record<'n' | 'C' | 'speed' | 'minutes', number>>(
    'life/taylor-law',
    "By Taylor's law: the life at a speed, and the speed for a life.",
    part.shape({ n: part.exponent, C: part.positive, speed: part.speed, minutes: part.minutes }, [
      'n',
      'C',
      'speed',
      'minutes',
    ]),
    (i) => ({ life: lifeAt(i, i.speed), speed: speedFor(i, i.minutes) }),
  ),
  computation<{ first: Way; second: Way; minute: number; partCm3: number | null }>(
    'life/which-pays',
    'What a part (and a litre of chips) costs by each of two ways to make a cut, such as an end mill and a body with inserts, and from how many parts on which pays.',
    part.shape(
      {
        ...{ first: WAY, second: WAY, minute: part.amount },
        partCm3: { type: ['number', 'null'], minimum: 0.001, maximum: 1e6 },
      },
      ['first', 'second', 'minute', 'partCm3'],
    ),
    (i) => named(() => whichPays(i.first, i.second, i.minute, i.partCm3), 'first'),
  ),
  computation<Record<'n' | 'C' | 'changeMinutes' | 'edge' | 'minute' | 'metres' | 'handling', number>>(
    'life/cheapest-speed',
    'The speed at which a part costs least, and the one at which it is done soonest.',
    part.shape(
      {
        ...{ n: part.exponent, C: part.positive, metres: part.amount, handling: part.amount },
        ...{ changeMinutes: part.minutes, edge: part.amount, minute: part.positive },
      },
      ['n', 'C', 'changeMinutes', 'edge', 'minute', 'metres', 'handling'],
    ),
    (i) => {
      const found = named(() => cheapestSpeed(i, i), 'n');
      const part = ({ minutes, speed }: { minutes: number; speed: number }) => ({
        minutes,
        speed,
        part: costOfPart(i, i, speed, i.metres, i.handling),
      });
      return { cheapest: part(found.cheapest), soonest: part(found.soonest) };
    },
  ),
  computation<{ shape: number; scale: number; planned: number; failure: number; at: number[] }>(
    'life/change',
    'At which age a planned change costs least, what it saves against running to the sign, and what other ages cost a minute.',
    part.shape(
      {
        ...{ shape: { type: 'number', minimum: 0.2, maximum: 50 }, scale: part.minutes },
        ...{ planned: part.money, failure: part.money, at: part.list(part.minutes, 1000) },
      },
      ['shape', 'scale', 'planned', 'failure', 'at'],
    ),
    (i) => ({ ...ageReplacement(i, i), costs: i.at.map((t) => costRate(i, i, t)) }),
  ),
  computation<{ readings: WearPoint[]; criterion: number }>(
    'life/wear',
    'When flank wear comes to its criterion, by the line through its readings, with Fieller limits; null: fewer than two readings at different minutes.',
    part.shape(
      {
        readings: part.list(
          part.shape({ minutes: part.amount, wearMm: { type: 'number', minimum: 0, maximum: 100 } }, [
            'minutes',
            'wearMm',
          ]),
        ),
        criterion: { type: 'number', exclusiveMinimum: 0, maximum: 100 },
      },
      ['readings', 'criterion'],
    ),
    (i) => ({ crossing: wearCrossing(i.readings, i.criterion) }),
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
