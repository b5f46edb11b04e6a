import { type LifeBySpeeds, speedsApart } from '../index';

const ran = (speed: number | null, minutes: number, parts: LifeBySpeeds['parts'] = null): LifeBySpeeds => ({
  ...{ speed, parts },
  life: { minutes, failed: true },
});

// V = π D n / 1000 (ISO 3002-1): 10 mm at 3,000 and 3,300 rev/min are 94.2 and 103.7 m/min. Speeds within a twentieth are one (practice).
it.each([
  ['alike', [ran(3000, 30)], 10, [ran(3100, 30)], 10, null],
  ['a tenth faster', [ran(3000, 30)], 10, [ran(3300, 30)], 10, { first: 94.248, second: 103.673 }],
  ['the thicker one slower in turns is as fast at its edge', [ran(3000, 30)], 10, [ran(2727, 30)], 11, null],
  ['nobody knows how fast the one ran', [ran(null, 30)], 10, [ran(3300, 30)], 10, null],
  ['nobody knows how thick the one is', [ran(3000, 30)], 0, [ran(3300, 30)], 10, null],
  ['none of the one yet', [], 10, [ran(3300, 30)], 10, null],
  // By minutes: 10 at 2,000 and 30 at 4,000 are √√(2000 × 4000³) = 3,363.6 in the mean of logarithms.
  [
    'of several speeds, by the minutes at each',
    [
      ran(null, 40, [
        { speed: 2000, minutes: 10 },
        { speed: 4000, minutes: 30 },
      ]),
    ],
    10,
    [ran(3000, 30)],
    10,
    { first: 105.67, second: 94.248 },
  ],
] as const)('%s', (_, first, D1, second, D2, want) => {
  const said = speedsApart([first, D1], [second, D2]);
  if (want === null) expect(said).toBeNull();
  else {
    expect(said!.first).toBeCloseTo(want.first, 2);
    expect(said!.second).toBeCloseTo(want.second, 2);
  }
});
