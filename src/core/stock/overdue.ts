import { daysBetween } from '../units';

/** A loan, the oldest first in its list: so many of a thing, by a day. */
interface Loan {
  quantity: number;
  /** ISO day, null when none was said. */
  due: string | null;
}

/**
 * Which loans of one thing are still out, when somebody has `has` of it now: what came back is taken off the oldest
 * loan first. Adds how many of each are still out, and by how many days the day is past. Common practice.
 * Example: loans of 2 and 3 with 4 still there: 1 of the first and 3 of the second are out.
 */
export function loansOut<L extends Loan>(
  loans: readonly L[],
  has: number,
  today: string,
): (L & { out: number; daysLate: number })[] {
  const lent = loans.reduce((n, l) => n + l.quantity, 0);
  let back = Math.max(0, lent - has);
  return loans.flatMap((l) => {
    const returned = Math.min(back, l.quantity);
    back -= returned;
    const out = l.quantity - returned;
    if (out === 0) return [];
    const late = l.due === null ? 0 : daysBetween(l.due, today);
    return [{ ...l, out, daysLate: Math.max(0, late) }];
  });
}
