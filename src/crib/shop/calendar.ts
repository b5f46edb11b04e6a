import { type ShopCalendar, USUAL_CALENDAR } from '@/core/buying';
import { addDays } from '@/core/units';
import type { Connection } from '@/data/database';
import { manyClosedDays, maybeShopWeek } from '@/data/shop';

/** Closed days before today that work still to be done may be counted back over. */
const BACK = 400;

/** When the shop works: as it stated, or the usual week. */
export async function loadCalendar(c: Connection, today: string): Promise<ShopCalendar> {
  const week = await maybeShopWeek(c);
  const closed = await manyClosedDays(c, addDays(today || '2000-01-01', -BACK));
  const [mo, tu, we, th, fr, sa, su] = week?.minutes ?? USUAL_CALENDAR.week;
  return {
    week: [mo ?? 0, tu ?? 0, we ?? 0, th ?? 0, fr ?? 0, sa ?? 0, su ?? 0],
    closed: new Set(closed.map((d) => d.day)),
    begins: week?.begins ?? null,
    stated: week !== null,
  };
}
