import { FAMILY_NAMES, familySpec } from '../cutters';
import { amountWords, measureOf, wearOutlook } from './index';

it('what works along its axis counts holes, what mills counts minutes (common practice of the trade)', () => {
  const holes = FAMILY_NAMES.filter((f) => measureOf(familySpec(f)) === 'holes');
  expect(holes).toEqual(
    expect.arrayContaining([
      'drill',
      'step-drill',
      'spot-drill',
      'centre-drill',
      'reamer',
      'tap',
      'countersink',
    ]),
  );
  for (const mills of ['square', 'ball', 'face', 'thread-mill', 'chamfer', 'slitting-saw'] as const)
    expect([mills, holes.includes(mills)]).toEqual([mills, false]);
  expect(measureOf(null)).toBe('minutes');
});

it('amounts are said in their unit', () => {
  expect(amountWords(1, 'holes')).toBe('1 hole');
  expect(amountWords(412, 'holes')).toBe('412 holes');
  expect(amountWords(7.25, 'minutes')).toBe('7.3 min');
  expect(amountWords(1.32, 'metres')).toBe('1.3 m');
});

it('the latest word of the gauge decides, beside flank and corner (common practice: a tap is changed by its gauge)', () => {
  const read = (
    minutes: number,
    gauge: 'passes' | 'tight' | 'loose' | null,
    flankMm: number | null = null,
  ) => ({
    ...{ minutes, gauge, flankMm, cornerMm: null, chips: null, zone: null, runoutMm: null, driftMm: null },
    signs: [],
  });
  expect(wearOutlook([read(1, 'tight'), read(2, 'passes')], 6, 2)).toMatchObject({
    worn: false,
    wornAt: null,
  });
  expect(wearOutlook([read(1, 'passes'), read(2, 'loose')], 6, 2)).toMatchObject({
    ...{ worn: true, wornAt: 'gauge', gauge: 'loose' },
    left: { minutes: 0 },
  });
  // A passing gauge does not save an edge whose flank is at its criterion: 2 % of 6 mm.
  expect(wearOutlook([read(1, 'passes', 0.12)], 6, 2)).toMatchObject({ worn: true, wornAt: 'flank' });
  expect(wearOutlook([read(1, null)], 6, 2)).toMatchObject({ worn: null, gauge: null });
});
