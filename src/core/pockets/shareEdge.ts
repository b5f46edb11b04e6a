/** What one open operation still cuts with an edge. */
export interface EdgeClaim {
  job: string;
  /** ISO day. */
  due: string;
  /** Minutes in the cut for the parts that are left; null: not known. */
  minutes: number | null;
}

/** What is left of an edge for one of those that count on it. */
export interface EdgeShare {
  /** Minutes left once those that go first have cut; null: cannot say. */
  left: number | null;
  enough: boolean | null;
  words: string;
}

/**
 * One edge, several jobs: those that are due first cut first, of one day by their number, and what is left is what the next
 * may count on, so that no minute is counted twice. `own` is among the claims. Minutes. null: nobody else counts on it.
 * Example: 40 left, J-1 due first wants 30, J-2 wants 25: J-2 has 10 of 25.
 */
export function shareEdge(
  leftMinutes: number | null,
  claims: readonly EdgeClaim[],
  own: string,
): EdgeShare | null {
  const order = [...claims].sort((a, b) => a.due.localeCompare(b.due) || a.job.localeCompare(b.job));
  const at = order.findIndex((c) => c.job === own);
  const mine = order[at];
  if (!mine || order.length < 2) return null;
  const before = order.slice(0, at);
  const names = (list: readonly EdgeClaim[]) => list.map((c) => c.job).join(', ');
  const min = (n: number) => `${Math.round(n)} min`;
  if (leftMinutes !== null && leftMinutes <= 0)
    return { left: 0, enough: false, words: 'nothing of its edge is left, and others count on it too' };
  if (!before.length) {
    const after = `${names(order.slice(1))} ${order.length > 2 ? 'count' : 'counts'} on it after this`;
    const enough = leftMinutes === null || mine.minutes === null ? null : leftMinutes >= mine.minutes;
    return {
      ...{ left: leftMinutes, enough },
      words:
        enough === false
          ? `${min(leftMinutes ?? 0)} left of ${min(mine.minutes ?? 0)} wanted; ${after}`
          : after,
    };
  }
  const first = before.reduce<number | null>(
    (sum, c) => (sum === null || c.minutes === null ? null : sum + c.minutes),
    0,
  );
  if (leftMinutes === null || first === null)
    return {
      left: null,
      enough: null,
      words: `${names(before)} cuts with it first: cannot say what is left`,
    };
  const left = Math.max(0, leftMinutes - first);
  return {
    left,
    enough: mine.minutes === null ? null : left >= mine.minutes,
    words: `${names(before)} cuts with it first, ${min(Math.min(first, leftMinutes))} of ${min(leftMinutes)}: ${min(left)} left${mine.minutes === null ? '' : ` of ${min(mine.minutes)} wanted`}`,
  };
}
