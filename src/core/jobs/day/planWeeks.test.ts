import fc from 'fast-check';
import { USUAL_CALENDAR } from '../../buying';
import { planWeeks } from '../index';

/** Operations on one machine by days, worked by hand. 2027-01-04 is a Monday; eight hours from Monday to Friday. */
const plan = (...work: [number | null, string | null, string?][]) =>
  planWeeks(
    work.map(([minutes, starts, due]) => ({ minutes, starts, due: due ?? '2027-12-31' })),
    USUAL_CALENDAR,
    '2027-01-04',
  ).map((b) => [b.from, b.to]);

it('600 and 120 minutes: Monday to Tuesday, and on that Tuesday', () => {
  expect(plan([600, null], [120, null])).toEqual([
    ['2027-01-04', '2027-01-05'],
    ['2027-01-05', '2027-01-05'],
  ]);
});

it('a day that is full to the minute leaves the next one to the next', () => {
  expect(plan([480, null], [480, null])).toEqual([
    ['2027-01-04', '2027-01-04'],
    ['2027-01-05', '2027-01-05'],
  ]);
});

it('over a week-end and a day that is closed', () => {
  const calendar = { ...USUAL_CALENDAR, closed: new Set(['2027-01-11']) };
  expect(
    planWeeks([{ minutes: 960, starts: '2027-01-08', due: '2027-01-11' }], calendar, '2027-01-04'),
  ).toEqual([
    {
      ...{ index: 0, from: '2027-01-08', to: '2027-01-12' },
      ...{ late: true, pushed: false, uncertain: false },
    },
  ]);
});

it('a stated start is kept where the machine is free, and pushed where it is not', () => {
  expect(plan([120, '2027-01-06'], [60, null])).toEqual([
    ['2027-01-06', '2027-01-06'],
    ['2027-01-06', '2027-01-06'],
  ]);
  const bars = planWeeks(
    [
      { minutes: 1440, starts: null, due: '2027-01-06' },
      { minutes: 60, starts: '2027-01-05', due: '2027-01-31' },
    ],
    USUAL_CALENDAR,
    '2027-01-04',
  );
  // Three full days; the second waits for the fourth.
  expect(bars).toMatchObject([
    { to: '2027-01-06', late: false },
    { from: '2027-01-07', pushed: true },
  ]);
  // A start on a Sunday is the Monday after.
  expect(plan([60, '2027-01-10'])).toEqual([['2027-01-11', '2027-01-11']]);
});

it('how long is not known without a program: what comes behind it is uncertain until a day is stated', () => {
  const bars = planWeeks(
    [
      { minutes: null, starts: null, due: '2027-01-31' },
      { minutes: 60, starts: null, due: '2027-01-31' },
      { minutes: 60, starts: '2027-01-20', due: '2027-01-31' },
    ],
    USUAL_CALENDAR,
    '2027-01-04',
  );
  expect(bars.map((b) => [b.to, b.uncertain])).toEqual([
    [null, false],
    ['2027-01-04', true],
    ['2027-01-20', false],
  ]);
});

it('a shop that never opens ends nothing', () => {
  const never = { week: [0, 0, 0, 0, 0, 0, 0] as const, closed: new Set<string>(), stated: true };
  expect(planWeeks([{ minutes: 5, starts: null, due: '2027-02-01' }], never, '2027-01-04')).toMatchObject([
    { to: null, late: true },
  ]);
});

it('each begins no sooner than the one before it ends, on a day the shop works', () => {
  const one = fc.record({
    minutes: fc.option(fc.integer({ min: 0, max: 4000 })),
    starts: fc.option(fc.integer({ min: 4, max: 28 }).map((d) => `2027-01-${String(d).padStart(2, '0')}`)),
    due: fc.constant('2027-02-01'),
  });
  fc.assert(
    fc.property(fc.array(one, { maxLength: 8 }), (work) => {
      let last = '2027-01-04';
      for (const b of planWeeks(work, USUAL_CALENDAR, '2027-01-04')) {
        expect(b.from >= last).toBe(true);
        if (b.to !== null) {
          expect(b.to >= b.from).toBe(true);
          expect([0, 6]).not.toContain(new Date(b.to).getUTCDay());
          last = b.to;
        }
      }
    }),
  );
});
