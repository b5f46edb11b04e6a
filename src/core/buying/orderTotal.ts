import { money } from '../units';

/** One line of an order that is about to be placed. Money in whole cents of the shop's currency. */
export interface AskedLine {
  item: string;
  quantity: number;
  /** null: nobody stated who supplies it. */
  supply: { priceCents: number | null; pack: number; minimum: number } | null;
}

/**
 * What an order comes to before it is placed, in words, and what the supplier would send back: fewer than its minimum,
 * broken packs. A line without a price makes the total 'at least'. Source: arithmetic.
 * Example: 3 of 31.50 in packs of 2, and 4 without a price: 'at least 94.50: no price of AP16';
 * 'EM10: 3 are no whole packs of 2'.
 */
export function orderTotal(lines: readonly AskedLine[]): { words: string; against: string[] } {
  const priced = lines.flatMap((l) =>
    l.supply?.priceCents == null ? [] : [l.supply.priceCents * l.quantity],
  );
  const without = lines.filter((l) => l.supply?.priceCents == null).map((l) => l.item);
  const cents = priced.reduce((sum, c) => sum + c, 0);
  return {
    words:
      without.length === 0
        ? money(cents)
        : priced.length
          ? `at least ${money(cents)}: no price of ${without.join(', ')}`
          : 'no price is known',
    against: lines.flatMap(({ item, quantity, supply }) => [
      ...(supply && quantity < supply.minimum ? [`${item}: fewer than the least, ${supply.minimum}`] : []),
      ...(supply && quantity % supply.pack !== 0
        ? [`${item}: ${quantity} are no whole packs of ${supply.pack}`]
        : []),
    ]),
  };
}
