import { first } from '../sure';
/** So many came in at a time. */
interface Receipt {
  at: Date;
  quantity: number;
}

/**
 * How old what is left may be, when nothing tells one from another: the oldest may be from the first receipt; if the old
 * ones went first, as they should, it is from `atBest`. null where nothing is left, or receipts don't account for what
 * is left (something was found): then it can't be said. Example: 4 in January, 4 in June, 3 left -> oldest January, at
 * best June.
 */
export function ageOfStock(
  receipts: readonly Receipt[],
  left: number,
): { oldest: Date; atBest: Date } | null {
  const inOrder = receipts.filter((r) => r.quantity > 0).sort((a, b) => a.at.getTime() - b.at.getTime());
  let covered = 0;
  for (const r of [...inOrder].reverse()) {
    covered += r.quantity;
    if (left > 0 && covered >= left) return { oldest: first(inOrder).at, atBest: r.at };
  }
  return null;
}
