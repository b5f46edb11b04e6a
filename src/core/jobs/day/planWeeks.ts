import { type ShopCalendar, openDayFrom, openMinutes } from '../../buying';
import { addDays } from '../../units';

/** An operation as it waits for its machine. */
export interface WeekWork {
  /** Minutes for all its parts; null: it has no program. */
  minutes: number | null;
  /** ISO day it is to start; null: as soon as its machine is free. */
  starts: string | null;
  due: string;
}

/** Days an operation is on its machine. */
export interface WeekBar {
  index: number;
  from: string;
  /** Last day of it; null: how long it takes is not known, or it goes on past what is looked at. */
  to: string | null;
  /** It is done after it is due: by this plan, which counts nothing that goes wrong. */
  late: boolean;
  /** It could not start on the day it was to: what is before it is still there. */
  pushed: boolean;
  /** What is before it has no program, so that nobody knows when it begins. */
  uncertain: boolean;
}

/** So many days are looked at; a plan further on is none. */
const FURTHEST = 400;

/**
 * When each operation of one machine begins and ends, one after the other as they are listed, in the hours the shop works: one
 * with a stated start begins on that day or later, the others as soon as the machine is free. Nothing is kept free for what goes
 * wrong. Plain arithmetic; days are ISO, minutes as the shop's days have them.
 * Example: 600 min from a Monday of 480: Monday to Tuesday; the next begins on that Tuesday.
 */
export function planWeeks(work: readonly WeekWork[], calendar: ShopCalendar, today: string): WeekBar[] {
  const bars: WeekBar[] = [];
  let day = openDayFrom(calendar, today) ?? today;
  let left = openMinutes(calendar, day);
  let isCertain = true;
  for (const [index, w] of work.entries()) {
    const wanted = w.starts === null ? null : openDayFrom(calendar, w.starts);
    const pushed = w.starts !== null && isCertain && wanted !== null && wanted < day;
    if (wanted !== null && wanted > day) {
      day = wanted;
      left = openMinutes(calendar, day);
      isCertain = true;
    }
    if (left <= 1e-9) [day, left] = nextOpen(calendar, day);
    const from = day;
    const uncertain = !isCertain;
    if (w.minutes === null) {
      bars.push({ index, from, to: null, late: w.due < from, pushed, uncertain });
      isCertain = false;
      continue;
    }
    let minutes = w.minutes;
    for (let days = 0; minutes > left + 1e-9 && days < FURTHEST; days += 1) {
      minutes -= left;
      [day, left] = nextOpen(calendar, day);
      if (left === 0) break;
    }
    const isDone = minutes <= left + 1e-9;
    left -= isDone ? minutes : left;
    bars.push({
      ...{ index, from, to: isDone ? day : null },
      late: isDone ? day > w.due : true,
      ...{ pushed, uncertain },
    });
  }
  return bars;
}

/** The next day the shop works, with its minutes; no minutes where it never does. */
function nextOpen(calendar: ShopCalendar, day: string): [string, number] {
  const next = openDayFrom(calendar, addDays(day, 1));
  return next === null ? [addDays(day, 1), 0] : [next, openMinutes(calendar, next)];
}
