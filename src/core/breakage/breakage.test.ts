import fc from 'fast-check';
import {
  type Cause,
  CAUSE_NAMES,
  CAUSES,
  type ConfirmedCase,
  rankCauses,
  type Seen,
  SEEN_NAMES,
} from './index';

/**
 * Thirty scenes as somebody at the machine would tell them, each with the cause that a look at cutter, part and holder showed:
 * written for this test from common practice, with signs that do not belong and signs that are missing. They are not the table
 * read back: a third has a sign that speaks for another cause.
 */
const SCENES: [cause: Cause, seen: Seen[], notSeen?: Seen[]][] = [
  ['chips', ['chips packed', 'slot']],
  ['chips', ['chips packed', 'dry', 'at the holder']],
  ['chips', ['chips packed', 'bogged', 'slot']],
  ['chips', ['chips packed', 'new cutter']],
  ['plunge', ['plunging', 'first part']],
  ['plunge', ['plunging', 'corners', 'new cutter']],
  ['fragments', ['same place', 'new cutter', 'corners']],
  ['fragments', ['same place', 'new cutter', 'in a corner']],
  ['hard spot', ['corners', 'same place'], ['new cutter', 'chips packed']],
  ['exit', ['leaving']],
  ['exit', ['leaving', 'thin wall']],
  ['pulled out', ['longer', 'bright rings on the shank']],
  ['pulled out', ['longer', 'slot', 'bogged']],
  ['pulled out', ['bright rings on the shank', 'vibration', 'longer']],
  ['slipped', ['shorter']],
  ['slipped', ['shorter', 'bright rings on the shank']],
  ['entry', ['corners', 'chips packed', 'new cutter'], ['same place']],
  ['wide and shallow', ['line on the wall', 'long in use']],
  ['too fast', ['blue', 'dry']],
  ['too fast', ['blue', 'new cutter']],
  ['too slow', ['built-up edge', 'dry']],
  ['torque', ['bogged', 'slot'], ['chips packed', 'longer']],
  ['corner', ['in a corner', 'vibration']],
  ['corner', ['in a corner', 'bogged']],
  ['runout', ['one tooth', 'vibration']],
  ['runout', ['one tooth', 'oversize']],
  ['stickout', ['vibration', 'at the holder']],
  ['crash', ['hit', 'first part', 'at the holder']],
  ['reamer worn', ['undersize', 'long in use']],
  ['tap hole', ['bottom', 'chips packed']],
];
const placeOf = (
  cause: Cause,
  seen: readonly Seen[],
  notSeen: readonly Seen[] = [],
  cases: ConfirmedCase[] = [],
) => rankCauses({ seen, notSeen }, cases).findIndex((r) => r.cause === cause);

it('the right cause is among the first two in 80 % of the scenes, and mostly the first', () => {
  const places = SCENES.map(([cause, seen, notSeen]) => placeOf(cause, seen, notSeen));
  expect(places.filter((p) => p < 2).length / SCENES.length).toBeGreaterThanOrEqual(0.8);
  expect(places.filter((p) => p === 0).length / SCENES.length).toBeGreaterThanOrEqual(0.6);
});

it('the same left out one by one, the others as confirmed cases of the shop', () => {
  const cases = SCENES.map(([cause, seen, notSeen = []]): ConfirmedCase => ({ cause, seen, notSeen }));
  const places = SCENES.map(([cause, seen, notSeen], i) =>
    placeOf(
      cause,
      seen,
      notSeen,
      cases.filter((_, k) => k !== i),
    ),
  );
  expect(places.filter((p) => p < 2).length / SCENES.length).toBeGreaterThanOrEqual(0.8);
});

it('ten confirmed cases of a shop move it, one does hardly: there it is the bearings that break cutters in corners', () => {
  const scene = { seen: ['in a corner', 'vibration'] as const };
  const learnt: ConfirmedCase = { cause: 'runout', seen: ['in a corner', 'vibration', 'one tooth'] };
  const chance = (cases: number) =>
    rankCauses(scene, Array<ConfirmedCase>(cases).fill(learnt)).find((r) => r.cause === 'runout')!.chance;
  expect(placeOf('corner', scene.seen)).toBeLessThan(2);
  expect(placeOf('runout', scene.seen)).toBeGreaterThan(1);
  expect(chance(1)).toBeLessThan(0.25);
  expect(chance(10)).toBeGreaterThan(3 * chance(0));
  const [first] = rankCauses(scene, Array<ConfirmedCase>(10).fill(learnt));
  expect(first).toMatchObject({ cause: 'runout', cases: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9] });
});

it('what was looked for and is not there speaks against, what was not looked at does not', () => {
  const before = rankCauses({ seen: ['longer'] })[0]!;
  const after = rankCauses({ seen: ['longer'], notSeen: ['bright rings on the shank'] }).find(
    (r) => r.cause === 'pulled out',
  )!;
  expect(before).toMatchObject({ cause: 'pulled out', for: ['longer'], against: [] });
  expect(after.chance).toBeLessThan(before.chance);
  expect(after.against).toEqual(['bright rings on the shank']);
});

it('with nothing seen the usual ones stand first, and no cause is ruled out or certain', () => {
  const ranked = rankCauses({ seen: [] });
  expect(ranked[0]!.cause).toBe('chips');
  expect(ranked.every((r) => r.chance > 0 && r.chance < 0.2)).toBe(true);
});

it('chances add up to 1, whatever is seen and learnt; a sign twice is a sign', () =>
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...SEEN_NAMES)),
      fc.array(fc.constantFrom(...SEEN_NAMES)),
      fc.array(
        fc.record({ cause: fc.constantFrom(...CAUSE_NAMES), seen: fc.array(fc.constantFrom(...SEEN_NAMES)) }),
      ),
      (seen, notSeen, cases) => {
        const ranked = rankCauses({ seen, notSeen }, cases);
        expect(ranked.reduce((sum, r) => sum + r.chance, 0)).toBeCloseTo(1, 9);
        expect(rankCauses({ seen: [...seen, ...seen], notSeen }, cases)).toEqual(ranked);
      },
    ),
  ));

it('every sign goes with a cause, and every cause has a sign and something to do next', () => {
  const used = new Set(CAUSE_NAMES.flatMap((c) => [...CAUSES[c].mostly, ...CAUSES[c].sometimes]));
  expect(SEEN_NAMES.filter((s) => !used.has(s))).toEqual([]);
  expect(CAUSE_NAMES.filter((c) => !CAUSES[c].mostly.length || !CAUSES[c].next.length)).toEqual([]);
});
