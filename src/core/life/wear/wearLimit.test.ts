import { cornerLimit, isWorn, strictestHere, wearLimit, wearOutlook, type WornHere } from '../index';

/** A finisher at 0.1 mm where an end mill is worn at 0.2 as usual (DC 10): common practice. */
const FINISHES: WornHere = { flank: { mm: 0.1, of: 'T7 of J-1' }, corner: null };
const ROUGHS: WornHere = { flank: { mm: 0.4, of: 'T2 of J-1' }, corner: { mm: 0.6, of: 'T2 of J-1' } };
const READ = { flankMm: 0.15, cornerMm: null };
const reading = (minutes: number, flankMm: number) => ({
  ...{ minutes, flankMm, cornerMm: null, chips: null, zone: null, runoutMm: null, driftMm: null, signs: [] },
});

it('worn here where it is not as usual, and the other way about', () => {
  expect([isWorn(READ, 10), isWorn(READ, 10, FINISHES)]).toEqual([false, true]);
  expect(isWorn({ flankMm: 0.25, cornerMm: 0.4 }, 10)).toBe(true);
  expect(isWorn({ flankMm: 0.25, cornerMm: 0.4 }, 10, ROUGHS)).toBe(false);
  expect(isWorn({ flankMm: 0.4, cornerMm: null }, 10, ROUGHS)).toBe(true);
});
it('never read is not known, whatever is said; the gauge goes before', () => {
  expect(isWorn({ flankMm: null, cornerMm: null }, 10, FINISHES)).toBeNull();
  expect(isWorn({ flankMm: 0.01, cornerMm: null, gauge: 'tight' }, 10, ROUGHS)).toBe(true);
});
it('says what was said of it, and what would be usual; the corner stays as usual where only the flank was said', () => {
  expect(wearLimit(10, FINISHES).because.words).toBe(
    'Said of T7 of J-1: it is worn there at 0.1 mm, as usual at 0.2 mm.',
  );
  expect(cornerLimit(10, FINISHES).value).toBe(cornerLimit(10).value);
  expect(cornerLimit(10, ROUGHS).value).toBe(0.6);
});
it('minutes left go to what is said: 0.05 at 10 and 0.075 at 20 comes to 0.1 at 30, to 0.2 at 70', () => {
  const readings = [reading(10, 0.05), reading(20, 0.075)];
  expect(wearOutlook(readings, 10, 20, null, FINISHES).left?.minutes).toBeCloseTo(10, 9);
  expect(wearOutlook(readings, 10, 20).left?.minutes).toBeCloseTo(50, 9);
});
it('on several T it is to be good for each: the least counts, and the usual is one of them', () => {
  expect(strictestHere([ROUGHS, FINISHES], 10)).toEqual({ flank: FINISHES.flank, corner: null });
  expect(strictestHere([ROUGHS, null], 10)).toBeNull();
  expect(strictestHere([ROUGHS], 10)).toEqual(ROUGHS);
  expect(strictestHere([null, FINISHES], 10)).toEqual(FINISHES);
  expect(strictestHere([], 10)).toBeNull();
});
