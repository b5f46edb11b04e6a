/** Where a machine looks up a tool: its T, and the numbers of the registers its length and diameter stand in. */
export interface RegisterNumbers {
  h: number;
  d: number;
}

/**
 * The numbers of the H and D register a tool's figures go into. In a pocket they were stated; where the machine wants H = T
 * they are its T; else they are what the program calls with it, where it calls one alone. H0 and D0 call nothing off.
 * Common practice. Example: T7 called with H17 and D17 where H may differ: { h: 17, d: 17 }.
 */
export function registerNumbers(
  t: number,
  called: { h: readonly number[]; d: readonly number[] },
  hEqualsT: boolean,
  inPocket: RegisterNumbers | null,
): RegisterNumbers {
  if (inPocket) return { h: inPocket.h, d: inPocket.d };
  if (hEqualsT) return { h: t, d: t };
  const only = (numbers: readonly number[]): number | null => {
    const [one, ...more] = [...new Set(numbers.filter((n) => n !== 0))];
    return one === undefined || more.length || numbers.includes(t) ? null : one;
  };
  const h = only(called.h) ?? t;
  return { h, d: only(called.d) ?? (called.d.includes(t) ? t : h) };
}

/**
 * Whether what is called for a tool takes another's register than its own. Nothing called, or 0, takes none. Example:
 * H7 called, its own H27: true.
 */
export const callsAnother = (called: readonly number[], own: number): boolean =>
  called.some((n) => n !== 0) && !called.includes(own);
