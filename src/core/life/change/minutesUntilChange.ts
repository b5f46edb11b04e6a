/** Pieces of the integral; even, as Simpson's rule wants. */
const PIECES = 200;

/**
 * Mean minutes a fresh edge cuts where it is changed at an age, or earlier when it fails: ∫ S from 0 to there (Simpson's rule).
 * With nothing known of its lives it is that age, which is the most it can be. Minutes; `survival` is the share that lasts.
 * Source: age replacement as in Barlow and Proschan (1965), from memory.
 * Example: shape 2, scale 100, changed at 51.07 min: 46.9.
 */
export function minutesUntilChange(
  survival: ((minutes: number) => number) | null,
  changeMinutes: number,
): number {
  if (survival === null || !(changeMinutes > 0)) return Math.max(0, changeMinutes);
  const step = changeMinutes / PIECES;
  let sum = 1 + survival(changeMinutes);
  for (let i = 1; i < PIECES; i += 1) sum += (i % 2 ? 4 : 2) * survival(i * step);
  return (sum * step) / 3;
}
