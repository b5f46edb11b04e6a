/** How often a server tells its supervisor that it is not stuck. */
export const BEAT_MS = 1_000;
