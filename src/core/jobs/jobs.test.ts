import { checkToolLine, cycleMinutes, reachNeeded, type ToolLineFacts } from './index';

const line: ToolLineFacts = {
  t: 7,
  h: [7],
  spindle: [8000],
  feeds: [900],
  lowestFeedZ: -30,
  highestBeside: 0,
  passDepth: 10,
  hEqualsT: true,
  machineRpmMax: 10000,
  machineFeedMax: 5000,
  assembly: { tag: 'A-0107', stickout: 34, LCF: 22, holderRpmMax: 12000 },
};
const grade = (code: string, over: Partial<ToolLineFacts>) =>
  checkToolLine({ ...line, ...over }).find((j) => j.code === code)?.grade ?? null;
const with_ = (over: Partial<NonNullable<ToolLineFacts['assembly']>>) => ({
  assembly: { ...line.assembly!, ...over },
});

describe('checkToolLine: both sides of every limit (plane geometry; clearance is common practice)', () => {
  it('reach: 30 needed', () => {
    expect(grade('REACH', with_({ stickout: 31 }))).toBe('good');
    expect(grade('REACH', with_({ stickout: 30.99 }))).toBe('question');
    expect(grade('REACH', with_({ stickout: 30 }))).toBe('question');
    expect(grade('REACH', with_({ stickout: 29.99 }))).toBe('stop');
    expect(grade('REACH', { highestBeside: 5 })).toBe('stop');
    expect(grade('REACH', { highestBeside: null })).toBe('not judged');
    expect(grade('REACH', { lowestFeedZ: null })).toBeNull();
    expect(reachNeeded(5, -30)).toBe(35);
    expect(reachNeeded(null, -30)).toBeNull();
  });
  it('one pass against the flutes', () => {
    expect(grade('PASS_DEPTH', { passDepth: 22 })).toBe('good');
    expect(grade('PASS_DEPTH', { passDepth: 22.01 })).toBe('stop');
    expect(grade('PASS_DEPTH', { passDepth: null })).toBe('not judged');
    expect(grade('PASS_DEPTH', with_({ LCF: null }))).toBe('not judged');
  });
  it('H against T by the machine’s rule', () => {
    expect(grade('H_T', {})).toBe('good');
    expect(grade('H_T', { h: [7, 17] })).toBe('stop');
    expect(grade('H_T', { h: [17], hEqualsT: false })).toBe('question');
    expect(grade('H_T', { h: [] })).toBe('question');
  });
  it('rpm against the lowest limit that is known', () => {
    expect(grade('RPM', { spindle: [10000] })).toBe('good');
    expect(grade('RPM', { spindle: [10001] })).toBe('stop');
    expect(grade('RPM', with_({ holderRpmMax: 7999 }))).toBe('stop');
    expect(grade('RPM', with_({ holderRpmMax: null }))).toBe('not judged');
    expect(grade('RPM', { machineRpmMax: null, ...with_({ holderRpmMax: null }) })).toBe('not judged');
  });
  it('feed ceiling', () => {
    expect(grade('FEED', { feeds: [5000] })).toBe('good');
    expect(grade('FEED', { feeds: [5001] })).toBe('question');
  });
  it('asks for an assembly where none is tied', () =>
    expect(grade('NO_ASSEMBLY', { assembly: null })).toBe('question'));
});

it('cycleMinutes keeps the three parts apart, unknown stays unknown', () => {
  expect(cycleMinutes(600, 5000, 3, { rapidMmMin: 20000, toolChangeS: 5 })).toEqual({
    cutting: 10,
    rapid: 0.25,
    changes: 0.25,
  });
  expect(cycleMinutes(600, 5000, 3, { rapidMmMin: null, toolChangeS: null })).toEqual({
    cutting: 10,
    rapid: null,
    changes: null,
  });
});
