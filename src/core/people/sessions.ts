/** How long a sign-in lasts. Seconds. */
export const SESSION = {
  /** Nobody did anything with it for as long: a shift and its breaks. */
  idle: 10 * 3600,
  /** However much it is used: a working week. */
  absolute: 7 * 86_400,
  /** A screen of many hands shows the crib day and night, and signs nothing by itself. */
  shared: 180 * 86_400,
  /** At such a screen: who signed stands there, and hands back after as long. */
  hand: 120,
  /** A code that sets a password once. */
  code: 3 * 86_400,
} as const;

/** When a sign-in ends that was begun and last used then, as the first of its two ends; moments in ms. */
export const sessionEnds = (begun: number, lastUsed: number, shared: boolean): number =>
  shared
    ? begun + SESSION.shared * 1000
    : Math.min(begun + SESSION.absolute * 1000, lastUsed + SESSION.idle * 1000);
