/**
 * Gauge length and register from a touch-off with a block of thickness g under the tip, mm: H = reading − g,
 * L = reading − g + K − h. `reading` is machine Z with the tip on the block (negative below home).
 * Example: reading −277.684, g 10, K 490, h 60: H −287.684, L 142.316.
 */
export function gaugeLengthFromTouch(
  reading: number,
  g: number,
  K: number,
  h: number,
): { H: number; L: number } {
  const H = reading - g;
  return { H, L: H + K - h };
}
