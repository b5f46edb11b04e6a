import { judgeUse, type Use } from '../index';
import { judgeSink, judgeTravel } from './zLimits';

/** How deep a T goes against what carries the part, and where Z stands at its first block: plane geometry, worked by hand. */
const asks = (lowestFeedZ: number | null, more: Partial<Use['asks']> = {}): Use['asks'] => ({
  ...{ t: 3, h: [3], d: [], spindle: [3000], highestFeed: 400, lowestFeedZ, deepestHole: null },
  ...{ minutesPerPart: 1, atLeast: false, warned: [], ...more },
});
const sink = (
  z: number | null,
  stock: { bottom: number; parallels: number | null } | null,
  atLeast = false,
) => judgeSink({ asks: asks(z, { atLeast }), here: { highestBeside: 0, passDepth: null, stock } });

it('stock of 30 under zero on parallels of 5: −29 stays in it, −32 goes below it, −36 into the vise', () => {
  const stock = { bottom: -30, parallels: 5 };
  expect(sink(-29, stock)).toMatchObject([
    { code: 'SINK', grade: 'good', words: expect.stringContaining('1 mm above') },
  ]);
  expect(sink(-30, stock)).toMatchObject([{ grade: 'good' }]);
  expect(sink(-32, stock)).toMatchObject([
    { grade: 'question', aside: true, words: expect.stringContaining('2 mm below') },
  ]);
  expect(sink(-35, stock)).toMatchObject([{ grade: 'question', aside: true }]);
  expect(sink(-36, stock)).toMatchObject([
    { grade: 'stop', words: 'Z -36 mm goes 1 mm into what carries the part' },
  ]);
});

it('what is not known is asked, not taken for good', () => {
  expect(sink(-32, { bottom: -30, parallels: null })).toMatchObject([{ grade: 'question' }]);
  expect(sink(-32, { bottom: -30, parallels: null })[0]!.aside).toBeUndefined();
  // On the bed itself.
  expect(sink(-30.5, { bottom: -30, parallels: 0 })).toMatchObject([{ grade: 'stop' }]);
  expect(sink(-20, { bottom: -30, parallels: 5 }, true)).toMatchObject([{ grade: 'not judged' }]);
  // A stop stays one, however little of the program was read.
  expect(sink(-40, { bottom: -30, parallels: 5 }, true)).toMatchObject([{ grade: 'stop' }]);
  expect(sink(-40, null)).toEqual([]);
  expect(sink(null, { bottom: -30, parallels: 5 })).toEqual([]);
});

const travel = (z: number, travelZ: number | null, h: number | null = 3) =>
  judgeTravel(
    {
      asks: asks(-5, {
        firstZ: [
          { z: 5, h: 3, line: 9 },
          { z, h, line: 20 },
        ],
      }),
      here: { highestBeside: 0, passDepth: null, partZero: 120 },
      machine: {
        code: 'M2',
        taper: 'ISO 7388-1 40',
        hEqualsT: true,
        rpmMax: 8000,
        feedMax: 5000,
        k: 450,
        travelZ,
      },
    },
    { name: 'A-0001', gaugeLength: 190 },
  );

it('part zero 120 above the datum, L 190, K 450: Z home is reached at 140; 500 of travel at −360', () => {
  expect(travel(140, null)).toEqual([]);
  expect(travel(140, 500)).toMatchObject([{ code: 'TRAVEL', grade: 'good' }]);
  expect(travel(150, null)).toMatchObject([
    {
      grade: 'stop',
      words: 'First Z 150 mm is 10 mm above the end of Z',
      because: { values: expect.arrayContaining([expect.objectContaining({ source: 'program, line 20' })]) },
    },
  ]);
  expect(travel(-360, 500)).toMatchObject([{ grade: 'good' }]);
  expect(travel(-361, 500)).toMatchObject([{ grade: 'stop', words: expect.stringContaining('1 mm below') }]);
});

it('without a length, K or part zero nothing is said; a Z that goes without H counts from another place', () => {
  expect(travel(150, null, null)).toEqual([]);
  expect(travel(150, 500, null)).toMatchObject([{ grade: 'good' }]);
  const bare = {
    asks: asks(-5, { firstZ: [{ z: 900, h: 3, line: 1 }] }),
    here: { highestBeside: 0, passDepth: null },
  };
  const machine = { code: 'M2', taper: 'R8', hEqualsT: true, rpmMax: null, feedMax: null };
  expect(judgeTravel({ ...bare, machine: { ...machine, k: 450 } }, { name: 'A', gaugeLength: 190 })).toEqual(
    [],
  );
  expect(
    judgeTravel({ ...bare, here: { ...bare.here, partZero: 1 }, machine }, { name: 'A', gaugeLength: 190 }),
  ).toEqual([]);
});

it('the one judgement has both: a T that has no assembly is held against the stock as well', () => {
  const use: Use = {
    asks: asks(-48),
    here: { highestBeside: 0, passDepth: 10, stock: { bottom: -30, parallels: 5 } },
    machine: { code: 'M2', taper: 'ISO 7388-1 40', hEqualsT: true, rpmMax: 8000, feedMax: 5000 },
    ...{ partsLeft: 10, assembly: null, was: null },
  };
  expect(judgeUse(use)).toMatchObject({
    grade: 'stop',
    why: expect.stringContaining('13 mm into what carries'),
  });
});
