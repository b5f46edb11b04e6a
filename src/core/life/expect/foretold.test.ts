import { cameOut, foretoldHeld, type Foretold, nextLife, SHARES_FORETOLD } from '../index';

/** 5 % have failed by 5 min, 95 % by 95. */
const evenly: Foretold = SHARES_FORETOLD.map((s) => 100 * s);
const failed = (minutes: number) => ({ by: evenly, life: { minutes, failed: true } });
const changed = (minutes: number) => ({ by: evenly, life: { minutes, failed: false } });

describe('what came against what was foretold', () => {
  it.each([
    [4.9, true, 'earlier'],
    [5, true, 'inside'],
    [95, true, 'inside'],
    [95.1, true, 'later'],
    [95.1, false, 'later'],
    [40, false, 'not told'],
    [2, false, 'not told'],
  ] as const)('%d min, failed: %s, is %s', (minutes, isFailure, outcome) =>
    expect(cameOut(evenly, { minutes, failed: isFailure })).toBe(outcome),
  );

  it('is counted where every life failed, with the limits of Wilson', () => {
    const lives = [2, 10, 20, 30, 40, 50, 60, 70, 80, 90].map(failed);
    // scipy 1.17.1: binomtest(9, 10).proportion_ci(method='wilson').
    const { inside, came } = foretoldHeld(lives);
    expect(came).toEqual({ earlier: 1, inside: 9, later: 0, 'not told': 0 });
    expect(inside!.share).toBeCloseTo(0.9, 12);
    expect(inside!.from).toBeCloseTo(0.59585, 4);
    expect(inside!.to).toBeCloseTo(0.982124, 4);
  });

  it('reckons with those that were changed before they failed', () => {
    // By hand: of four, one failed early (3/4 stand); one changed at 50 leaves two, one of which fails at 60 (3/8 stand).
    const { inside } = foretoldHeld([failed(2), changed(50), failed(60), failed(120)]);
    expect(inside!.share).toBeCloseTo(3 / 4 - 3 / 8, 12);
    // Left out, that life would have made it 1 of 3.
  });

  it('leaves open what becomes of those that go on: they are neither inside nor later yet', () => {
    // One failed early, nine run on in the middle of theirs: none or nine in ten may come inside.
    const early = foretoldHeld([failed(2), ...Array.from({ length: 9 }, () => changed(30))]);
    expect(early.inside!.share).toBeNull();
    expect(early.inside!.to).toBeGreaterThan(0.9);
    expect(early.says).not.toBe('too narrow');
    // The one that came furthest failed: nothing is left open.
    expect(foretoldHeld([failed(50), changed(30), failed(60)]).inside!.share).toBeCloseTo(1, 12);
    // It runs on at 80: of three, one inside; two thirds of what stood at 50 are not known.
    const last = foretoldHeld([failed(50), changed(80), changed(70)]).inside!;
    expect(last.share).toBeNull();
    expect(last.to).toBeCloseTo(1, 12);
  });

  it('is not said where nothing was told', () => {
    expect(foretoldHeld([]).inside).toBeNull();
    expect(foretoldHeld([changed(30)])).toEqual({
      lives: 1,
      came: { earlier: 0, inside: 0, later: 0, 'not told': 1 },
      inside: null,
      says: 'cannot say',
    });
  });

  it('holds what it promises: lives of known law are inside as often as was said, though half are changed early', () => {
    // Weibull of shape 2.5 and scale 60: minutes by which a share has failed, inverted; every share from 0 to 1 in turn.
    const by = SHARES_FORETOLD.map((s) => 60 * (-Math.log(1 - s)) ** (1 / 2.5));
    const lives = Array.from({ length: 999 }, (_, i) => {
      const minutes = 60 * (-Math.log(1 - (i + 1) / 1000)) ** (1 / 2.5);
      // Every second is changed at 25 min, unless it failed before.
      return { by, life: i % 2 && minutes > 25 ? { minutes: 25, failed: false } : { minutes, failed: true } };
    });
    const { inside, came } = foretoldHeld(lives);
    expect(inside!.share).toBeCloseTo(0.9, 2);
    // Counted without them it would look worse than it is.
    expect(came.inside / (999 - came['not told'])).toBeLessThan(0.88);
  });

  it('says when forecasts promise too much, or too little', () => {
    const each = (n: number, minutes: number) => Array.from({ length: n }, () => failed(minutes));
    expect(foretoldHeld(each(3, 2)).says).toBe('too narrow');
    expect(foretoldHeld([...each(2, 2), ...each(8, 50)]).says).toBe('hold');
    expect(foretoldHeld(each(30, 50)).says).toBe('hold');
    expect(foretoldHeld(each(60, 50)).says).toBe('too wide');
  });

  it('keeps of the next life what its interval says', () => {
    const next = nextLife(
      [30, 42, 55].map((minutes) => ({ minutes, failed: true })),
      null,
    )!;
    const by = SHARES_FORETOLD.map((s) => next.by(s));
    expect(by[0]).toBeCloseTo(next.from, 6);
    expect(by[9]).toBeCloseTo(next.middle, 6);
    expect(by[18]).toBeCloseTo(next.to, 6);
  });
});
