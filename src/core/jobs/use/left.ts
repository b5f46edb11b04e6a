import { aside, type Judgement, mm, say } from '../../because';
import { GAUGE, isPastUsual, lifeState } from '../../life';
import { IN_DAMAGED_SEAT, sitsInDamagedSeat } from '../../stock';
import { type ChangeAt, type CutSoFar, judgeChange, partsUntilChange } from './changeAt';
import type { ToolAsks, Use, UseState } from './facts';

/** What says how long an edge goes on: the lives of others like it, or its own wear, whichever ends first. */
function leftBy(s: Pick<UseState, 'wear' | 'life'>): { minutes: number; by: 'life' | 'wear' } | null {
  const life = s.life.leftMinutes;
  const wear = s.wear?.left?.minutes ?? null;
  if (wear !== null && (life === null || wear < life)) return { minutes: wear, by: 'wear' };
  return life === null ? null : { minutes: life, by: 'life' };
}

/**
 * Parts that the life left is expected to do, or the wear of this very edge where that comes to its criterion first; 0 for
 * what is worn or past its life; null: cannot say. Where it is changed after a number of parts, no more than are left until
 * then. Example: 10.5 min left at 2 min a part: 5.
 */
export function partsGoodFor(
  asks: Pick<ToolAsks, 'minutesPerPart' | 'atLeast'>,
  s: Pick<UseState, 'wear' | 'life' | 'cutSoFar'>,
  changeAt: ChangeAt | null = null,
): number | null {
  const lasts = partsItLasts(asks, s);
  if (changeAt === null) return lasts;
  const until = partsUntilChange(changeAt, s.cutSoFar ?? NOTHING);
  return lasts === null || until === null ? (lasts ?? until) : Math.min(lasts, until);
}

const NOTHING: CutSoFar = { parts: 0, amount: 0 };

/** The same without a planned change: how long it lasts. */
function partsItLasts(
  asks: Pick<ToolAsks, 'minutesPerPart' | 'atLeast'>,
  s: Pick<UseState, 'wear' | 'life'>,
): number | null {
  if (s.wear?.worn) return 0;
  const left = leftBy(s);
  if (left === null || asks.minutesPerPart <= 0) return null;
  return Math.floor(Math.max(0, left.minutes) / asks.minutesPerPart + 1e-9);
}

/** Inserts, wear and life of what is to run. */
export const judgeLeft = (use: Pick<Use, 'asks' | 'here' | 'partsLeft'>, state: UseState): Judgement[] =>
  [
    inserts(state),
    wear(use, state),
    ...judgeChange(use.here.changeAt ?? null, state.cutSoFar ?? NOTHING),
    life(use, state),
  ].filter((j) => j !== null);

/** Inserts and wear of what is called by nothing. */
export const judgeEdge = (state: Pick<UseState, 'inserts' | 'wear'>): Judgement[] =>
  [inserts(state), wear({ asks: { minutesPerPart: 0 } }, state)].filter((j) => j !== null);

function inserts({ inserts: i }: Pick<UseState, 'inserts'>): Judgement | null {
  if (!i) return null;
  const why = 'A body with an empty seat cuts with the others at twice their load, or with its own steel.';
  const values: [string, string][] = [
    ['seats', i.seats === null ? 'not known' : String(i.seats)],
    ['inserts in it', String(i.mounted)],
    ['seats that are damaged', String(i.damaged)],
  ];
  if (i.mounted === 0) return say('INSERTS', 'stop', 'No inserts are in it', why, values, 'inserts = seats');
  if (i.seats === null)
    return say('INSERTS', 'not judged', 'Whether all seats have an insert: seats not known', why, values);
  if (i.mounted < i.seats - i.damaged)
    return say('INSERTS', 'stop', `${i.mounted} inserts in ${i.seats} seats`, why, values, 'inserts = seats');
  if (sitsInDamagedSeat(i.mounted, i.damaged, i.seats - i.damaged))
    return say(
      'INSERTS',
      'stop',
      IN_DAMAGED_SEAT,
      'A damaged seat doesn’t hold its insert: it can come out at speed. Take it down and its inserts out, then put a set in: that seat stays empty.',
      values,
      'inserts = good seats',
    );
  if (i.damaged)
    return say(
      'INSERTS',
      'question',
      `${i.damaged} of ${i.seats} seats damaged`,
      why,
      values,
      'inserts = seats',
    );
  return say('INSERTS', 'good', `An insert in each of ${i.seats} seats`, why, values, 'inserts = seats');
}

function wear(
  { asks }: { asks: Pick<ToolAsks, 'minutesPerPart'> },
  { wear: w }: Pick<UseState, 'wear'>,
): Judgement | null {
  if (!w) return null;
  const why = 'At the criterion a cutter has nothing left, whatever its minutes say.';
  const { corner = null, left = null } = w;
  const values: [name: string, value: string, source?: string][] = [
    ['flank wear', w.reading === null ? 'not read' : mm(w.reading)],
    w.limitOf ? ['worn at', mm(w.limit), `said of ${w.limitOf}`] : ['worn at', mm(w.limit)],
    ...(w.gauge ? ([['gauge', GAUGE[w.gauge]]] satisfies [string, string][]) : []),
    ...(corner
      ? ([
          ['wear of the corner', mm(corner.reading)],
          ['worn there at', mm(corner.limit)],
        ] satisfies [string, string][])
      : []),
    ...(left ? ([['worn in about', `${left.minutes.toFixed(1)} min`]] satisfies [string, string][]) : []),
    ...(left?.cautious != null
      ? ([['one in twenty is worn in', `${left.cautious.toFixed(1)} min`]] satisfies [string, string][])
      : []),
  ];
  const of = (name: string, reading: number, limit: number) =>
    `${name} ${reading.toFixed(2)} of ${limit.toFixed(2)} mm`;
  const flank = w.reading === null ? null : of('flank wear', w.reading, w.limit);
  const atCorner = corner && of('corner worn', corner.reading, corner.limit);
  if (w.gauge && w.gauge !== 'passes')
    return say('WEAR', 'stop', `Worn: what it makes is ${GAUGE[w.gauge]}`, why, values);
  if (w.worn) {
    const byFlank = flank !== null && (w.reading ?? 0) >= w.limit - 1e-9;
    return say('WEAR', 'stop', `Worn: ${byFlank || !atCorner ? flank : atCorner}`, why, values);
  }
  if (w.asks) return say('WEAR', 'question', `Its edge: ${w.asks}`, 'Look at it before it runs on.', values);
  const said = capital(flank ?? atCorner ?? (w.gauge ? 'the gauge passes what it makes' : ''));
  if (!said) return null;
  return left && asks.minutesPerPart > 0 && left.minutes < asks.minutesPerPart
    ? say('WEAR', 'question', `${said}: the next part wears it out`, why, values)
    : say('WEAR', 'good', said, why, values);
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Life left against the parts to make. That it is not known keeps nothing from running, and is said. */
function life({ asks, partsLeft }: Pick<Use, 'asks' | 'partsLeft'>, s: UseState): Judgement | null {
  if (s.wear?.worn) return null;
  const goodFor = partsItLasts(asks, s);
  const byWear = leftBy(s)?.by === 'wear';
  const why = byWear
    ? 'By the readings of this very edge, which comes to its criterion before the mean life. Chips and breaks are not in it.'
    : 'A mean: about half end earlier. What fails in the cut costs the part.';
  const values: [string, string][] = [
    [
      'share of its expected life used',
      s.life.used === null ? 'cannot say' : `${Math.round(s.life.used * 100)} %`,
    ],
    ['good for about', goodFor === null ? 'cannot say' : `${goodFor} parts`],
    ['parts left', String(partsLeft)],
  ];
  switch (lifeState(s.life.used)) {
    case 'past':
      return say('LIFE', 'question', 'Past its expected life', why, values);
    case 'ending':
      return say(
        'LIFE',
        'question',
        `${goodFor === null ? '' : `About ${goodFor} parts left: `}change soon`,
        why,
        values,
      );
    case 'not known':
      if (isPastUsual(s.life.usualUsed ?? null, s.wear?.left ?? null))
        return say(
          'LIFE',
          'question',
          'Past its usual life, and worn here at another wear: read it',
          'Its lives were counted to the usual wear and say nothing of this one, and its own readings are too few.',
          [
            ['share of its usual life used', `${Math.round((s.life.usualUsed ?? 0) * 100)} %`],
            ...values.slice(1),
          ],
        );
      if (goodFor !== null) return going(goodFor, partsLeft, byWear, why, values);
      return aside(
        say(
          'LIFE',
          'not judged',
          s.life.usualUsed !== undefined
            ? 'Life left: cannot say, its lives were counted to another wear'
            : s.life.fresh
              ? 'Life left: cannot say'
              : 'Graded: life left cannot be said',
          why,
          values,
        ),
      );
    case 'going':
      return going(goodFor, partsLeft, byWear, why, values);
  }
}

const going = (
  goodFor: number | null,
  partsLeft: number,
  byWear: boolean,
  why: string,
  values: [string, string][],
) =>
  say(
    'LIFE',
    'good',
    goodFor === null
      ? 'Life left'
      : `Good for about ${Math.min(goodFor, partsLeft)} of ${partsLeft} parts${byWear ? ' by its wear' : ''}`,
    why,
    values,
  );
