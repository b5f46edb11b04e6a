/** A day as a machine sees it, minutes from when the shop's day begins. */
const A_DAY = 1440;

/** When somebody is there: so many minutes from the day's beginning, of this day and of the next; 0: closed. */
export interface DayHours {
  open: number;
  next: number;
}

/** An operation that waits for its machine, or runs on it. */
export interface DayWork {
  partsLeft: number;
  /** In the cut, rapid and changes together, as far as they are known; null: it has no program. */
  minutesPerPart: number | null;
  /** Tools whose edges are expected to end before the parts are made, and after how many parts. */
  ends: readonly { t: number; parts: number }[];
}

/** An operation in the day of its machine; minutes from the day's beginning. */
export interface DayBar {
  /** Which of the work it is. */
  index: number;
  from: number;
  /** Where it ends, or the day does. */
  to: number;
  /** It goes on after this day. */
  goesOn: boolean;
  /** false: how long it takes is not known, and so is when anything behind it begins. */
  known: boolean;
  /** Where an edge is expected to end, and whether anybody is there then. */
  ends: { t: number; at: number; alone: boolean }[];
}

/** What is behind one of which nobody knows how long it takes is drawn so wide. */
const NOT_KNOWN = 90;

/**
 * What a machine does from now on for the rest of its day: its work one after the other, as if nothing went wrong. One that
 * is swapped by hand stands while nobody is there; others run on. Expected ends of edges are means: about half come
 * earlier. `now`: minutes from the day's beginning. Plain arithmetic.
 * Example: 30 parts of 10 min at 42: from 42 to 342; an edge good for 12 parts ends at 162.
 */
export function planDay(work: readonly DayWork[], hours: DayHours, now: number, byHand: boolean): DayBar[] {
  const bars: DayBar[] = [];
  let at = begin(Math.max(0, now), hours, byHand);
  let isKnown = true;
  for (const [index, w] of work.entries()) {
    if (at >= A_DAY) break;
    const minutes = w.minutesPerPart === null ? null : w.partsLeft * w.minutesPerPart;
    const end = minutes === null ? at + NOT_KNOWN : after(at, minutes, hours, byHand);
    const from = at;
    bars.push({
      index,
      from,
      // By hand nothing is cut once nobody is there.
      to: byHand && end > A_DAY ? Math.max(from, hours.open) : Math.min(end, A_DAY),
      goesOn: end > A_DAY,
      known: isKnown && minutes !== null,
      ends:
        isKnown && w.minutesPerPart !== null
          ? w.ends.flatMap(({ t, parts }) => {
              const when = after(from, parts * (w.minutesPerPart ?? 0), hours, byHand);
              return parts < w.partsLeft && when < A_DAY
                ? [{ t, at: when, alone: !isThere(when, hours) }]
                : [];
            })
          : [],
    });
    isKnown &&= minutes !== null;
    at = begin(end, hours, byHand);
  }
  return bars;
}

const isThere = (at: number, { open, next }: DayHours): boolean =>
  at < A_DAY ? at < open : at - A_DAY < next;

/** When work that is ready at a time begins: by hand only while somebody is there. */
const begin = (at: number, hours: DayHours, byHand: boolean): number =>
  !byHand || isThere(at, hours) ? at : Math.max(at, A_DAY);

/** When so many minutes of work are done that begin at a time; past the day it is not reckoned further. */
function after(at: number, minutes: number, hours: DayHours, byHand: boolean): number {
  if (!byHand) return at + minutes;
  const today = Math.max(0, hours.open - at);
  return minutes <= today + 1e-9 ? at + minutes : A_DAY + (minutes - today);
}
