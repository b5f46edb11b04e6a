import fc from 'fast-check';
import { costOfPart, costOfWay, fitTaylor, lifeAt, type Way, whichPays } from '../index';

const MILL: Way = { edge: 48, lifeMinutes: 60, partMinutes: 3, changeMinutes: 4, once: 0 };
const BODY: Way = { edge: 5, lifeMinutes: 25, partMinutes: 3, changeMinutes: 5, once: 180 };

it('a part costs its share of edges and changes, and the machine (unit cost after Groover, by hand)', () => {
  const cost = costOfWay({ edge: 12, lifeMinutes: 30, partMinutes: 3, changeMinutes: 2, once: 0 }, 1, 45);
  expect(cost.edges).toBeCloseTo(1.2, 12);
  expect(cost.changes).toBeCloseTo(0.2, 12);
  expect(cost.machine).toBeCloseTo(3, 12);
  expect(cost.all).toBeCloseTo(4.4, 12);
  expect(cost.partsAnEdge).toBeCloseTo(10, 12);
  // 45 cm³ a part: 4.40 / 0.045 l.
  expect(cost.litre).toBeCloseTo(97.7778, 3);
});

it('says the same of a part as the speed that Taylor’s law has it at', () => {
  const law = fitTaylor([
    { speed: 160, minutes: 5 },
    { speed: 100, minutes: 41 },
  ]);
  const costs = { changeMinutes: 3, edge: 9, minute: 0.8 };
  const partMinutes = 850 / 120;
  expect(
    costOfWay({ edge: 9, lifeMinutes: lifeAt(law, 120), partMinutes, changeMinutes: 3, once: 0 }, 0.8).all,
  ).toBeCloseTo(costOfPart(law, costs, 120, 850, 0).cost, 9);
});

it('an insert edge at 1.25 of four a seat against an end mill: from how many parts on the body pays, by hand', () => {
  // End mill: 3/60 (48 + 4 x 0.9) + 2.7 = 5.28; body: 3/25 (5 + 5 x 0.9) + 2.7 = 3.84; 180 / 1.44 = 125 parts.
  expect(whichPays(MILL, BODY, 0.9)).toMatchObject({
    first: { all: expect.closeTo(5.28, 9) },
    second: { all: expect.closeTo(3.84, 9) },
    ...{ always: null, from: { side: 'second', parts: 125 } },
  });
  expect(whichPays(BODY, MILL, 0.9)).toMatchObject({ from: { side: 'first', parts: 125 } });
});

it('where one is dearer at once and a part, the other pays always; alike, neither does', () => {
  expect(whichPays(MILL, { ...BODY, edge: 500 }, 0.9)).toMatchObject({ always: 'first', from: null });
  expect(whichPays({ ...BODY, edge: 500 }, MILL, 0.9)).toMatchObject({ always: 'second', from: null });
  expect(whichPays(MILL, MILL, 0.9)).toMatchObject({ always: null, from: null });
  expect(whichPays(MILL, { ...MILL, once: 10 }, 0.9)).toMatchObject({ always: 'first', from: null });
  expect(whichPays({ ...MILL, edge: 50 }, MILL, 0.9)).toMatchObject({ always: 'second', from: null });
});

it('from that many parts on it is the cheaper in all, and one part before it is not', () => {
  const way = fc.record({
    edge: fc.integer({ min: 0, max: 200 }),
    lifeMinutes: fc.integer({ min: 1, max: 200 }),
    partMinutes: fc.integer({ min: 1, max: 30 }),
    changeMinutes: fc.integer({ min: 0, max: 20 }),
    once: fc.integer({ min: 0, max: 500 }),
  });
  fc.assert(
    fc.property(way, way, (first, second) => {
      const { from, always, ...costs } = whichPays(first, second, 1);
      const all = { first: first.once, second: second.once };
      const total = (side: 'first' | 'second', n: number) => all[side] + n * costs[side].all;
      const other = { first: 'second', second: 'first' } as const;
      if (from) {
        const slack = 1e-9 * total(other[from.side], from.parts);
        expect(total(from.side, from.parts)).toBeLessThanOrEqual(total(other[from.side], from.parts) + slack);
        expect(total(from.side, from.parts - 1)).toBeGreaterThan(
          total(other[from.side], from.parts - 1) - slack - 1e-9,
        );
      }
      if (always)
        for (const n of [1, 10, 100_000])
          expect(total(always, n)).toBeLessThanOrEqual(total(other[always], n) * (1 + 1e-9));
    }),
  );
});

it('a life of nothing, and a cost under 0, are refused by name', () => {
  expect(() => costOfWay({ ...MILL, lifeMinutes: 0 }, 1)).toThrow('life is 0');
  expect(() => costOfWay({ ...MILL, edge: -1 }, 1)).toThrow('-1');
  expect(() => costOfWay(MILL, 1, 0)).toThrow('chips of a part');
});
