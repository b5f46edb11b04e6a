import { type CutterGeometry, familySpec } from '../../cutters';
import type { FeedAs } from '../../cutting';
import type { InForce } from '../../programs';
import { feedPerTurn } from './feedPerTurn';

/** Speed and feed that a tool runs with: rev/min, null where nobody can tell; mm of way a tooth, a turn or a minute. */
export interface RanWith {
  n: number | null;
  feed: { as: FeedAs; mm: number };
}

/** A control shows no more places. */
const rounded = (n: number, places: number) => Number(n.toFixed(places));

/**
 * The speed and feed a tool is longest in the cut with: what it runs by. Feed a tooth where a mill's flutes are counted, a
 * turn for other cutters, a minute where nobody can tell how fast the spindle turns. null: it never feeds. Example: 300 s
 * at F955 S4775 and 4 s at F200, a mill with 4 flutes -> { n: 4775, feed: 0.05 a tooth }.
 */
export function ranWith(pairs: readonly InForce[], { family, NOF }: CutterGeometry): RanWith | null {
  const longest = pairs.toSorted((a, b) => b.cutting_s - a.cutting_s)[0];
  if (!longest || longest.f <= 0) return null;
  const turn = feedPerTurn(longest);
  const n = longest.s === 0 ? null : longest.s;
  if (turn === null) {
    // In inverse time F says how long a way takes, and nothing of how far it goes.
    if (longest.unit === '1/min') return null;
    return {
      n,
      feed: { as: 'minute', mm: rounded(longest.f * (longest.unit.startsWith('inch') ? 25.4 : 1), 1) },
    };
  }
  return familySpec(family).mills && NOF
    ? { n, feed: { as: 'tooth', mm: rounded(turn / NOF, 4) } }
    : { n, feed: { as: 'turn', mm: rounded(turn, 4) } };
}
