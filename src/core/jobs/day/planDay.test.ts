import fc from 'fast-check';
import { planDay } from '../index';

/** A machine's day, worked by hand: minutes from six in the morning, somebody there for twelve hours. */
const HOURS = { open: 720, next: 720 };
const work = (
  partsLeft: number,
  minutesPerPart: number | null,
  ends: { t: number; parts: number }[] = [],
) => ({
  ...{ partsLeft, minutesPerPart, ends },
});

it('at 06:42, 30 parts of 10 minutes, then 12 of 20: one after the other', () => {
  expect(planDay([work(30, 10), work(12, 20)], HOURS, 42, false)).toEqual([
    { index: 0, from: 42, to: 342, goesOn: false, known: true, ends: [] },
    { index: 1, from: 342, to: 582, goesOn: false, known: true, ends: [] },
  ]);
});

it('an edge good for 12 of 30 parts ends after 120 minutes; one that lasts is not said', () => {
  const [bar] = planDay(
    [
      work(30, 10, [
        { t: 3, parts: 12 },
        { t: 7, parts: 30 },
      ]),
    ],
    HOURS,
    42,
    false,
  );
  expect(bar!.ends).toEqual([{ t: 3, at: 162, alone: false }]);
});

it('a machine with a changer runs on when nobody is there, and an edge that ends then ends alone', () => {
  const [bar] = planDay([work(100, 12, [{ t: 2, parts: 60 }])], HOURS, 60, false);
  // 60 + 720 is past 18:00.
  expect(bar).toMatchObject({ to: 1260, goesOn: false, ends: [{ t: 2, at: 780, alone: true }] });
});

it('one that is swapped by hand stands overnight and goes on the next morning', () => {
  const [first, second] = planDay([work(50, 10), work(20, 10)], HOURS, 500, true);
  // 220 minutes are left of the day: 28 parts are made the next.
  expect(first).toMatchObject({ from: 500, to: 720, goesOn: true });
  expect(second).toBeUndefined();
  expect(planDay([work(5, 10)], HOURS, 800, true)).toEqual([]);
  expect(planDay([work(5, 10)], HOURS, 800, false)).toHaveLength(1);
});

it('how long is not known without a program, and so is what comes behind it', () => {
  const bars = planDay([work(5, null), work(5, 10, [{ t: 1, parts: 2 }])], HOURS, 0, false);
  expect(bars.map((b) => b.known)).toEqual([false, false]);
  expect(bars[1]!.ends).toEqual([]);
});

it('a day that is closed has nobody there; a worn edge ends at once', () => {
  expect(planDay([work(5, 10)], { open: 0, next: 720 }, 0, true)).toEqual([]);
  expect(planDay([work(5, 10, [{ t: 4, parts: 0 }])], HOURS, 100, false)[0]!.ends).toEqual([
    { t: 4, at: 100, alone: false },
  ]);
});

it('bars never overlap, never begin before now, and end within the day', () => {
  const one = fc.record({
    partsLeft: fc.integer({ min: 1, max: 500 }),
    minutesPerPart: fc.option(fc.double({ min: 0.1, max: 90, noNaN: true })),
    ends: fc.array(
      fc.record({ t: fc.integer({ min: 1, max: 40 }), parts: fc.integer({ min: 0, max: 600 }) }),
      { maxLength: 4 },
    ),
  });
  fc.assert(
    fc.property(
      fc.array(one, { maxLength: 8 }),
      fc.integer({ min: 0, max: 1439 }),
      fc.boolean(),
      fc.integer({ min: 0, max: 1440 }),
      (all, now, byHand, open) => {
        const bars = planDay(all, { open, next: open }, now, byHand);
        let last = now;
        for (const b of bars) {
          expect(b.from).toBeGreaterThanOrEqual(last - 1e-9);
          expect(b.to).toBeLessThanOrEqual(1440);
          expect(b.to).toBeGreaterThanOrEqual(b.from);
          for (const e of b.ends) expect(e.at).toBeLessThanOrEqual(b.goesOn ? 1440 : b.to + 1e-6);
          last = b.to;
        }
      },
    ),
  );
});
