/** Rounds to so many decimals, half away from zero, without the -0 that toFixed can leave. round(1.005, 2) = 1.01. */
export function round(value: number, decimals: number): number {
  const shifted = Number(`${Math.abs(value)}e${decimals}`);
  if (!Number.isFinite(shifted)) return value;
  return Math.sign(value) * Number(`${Math.round(shifted)}e-${decimals}`) || 0;
}
