import { NO_BURST, nextBurst } from './scanBurst';

/** Feeds keys with gaps in ms and gives the scans that came of them. */
const scans = (keys: string[], gap: number | ((i: number) => number)) => {
  let burst = NO_BURST;
  let at = 1000;
  return keys.flatMap((key, i) => {
    at += typeof gap === 'number' ? gap : gap(i);
    const next = nextBurst(burst, key, at);
    burst = next.burst;
    return next.scan ?? [];
  });
};
const typed = [...'A-0107', 'Enter'];

describe('a scan is a burst of under 50 ms a character ending in Enter', () => {
  it('fast keys are a scan', () => expect(scans(typed, 5)).toEqual(['A-0107']));
  it('49 ms is a scan, 50 ms is a hand', () => {
    expect(scans(typed, 49)).toEqual(['A-0107']);
    expect(scans(typed, 50)).toEqual([]);
  });
  it('a slow Enter after fast keys is a hand', () =>
    expect(scans(typed, (i) => (i === typed.length - 1 ? 200 : 5))).toEqual([]));
  it('what was typed by hand before the burst is no part of it', () =>
    expect(scans([...'12.5', ...typed], (i) => (i < 5 ? 120 : 5))).toEqual(['A-0107']));
  it('Shift belongs to capitals, Tab and arrows end a burst', () => {
    expect(scans(['Shift', 'A', ...'-0107', 'Enter'], 5)).toEqual(['A-0107']);
    expect(scans(['A', '-', 'Tab', '0', '1', 'Enter'], 5)).toEqual([]);
  });
  it('fewer than four characters are a hand', () => expect(scans([...'EM8', 'Enter'], 5)).toEqual([]));
  it('two scans in a row are two', () =>
    expect(scans([...typed, ...typed], 5)).toEqual(['A-0107', 'A-0107']));
});
