import { aside, type Judgement, mm, say } from '../../because';
import { lifeState } from '../../life';
import type { ToolAsks, Use, UseState } from './facts';

/**
 * Parts that the life left is expected to do; 0 for what is worn or past its life; null: cannot say.
 * Example: 10.5 min left at 2 min a part: 5.
 */
export function partsGoodFor(
  asks: Pick<ToolAsks, 'minutesPerPart' | 'atLeast'>,
  s: Pick<UseState, 'wear' | 'life'>,
): number | null {
  if (s.wear?.worn) return 0;
  const { leftMinutes } = s.life;
  if (leftMinutes === null || asks.minutesPerPart <= 0) return null;
  return Math.floor(Math.max(0, leftMinutes) / asks.minutesPerPart + 1e-9);
}

/** Inserts, wear and life of what is to run. */
export const judgeLeft = (use: Pick<Use, 'asks' | 'partsLeft'>, state: UseState): Judgement[] =>
  [inserts(state), wear(state), life(use, state)].filter((j) => j !== null);

function inserts({ inserts: i }: UseState): Judgement | null {
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

function wear({ wear: w }: UseState): Judgement | null {
  if (!w) return null;
  const why = 'At the criterion a cutter has nothing left, whatever its minutes say.';
  const values: [string, string][] = [
    ['flank wear', mm(w.reading)],
    ['worn at', mm(w.limit)],
  ];
  return w.worn
    ? say('WEAR', 'stop', `Worn: flank wear ${w.reading.toFixed(2)} of ${w.limit.toFixed(2)} mm`, why, values)
    : say('WEAR', 'good', `Flank wear ${w.reading.toFixed(2)} of ${w.limit.toFixed(2)} mm`, why, values);
}

/** Life left against the parts to make. That it is not known keeps nothing from running, and is said. */
function life({ asks, partsLeft }: Pick<Use, 'asks' | 'partsLeft'>, s: UseState): Judgement | null {
  if (s.wear?.worn) return null;
  const goodFor = partsGoodFor(asks, s);
  const why = 'A mean: about half end earlier. What fails in the cut costs the part.';
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
      return aside(
        say(
          'LIFE',
          'not judged',
          s.life.fresh ? 'Life left: cannot say' : 'Graded: life left cannot be said',
          why,
          values,
        ),
      );
    case 'going':
      return say(
        'LIFE',
        'good',
        goodFor === null
          ? 'Life left'
          : `Good for about ${Math.min(goodFor, partsLeft)} of ${partsLeft} parts`,
        why,
        values,
      );
  }
}
