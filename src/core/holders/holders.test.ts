import {
  holderDue,
  holderRule,
  judgeHolder,
  measuredBefore,
  RULE_ASSUMED,
  runoutTrend,
  takesStud,
} from './index';
import type { HolderAges, HolderSaid } from './index';

const said = (more: Partial<HolderSaid> = {}): HolderSaid => ({
  ...{ mark: 'H-0001', look: null, dropped: null, rule: RULE_ASSUMED },
  ...more,
});
const ages = (more: Partial<HolderAges> = {}): HolderAges => ({
  ...{ mark: 'H-0001', kind: 'holder', taper: 'ISO 7388-1 40', since: null, marked: '2026-01-05' },
  ...{ look: null, clampings: 0, studChanged: null, rule: RULE_ASSUMED },
  ...more,
});
const graded = (s: HolderSaid) => judgeHolder(s).map((j) => `${j.grade} ${j.code}`);
const look = (found: 'good' | 'doubt' | 'bad', runoutMm: number | null = null) => ({
  ...{ found, runoutMm, words: null },
});

describe('what speaks against a holder (common practice)', () => {
  it('nothing said: nothing speaks against it, and nothing is concluded', () => {
    expect(judgeHolder(said())).toEqual([]);
  });
  it.each([
    [said({ dropped: { words: 'on its flange' } }), ['stop HOLDER_DROPPED']],
    [said({ look: look('bad') }), ['stop HOLDER_OUT']],
    [said({ look: look('doubt') }), ['question HOLDER_DOUBT']],
    // Found good before it fell: the fall is what counts.
    [said({ look: look('good'), dropped: { words: null } }), ['stop HOLDER_DROPPED']],
    [said({ look: look('good', 0.01) }), []],
    [said({ look: look('good', 0.0101) }), ['question HOLDER_RUNOUT']],
  ])('%j: %j', (s, codes) => expect(graded(s)).toEqual(codes));
  it('says whose limit the runout is held to', () => {
    const rule = holderRule(null, {
      lookMonths: null,
      lookClampings: null,
      studMonths: null,
      runoutMm: 0.003,
    });
    expect(judgeHolder(said({ look: look('good', 0.005), rule }))[0]?.because.values[1]).toEqual({
      ...{ name: 'at most', value: '0.003 mm', source: 'the shop’s rule' },
    });
  });
  it('what was measured before the fall is measured again, also when the holder was found good', () => {
    const [eight, nine] = [new Date('2027-01-12T08:00Z'), new Date('2027-01-12T09:00Z')];
    expect(measuredBefore('H-0001', eight, nine)?.grade).toBe('question');
    expect(measuredBefore('H-0001', nine, eight)).toBeNull();
    expect(measuredBefore('H-0001', null, nine)).toBeNull();
  });
});

describe('what is due (common practice where nobody said)', () => {
  it('a stud is in the 7:24 cones of tool changers alone (ISO 7388, ISO 297, ISO 12164, from memory)', () => {
    const of = (taper: string | null, kind: HolderAges['kind'] = 'holder') => takesStud({ taper, kind });
    expect(['BT40', 'SK 50', 'CAT40', '40 taper'].map((t) => of(t))).toEqual([true, true, true, true]);
    expect(['NMTB 40', 'HSK-A 63', 'R8', 'PSC 63', null].map((t) => of(t))).toEqual(Array(5).fill(false));
    expect(of('BT40', 'extension')).toBe(false);
  });
  it('from the day it was looked over; late from the day after', () => {
    const one = ages({ look: { day: '2026-01-05', found: 'good' }, taper: 'R8' });
    expect(holderDue(one, '2027-01-05')).toMatchObject([{ what: 'look', day: '2027-01-05', late: false }]);
    expect(holderDue(one, '2027-01-06')).toMatchObject([{ late: true }]);
  });
  it('never looked over: from its age, and where that is not known from its mark, and says so', () => {
    expect(
      holderDue(ages({ since: '2020-03-01' }), '2026-02-01').map((d) => [d.what, d.day, d.late]),
    ).toEqual([
      ['look', '2021-03-01', true],
      ['stud', '2023-03-01', true],
    ]);
    const [first] = holderDue(ages(), '2026-02-01');
    expect(first).toMatchObject({ day: '2027-01-05', late: false });
    expect(first?.because.values).toContainEqual({
      ...{ name: 'in use since', value: 'not known', source: 'marked on 2026-01-05' },
    });
  });
  it('by clampings, where a rule says so', () => {
    const rule = holderRule({ lookMonths: null, lookClampings: 50, studMonths: null, runoutMm: null }, null);
    expect(holderDue(ages({ rule, clampings: 49 }), '2036-01-01')).toMatchObject([
      { late: false, day: null },
    ]);
    expect(holderDue(ages({ rule, clampings: 50 }), '2026-01-06')).toMatchObject([{ late: true }]);
  });
  it('what is out of use is due for nothing', () => {
    expect(holderDue(ages({ look: { day: '2026-01-05', found: 'bad' } }), '2036-01-01')).toEqual([]);
  });
  it('a rule that was said holds as a whole; its own goes before the shop’s; the runout has a limit in any case', () => {
    const its = { lookMonths: 6, lookClampings: null, studMonths: null, runoutMm: null };
    const shops = { lookMonths: 24, lookClampings: 200, studMonths: 12, runoutMm: 0.02 };
    expect(holderRule(its, shops)).toEqual({ ...its, runoutMm: 0.01, from: 'its own' });
    expect(holderRule(null, shops)).toEqual({ ...shops, from: 'the shop’s' });
    expect(holderRule(null, null).from).toBe('assumed');
  });
});

describe('runout over clampings', () => {
  const at = (...runouts: number[]) => runouts.map((runoutMm, i) => ({ clamping: i + 1, runoutMm }));
  it('one by one more: the line is the arithmetic’s', () => {
    const trend = runoutTrend(at(0.002, 0.004, 0.006, 0.008, 0.01), 0.02);
    expect(trend).toMatchObject({ grows: true });
    expect(trend?.slope).toBeCloseTo(0.002, 12);
    expect(trend?.reaches).toBeCloseTo(10, 9);
  });
  it('a slope beside its doubt, against scipy.stats.linregress of 3, 5, 4, 7, 6, 9 µm: 1.0286 each, standard error 0.2624, p 0.017', () => {
    const trend = runoutTrend(at(0.003, 0.005, 0.004, 0.007, 0.006, 0.009), 0.02);
    expect(trend?.slope).toBeCloseTo(0.00102857, 8);
    expect(trend?.grows).toBe(true);
    expect(trend?.between?.[0]).toBeLessThan(trend?.reaches ?? 0);
    expect(trend?.between?.[1]).toBeGreaterThan(trend?.reaches ?? 0);
  });
  it('up and down is no trend, and of four nothing is said', () => {
    expect(runoutTrend(at(0.004, 0.006, 0.003, 0.007, 0.004, 0.005), 0.02)).toMatchObject({
      ...{ grows: false, reaches: null, between: null },
    });
    expect(runoutTrend(at(0.002, 0.004, 0.006, 0.008), 0.02)).toBeNull();
  });
  it('what is past its limit already reaches it no more', () => {
    expect(runoutTrend(at(0.012, 0.014, 0.016, 0.018, 0.02), 0.01)).toMatchObject({
      grows: true,
      reaches: null,
    });
  });
});
