import { addDays, daysBetween } from '../units';

/** When the shop works. Days are ISO text. */
export interface ShopCalendar {
  /** Minutes it works on each day of the week, Monday first; 0: closed. */
  week: readonly [number, number, number, number, number, number, number];
  /** Days it is closed besides. */
  closed: ReadonlySet<string>;
  /** When its day begins, minutes after midnight; left out: nobody said. */
  begins?: number | null;
  /** false: nobody has stated it, and the usual week is taken. */
  stated: boolean;
}

/** Monday to Friday, eight hours, until the shop states its own (practice). */
export const USUAL_CALENDAR: ShopCalendar = {
  week: [480, 480, 480, 480, 480, 0, 0],
  closed: new Set(),
  stated: false,
};

/** Six in the morning, until the shop says when its day begins (practice). */
export const USUAL_BEGINNING = 360;

/** A Monday. */
const MONDAY = '2027-01-04';
/** Days that are looked through before it is given up: a shop that never opens has no day. */
const FURTHEST = 3660;

/** Minutes the shop works on a day. Example: a Sunday of the usual week: 0. */
export function openMinutes(calendar: ShopCalendar, day: string): number {
  if (calendar.closed.has(day)) return 0;
  const weekday = ((daysBetween(MONDAY, day) % 7) + 7) % 7;
  return calendar.week[weekday] ?? 0;
}

/** The day itself if the shop works on it, else the last one before; null where it never does. */
export function openDayUntil(calendar: ShopCalendar, day: string): string | null {
  for (let back = 0; back < FURTHEST; back += 1) {
    const on = addDays(day, -back);
    if (openMinutes(calendar, on) > 0) return on;
  }
  return null;
}

/** The day itself if the shop works on it, else the next; null where it never does. */
export function openDayFrom(calendar: ShopCalendar, day: string): string | null {
  for (let on = 0; on < FURTHEST; on += 1) {
    const next = addDays(day, on);
    if (openMinutes(calendar, next) > 0) return next;
  }
  return null;
}

/**
 * The day work of so many minutes must begin at the latest, to be done by the end of another: counted back over the
 * days the shop works. null where it never works, or not for so long. Plain arithmetic.
 * Example: 600 min due on a Monday, eight hours a day: the Friday before.
 */
export function latestStart(calendar: ShopCalendar, due: string, minutes: number): string | null {
  let left = Math.max(0, minutes);
  let day = openDayUntil(calendar, due);
  for (let days = 0; day !== null && days < FURTHEST; days += 1) {
    left -= openMinutes(calendar, day);
    if (left <= 1e-9) return day;
    day = openDayUntil(calendar, addDays(day, -1));
  }
  return null;
}
