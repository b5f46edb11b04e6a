import fc from 'fast-check';
import { proposeOrder, USUAL_CALENDAR, type BookedUse } from './buying';
import { expectLife, kaplanMeier, meanReached, type LifeTime } from './life';
import { round } from './units';

/** Risky computations against a second, slower way that was written apart from them. */
const lives = fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 40 }), failed: fc.boolean() }), {
  minLength: 1,
  maxLength: 25,
});

/** Survival by redistribution to the right (Efron 1967): each censored life hands its weight to the later ones. */
function byRedistribution(list: LifeTime[]): Map<number, number> {
  // Failures before censored lives at equal times.
  const order = [...list].sort((a, b) => a.minutes - b.minutes || Number(b.failed) - Number(a.failed));
  const weight = order.map(() => 1 / order.length);
  const survival = new Map<number, number>();
  let left = 1;
  order.forEach((l, i) => {
    if (l.failed) {
      left -= weight[i]!;
      survival.set(l.minutes, left);
      return;
    }
    const later = order.length - i - 1;
    for (let k = i + 1; k < order.length; k += 1) weight[k]! += weight[i]! / later;
  });
  return survival;
}

it('Kaplan-Meier equals redistribution to the right (Efron 1967)', () => {
  fc.assert(
    fc.property(lives, (list) => {
      const other = byRedistribution(list);
      for (const step of kaplanMeier(list)) expect(step.survival).toBeCloseTo(other.get(step.minutes)!, 10);
    }),
    { seed: 31, numRuns: 300 },
  );
});

it('the mean reached equals the area summed in small steps, and never exceeds the longest life', () => {
  fc.assert(
    fc.property(lives, (list) => {
      const mean = meanReached(list);
      if (!mean) return expect(list.some((l) => l.failed)).toBe(false);
      const steps = kaplanMeier(list);
      const longest = Math.max(...list.map((l) => l.minutes));
      let area = 0;
      for (let t = 0; t < longest; t += 1) area += steps.filter((s) => s.minutes <= t).at(-1)?.survival ?? 1;
      expect(mean.minutes).toBeCloseTo(area, 8);
      expect(mean.minutes).toBeLessThanOrEqual(longest + 1e-9);
    }),
    { seed: 32 },
  );
});

it('an expectation is never 0, negative, infinite or not a number', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ minutes: fc.integer({ min: 0, max: 40 }), failed: fc.boolean() }), {
        maxLength: 12,
      }),
      fc.option(fc.integer({ min: 1, max: 90 })),
      (list, assumed) => {
        const expectation = expectLife(list, assumed === null ? null : { minutes: assumed, origin: 'guess' });
        if (expectation) {
          // Known, or said to be at least so much; never both, never none.
          const said = expectation.minutes ?? expectation.atLeast ?? NaN;
          expect(said > 0 && Number.isFinite(said)).toBe(true);
          expect((expectation.minutes === null) !== (expectation.atLeast === null)).toBe(true);
        } else expect(assumed).toBeNull();
      },
    ),
    { seed: 33 },
  );
});

/** Uses up lives part by part, job by job in the order of due days; what runs out on the way must be bought. */
function byUsingUp(uses: BookedUse[], shelf: number): number {
  let left = shelf;
  let bought = 0;
  for (const use of [...uses].sort((a, b) => a.due.localeCompare(b.due)))
    for (let part = 0; part < use.partsLeft; part += 1) {
      left -= use.minutesPerPart / use.life!.minutesPerEdge;
      while (left < -1e-9) {
        left += 1;
        bought += 1;
      }
    }
  return bought;
}

it('what is proposed equals what runs out when parts are made one by one', () => {
  const use = fc.record({
    day: fc.integer({ min: 10, max: 28 }),
    partsLeft: fc.integer({ min: 1, max: 60 }),
    tenths: fc.integer({ min: 1, max: 40 }),
    life: fc.integer({ min: 5, max: 90 }),
  });
  fc.assert(
    fc.property(
      fc.array(use, { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 0, max: 8 }),
      (list, shelf) => {
        const uses: BookedUse[] = list.map((u, i) => ({
          job: `J-${i}`,
          due: `2027-01-${u.day}`,
          start: null,
          material: 'P',
          partsLeft: u.partsLeft,
          minutesPerPart: u.tenths / 10,
          operationMinutes: 0,
          // All lives alike: then nothing is left to chance.
          life: { minutesPerEdge: u.life, spread: 0, basis: 'x', guess: false },
          perLife: 1,
        }));
        const got = proposeOrder(
          uses,
          { shelf, edgeSets: [], openOrders: [] },
          { leadTimeDays: 5, pack: 1, minimum: 1 },
          '2027-01-01',
          USUAL_CALENDAR,
        )!;
        expect(got.say === 'order' ? got.quantity : 0).toBe(byUsingUp(uses, shelf));
      },
    ),
    { seed: 34 },
  );
});

it('round agrees with the decimal text that people would round by hand', () => {
  fc.assert(
    fc.property(fc.integer({ min: -99_999, max: 99_999 }), (thousandths) => {
      const text = (Math.abs(thousandths) / 1000).toFixed(3);
      const up = Number(text.at(-1)) >= 5 ? 0.01 : 0;
      const hand = Math.sign(thousandths) * (Number(text.slice(0, -1)) + up);
      expect(round(thousandths / 1000, 2)).toBeCloseTo(hand, 9);
    }),
    { seed: 35 },
  );
});
