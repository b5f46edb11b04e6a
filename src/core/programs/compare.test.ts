import { compareTools, readProgram } from './index';

/** Two versions of one program, changed by hand; what differs follows from the text. */
const FIRST = `T3 M6
S2000 M3
G43 H3 G0 X0 Y0 Z10
G1 Z-8 F100
X50
T5 M6
S900 M3
G43 H5 G0 X0 Y0 Z10
G81 R2 Z-20 F90
X20
G80
T8 M6
M30`;
const tools = (text: string) => readProgram(text).tools;
const changed = (now: string) => compareTools(tools(FIRST), tools(now));

it('two readings of one text do not differ', () => expect(changed(FIRST)).toEqual([]));
it('nor do comments, blanks and the order of words', () =>
  expect(changed(FIRST.replace('X50', 'x 50 (side)').replace('S900 M3', 'M3 S900'))).toEqual([]));
it('a depth, a feed and what follows from them, of the one tool only', () => {
  const [one, ...more] = changed(FIRST.replace('G1 Z-8 F100', 'G1 Z-9 F200'));
  expect(more).toEqual([]);
  expect(one).toMatchObject({ t: 3, kind: 'changed' });
  expect(one!.changes).toEqual([
    // 68 mm at 100, then 69 mm at 200.
    { what: 'minutes', before: expect.closeTo(0.68, 9), now: expect.closeTo(0.345, 9) },
    { what: 'lowestFeedZ', before: -8, now: -9 },
    { what: 'highestFeed', before: 100, now: 200 },
  ]);
});
it('a hole less, a length of another register', () => {
  expect(changed(FIRST.replace('X20\n', '')).flatMap((c) => c.changes)).toContainEqual({
    what: 'holes',
    before: 2,
    now: 1,
  });
  expect(changed(FIRST.replace('H5', 'H6'))).toMatchObject([
    { t: 5, changes: [{ what: 'h', before: '5', now: '6' }] },
  ]);
});
it('tools that came and went, the new ones first', () =>
  expect(changed(FIRST.replace('T8 M6', 'T9 M6')).map((c) => [c.t, c.kind])).toEqual([
    [9, 'new'],
    [8, 'gone'],
  ]));
it('less than a post-processor rounds is none', () =>
  expect(changed(FIRST.replace('Z-8 ', 'Z-8.0004 '))).toEqual([]));

it('what a report of an earlier version does not say has not changed', () => {
  const early = tools(FIRST).map((tool) => ({
    ...tool,
    ...{ highest_spindle: null, deepest_hole_mm: null, highest_feed_mm_min: null },
  }));
  expect(compareTools(early, tools(FIRST))).toEqual([]);
  // What it does say is compared.
  const faster = tools(FIRST.replace('S900', 'S950'));
  expect(compareTools(early, faster)).toEqual([
    { t: 5, kind: 'changed', changes: [{ what: 'highestSpindle', before: 900, now: 950 }] },
  ]);
});
