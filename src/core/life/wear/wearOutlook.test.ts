import { type WearReading, wearOutlook } from '../index';

const reading = (minutes: number, flankMm: number | null, more: Partial<WearReading> = {}): WearReading => ({
  ...{ minutes, flankMm, cornerMm: null, chips: null, zone: null },
  ...{ runoutMm: null, driftMm: null, signs: [] },
  ...more,
});
const of = (...points: [number, number][]) => points.map(([m, w]) => reading(m, w));

describe('whether an edge is worn', () => {
  it('at 0.2 mm of a 10 mm cutter, at 0.3 of a large one (ISO 8688-2, from memory; 2 % of DC is practice)', () => {
    expect(wearOutlook(of([5, 0.199]), 10, 5)).toMatchObject({ worn: false, limitMm: 0.2 });
    expect(wearOutlook(of([5, 0.2]), 10, 5)).toMatchObject({
      worn: true,
      wornAt: 'flank',
      left: { minutes: 0 },
    });
    expect(wearOutlook(of([5, 0.29]), 20, 5).worn).toBe(false);
  });
  it('by its corner as well: 0.5 mm localised (ISO 8688-2, from memory), of 10 mm a third', () => {
    expect(wearOutlook([reading(5, null, { cornerMm: 0.34 })], 10, 5)).toMatchObject({
      worn: true,
      wornAt: 'corner',
    });
    expect(wearOutlook([reading(5, 0.1, { cornerMm: 0.49 })], 20, 5).worn).toBe(false);
  });
  it('is not known where nothing was read, and a later reading without it takes nothing back', () => {
    expect(wearOutlook([], 10, 5)).toMatchObject({ worn: null, left: null, flankMm: null });
    expect(wearOutlook([reading(5, null)], 10, 5).worn).toBeNull();
    expect(wearOutlook([reading(5, 0.21), reading(6, null)], 10, 6).worn).toBe(true);
  });
  it('coarse chips and strong signs are asked about, fine and slight ones not', () => {
    expect(wearOutlook([reading(5, 0.1, { chips: 'coarse' })], 10, 5).asks).toMatch(/coarse chips/);
    const sign = (strength: 'slight' | 'strong') => [
      reading(5, 0.1, { signs: [{ sign: 'burr', strength }] }),
    ];
    expect(wearOutlook(sign('strong'), 10, 5).asks).toBe('strong: burr');
    expect(wearOutlook(sign('slight'), 10, 5).asks).toBeNull();
  });
  it('edges that cut on from a set that was read as worn are asked about, until one of them is read', () => {
    const asks = (before: { flankMm: number | null; cornerMm: number | null }, ...read: WearReading[]) =>
      wearOutlook(read, 20, 5, null, null, before);
    const worn = { flankMm: 0.3, cornerMm: null };
    expect(asks(worn)).toMatchObject({
      worn: null,
      left: null,
      asks: expect.stringMatching(/that were not/),
    });
    expect(asks({ flankMm: null, cornerMm: 0.5 }).asks).toMatch(/^read as worn/);
    expect(asks({ flankMm: 0.29, cornerMm: null }).asks).toBeNull();
    expect(asks({ flankMm: null, cornerMm: null }).asks).toBeNull();
    // Chips alone say nothing of its wear.
    expect(asks(worn, reading(5, null)).asks).toMatch(/that were not/);
    expect(asks(worn, reading(5, 0.1)).asks).toBeNull();
    expect(asks(worn, reading(5, 0.3))).toMatchObject({ worn: true, asks: null });
  });
});

describe('how long it goes on', () => {
  // Hand arithmetic: 0.08 at 10 and 0.12 at 20 are 4 µm a minute from 0.04; 0.2 is 40 min.
  it('by the line through its readings', () => {
    const outlook = wearOutlook(of([10, 0.08], [20, 0.12]), 10, 25);
    expect(outlook.left).toEqual({ minutes: expect.closeTo(15, 9), cautious: null });
    expect(outlook.because.words).toMatch(/Two readings make a line/);
  });
  // The published-method case of the reference: six readings, 0.3 mm at 42.798, a new reading not before 41.364 (95 %).
  it('with one chance in twenty of being worn before', () => {
    const wear = [0.092, 0.118, 0.149, 0.171, 0.204, 0.229].map((w, i): [number, number] => [5 + 5 * i, w]);
    const { left } = wearOutlook(of(...wear), 20, 32);
    expect(left!.minutes).toBeCloseTo(10.797927, 5);
    expect(left!.cautious).toBeCloseTo(9.364234, 5);
  });
  it('running in is left out: steep at first, then steady', () => {
    const { runningIn, steady, left } = wearOutlook(
      of([0, 0], [2, 0.06], [10, 0.08], [20, 0.105], [30, 0.13]),
      10,
      30,
    );
    expect(runningIn.map((p) => p.minutes)).toEqual([0]);
    expect(steady).toHaveLength(4);
    expect(left!.minutes).toBeCloseTo(28, 0);
  });
  it('where it wears much faster at last, the last stretch alone counts', () => {
    const { faster, left } = wearOutlook(of([10, 0.05], [20, 0.07], [30, 0.09], [35, 0.14]), 10, 35);
    expect(faster).toBe(true);
    expect(left!.minutes).toBeCloseTo(6, 9);
  });
  it('what scatters about a plateau is neither running in nor wearing faster: all of it counts', () => {
    const { steady, faster } = wearOutlook(of([10, 0.1], [20, 0.12], [30, 0.119], [40, 0.119]), 10, 40);
    expect([steady.length, faster]).toEqual([4, false]);
    expect(wearOutlook(of([10, 0.1], [20, 0.099], [30, 0.103]), 10, 30).faster).toBe(false);
  });
  it('wear that does not grow foretells nothing, and what is past is nothing left, not less', () => {
    expect(wearOutlook(of([10, 0.1], [20, 0.09]), 10, 20)).toMatchObject({ left: null });
    expect(wearOutlook(of([10, 0.1], [20, 0.15]), 10, 90).left).toMatchObject({ minutes: 0 });
  });
  it('two readings at the same minutes are one, the later', () =>
    expect(wearOutlook(of([10, 0.1], [10, 0.12], [20, 0.16]), 10, 20).left!.minutes).toBeCloseTo(10, 9));
});
