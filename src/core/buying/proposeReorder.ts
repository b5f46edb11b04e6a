import { expectedDay, type OpenOrder } from './expectedDay';
import { openDayFrom, type ShopCalendar } from './calendar';
import type { BuyingTerms, OrderProposal } from './proposeOrder';

/** What is kept on the shelf, whatever jobs say: below `minimum`, up to `upTo` is ordered. Pieces. */
export interface ReorderPoint {
  minimum: number;
  upTo: number;
}

/**
 * What to order of a thing that is kept on the shelf without any job asking for it: where the shelf and what is on order
 * are fewer than the minimum, up to so many, at least the supplier's minimum, in whole packs, today. null where they are
 * not. Common practice (reorder point). Example: minimum 4, up to 10, 2 there and none on order, packs of 5: 10.
 */
export function proposeReorder(
  point: ReorderPoint,
  shelf: number,
  openOrders: readonly OpenOrder[],
  terms: BuyingTerms,
  today: string,
  calendar: ShopCalendar,
): Extract<OrderProposal, { say: 'order' }> | null {
  const onOrder = openOrders.reduce((sum, o) => sum + o.quantity, 0);
  const there = shelf + onOrder;
  if (there >= point.minimum) return null;
  const short = point.upTo - there;
  const pack = Math.max(1, terms.pack);
  return {
    say: 'order',
    quantity: Math.ceil(Math.max(short, terms.minimum) / pack) * pack,
    short,
    firstShort: { job: 'the shelf', start: today },
    orderBy: openDayFrom(calendar, today),
    daysLate: 0,
    because: {
      words: `${there} there and on order, fewer than the ${point.minimum} that are to be kept.`,
      formula: 'order = kept up to − shelf − on order',
      values: [
        { name: 'unused on the shelf', value: String(shelf) },
        ...openOrders.map((o) => ({
          name: `on order ${o.number}`,
          value: String(o.quantity),
          source: expectedDay(o, today, calendar).words,
        })),
        { name: 'never fewer than', value: String(point.minimum) },
        { name: 'kept up to', value: String(point.upTo) },
        { name: 'pack and minimum', value: `${terms.pack} and ${terms.minimum}` },
      ],
    },
    balance: { needed: point.minimum, wanted: point.upTo, shelf, onEdgeSets: 0, onOrder },
    chance: 0,
  };
}
