import { addDays, addMonths, clock, daysBetween, localDay, minutesOfDay } from './index';

it('localDay is the day in the shop, not in Greenwich (St John’s is 3 h 30 min behind in winter)', () => {
  expect(localDay(new Date('2027-01-06T03:29:59Z'), 'America/St_Johns')).toBe('2027-01-05');
  expect(localDay(new Date('2027-01-06T03:30:00Z'), 'America/St_Johns')).toBe('2027-01-06');
  expect(localDay(new Date('2027-01-06T23:30:00Z'), 'Europe/Oslo')).toBe('2027-01-07');
});

it('days are counted by the calendar, over leap days and summer time (2028 is a leap year; clocks go on in March)', () => {
  expect(addDays('2028-02-28', 2)).toBe('2028-03-01');
  expect(addDays('2027-02-28', 1)).toBe('2027-03-01');
  expect(addDays('2027-01-01', -1)).toBe('2026-12-31');
  expect(daysBetween('2027-03-27', '2027-03-29')).toBe(2);
  expect(daysBetween('2027-03-01', '2027-02-27')).toBe(-2);
});

it('months are the calendar’s: the same day, or the last one that the month has', () => {
  expect(addMonths('2027-01-31', 1)).toBe('2027-02-28');
  expect(addMonths('2027-11-30', 3)).toBe('2028-02-29');
  expect(addMonths('2026-12-15', 36)).toBe('2029-12-15');
  expect(addMonths('2027-03-31', -1)).toBe('2027-02-28');
});

it('minutes of the day are the shop’s own, half hours and summer time too', () => {
  expect(minutesOfDay(new Date('2027-01-05T05:42:10Z'), 'Europe/Oslo')).toBe(6 * 60 + 42);
  expect(minutesOfDay(new Date('2027-07-05T05:42:10Z'), 'Europe/Oslo')).toBe(7 * 60 + 42);
  expect(minutesOfDay(new Date('2027-01-06T03:29:59Z'), 'America/St_Johns')).toBe(23 * 60 + 59);
  expect(minutesOfDay(new Date('2027-01-05T00:00:00Z'), 'UTC')).toBe(0);
  expect([402, 0, 1500, -60].map(clock)).toEqual(['06:42', '00:00', '01:00', '23:00']);
});
