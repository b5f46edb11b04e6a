/** Calendar days are ISO text ('2027-01-12'), never moments: no zone can move them. */
const DAY_MS = 86_400_000;

/** The calendar day of a moment in a zone, ISO. Example: 2027-01-01T02:00Z in America/St_Johns is 2026-12-31. */
export const localDay = (at: Date, zone: string): string =>
  new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(at);

const dayNumber = (day: string): number => Date.parse(`${day}T00:00:00Z`) / DAY_MS;

/** The day so many days after another (before it, when negative). Example: addDays('2027-02-27', 2) = '2027-03-01'. */
export const addDays = (day: string, days: number): string =>
  new Date((dayNumber(day) + days) * DAY_MS).toISOString().slice(0, 10);

/**
 * The same day so many months on; where that month has no such day, its last. Example: addMonths('2027-01-31', 1) =
 * '2027-02-28'.
 */
export function addMonths(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0));
  last.setUTCDate(Math.min(date, last.getUTCDate()));
  return last.toISOString().slice(0, 10);
}

/** How many days a day lies after another; negative before it. Example: daysBetween('2027-03-01', '2027-02-27') = -2. */
export const daysBetween = (from: string, to: string): number => Math.round(dayNumber(to) - dayNumber(from));

/** Minutes after midnight at a moment in a zone. Example: 05:42 UTC in Europe/Oslo in January: 402. */
export function minutesOfDay(at: Date, zone: string): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: zone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  }).formatToParts(at);
  const part = (type: string) => Number(parts.find((p) => p.type === type)?.value ?? 0);
  return part('hour') * 60 + part('minute');
}
