/**
 * Chances of several tests, raised so that one of them under 5 % is under 5 % for all that were asked: who asks often finds
 * something by luck. In the order they came. Source: Holm, Scand. J. Statist. 6 (1979) 65-70.
 * Example: 0.01, 0.04, 0.03 -> 0.03, 0.06, 0.06.
 */
export function holm(chances: readonly number[]): number[] {
  const order = chances.map((p, at) => ({ p, at })).sort((a, b) => a.p - b.p);
  const raised = chances.map(() => 1);
  let least = 0;
  for (const [i, { p, at }] of order.entries()) {
    least = Math.max(least, Math.min(1, p * (order.length - i)));
    raised[at] = least;
  }
  return raised;
}
