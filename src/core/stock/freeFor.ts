/** What is set aside for a job that still has parts to make, and how many of it were built for it since. */
export interface Reservation {
  job: string;
  quantity: number;
  taken: number;
}

/** What of the unused stock of an item may be taken for some jobs. */
export interface Free {
  free: number;
  /** Jobs for which the rest is kept, each with how many; empty: nothing is. */
  kept: { job: string; quantity: number }[];
  /** 'reserved: 2 for J-2'; null: nothing is kept for others. */
  words: string | null;
}

/**
 * What of the unused stock is free for some jobs (none: for work of no job): less what is set aside for others and was
 * not built for them yet; never below 0. Asked by building, choosing, taking and buying alike. Common practice.
 * Example: 3 unused, 2 set aside for J-2 of which one was built: 2 free for anybody, 3 for J-2.
 */
export function freeFor(
  unused: number,
  reservations: readonly Reservation[],
  jobs: readonly string[] = [],
): Free {
  const kept = reservations
    .map((r) => ({ job: r.job, quantity: Math.max(0, r.quantity - r.taken) }))
    .filter((r) => r.quantity > 0 && !jobs.includes(r.job));
  const sum = kept.reduce((n, r) => n + r.quantity, 0);
  return {
    free: Math.max(0, unused - sum),
    kept,
    words: kept.length ? `reserved: ${kept.map((r) => `${r.quantity} for ${r.job}`).join(', ')}` : null,
  };
}
