/** Seeded, as simulations are to say the same each time. */
export function randomOf(seed: number): () => number {
  let s = seed;
  // Mulberry32 (memory): a plain congruence makes neighbours alike.
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}
