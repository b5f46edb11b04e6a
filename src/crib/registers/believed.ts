import { isAfter, type Numbers, type RegisterNumbers } from '@/core/registers';
import type { CorrectionRow, GivenRow } from '@/data/registers';

/**
 * What is in registers by all that is recorded: what was given last, and what corrections left there since. null: nothing is
 * recorded. `last`: of each register the newest correction.
 */
export function believed(
  given: GivenRow | null,
  last: readonly CorrectionRow[],
  numbers: RegisterNumbers,
): Numbers | null {
  let now: Numbers | null = given;
  for (const c of last) {
    if (c.number !== (c.register === 'H' ? numbers.h : numbers.d) || c.after === null) continue;
    if (given !== null && !isAfter(c, given)) continue;
    // Of another tool than was given, nobody read the rest.
    now = now?.tag === c.tag ? { ...now } : { tag: c.tag, h: null, d: null };
    if (c.place === 'wear') now[c.register === 'H' ? 'hWear' : 'dWear'] = c.after;
    else now[c.register === 'H' ? 'h' : 'd'] = c.after;
  }
  return now;
}
