import { addDays } from '../units';
import { openDayFrom, type ShopCalendar } from './calendar';

export interface OpenOrder {
  number: string;
  /** Pieces still to come. */
  quantity: number;
  /** ISO day it was promised for, by the latest word. */
  promised: string;
  supplier: string;
  /** Days this supplier was late on average, of so many orders; null: none has come yet. */
  late: { days: number; of: number } | null;
}

/** When an open order is to be counted on. */
export interface ExpectedDay {
  day: string;
  /** Whether the promise has passed, so that the day is Stable's and not the supplier's. */
  overdue: boolean;
  words: string;
}

/**
 * The day from which an open order counts: as promised, while that is to come. One promised for a day that is past has
 * not arrived: it counts from the promise and as many days as that supplier is late on average, but no earlier than the
 * next day the shop works. Common practice.
 * Example: promised for Monday, today Tuesday, late 3 days on average: Thursday.
 */
export function expectedDay(order: OpenOrder, today: string, calendar: ShopCalendar): ExpectedDay {
  const usual =
    order.late === null
      ? `${order.supplier}: no order has come yet to judge by`
      : order.late.days < 0.5
        ? `${order.supplier} is on time (${order.late.of} orders)`
        : `${order.supplier} is ${Math.round(order.late.days)} days late on average (${order.late.of} orders)`;
  if (order.promised >= today)
    return { day: order.promised, overdue: false, words: `promised ${order.promised}; ${usual}` };
  const late = addDays(order.promised, Math.ceil(order.late?.days ?? 0));
  const tomorrow = addDays(today, 1);
  const from = late > tomorrow ? late : tomorrow;
  const day = openDayFrom(calendar, from) ?? from;
  return {
    day,
    overdue: true,
    words: `promised ${order.promised} and not come; ${usual}; not before ${day}`,
  };
}
