import reference from './reference/speeds.json';
import { cuttingSpeed, feedPerTooth, fromFeet, tableFeed, turnsFor } from './index';

/** Worked values in full precision (mpmath), shop formulas of any machining text: reference/speeds.json. */
const near = (got: number, want: number) =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(
    Math.max(reference.tol.abs, reference.tol.rel * Math.abs(want)),
  );
const CASES: readonly { id: string; input: object; expected: object }[] = reference.cases;
const listsOf = (of: object): Record<string, number[]> => Object.fromEntries(Object.entries(of));
const caseOf = (id: string) => {
  const found = CASES.find((c) => c.id === id);
  if (!found) throw new Error(`no case ${id}`);
  return { input: listsOf(found.input), expected: listsOf(found.expected) };
};
const each = (id: string) => {
  const { input, expected } = caseOf(id);
  const n = Object.values(input)[0]!.length;
  const at = (of: Record<string, number[]>, i: number) =>
    Object.fromEntries(Object.entries(of).map(([name, list]) => [name, list[i]!]));
  return Array.from({ length: n }, (_, i) => [at(input, i), at(expected, i)] as const);
};

it.each(each('rpm_metric'))('turns for a speed: %j', (i, e) => near(turnsFor(i.Vc_m_min!, i.D_mm!), e.rpm!));
it.each(each('rpm_inch'))('turns for feet a minute: %j', (i, e) =>
  near(turnsFor(fromFeet(i.v_ft_min!), i.D_in! * 25.4), e.rpm!),
);
it.each(each('surface_speed'))('speed of what turns: %j', (i, e) =>
  near(cuttingSpeed(i.rpm!, i.D_mm!), e.Vc_m_min!),
);
it.each(each('feed_and_removal'))('table feed: %j', (i, e) =>
  near(tableFeed(i.rpm!, i.teeth!, i.fz_mm!), e.vf_mm_min!),
);
it.each(each('feed_per_tooth'))('feed a tooth: %j', (i, e) =>
  near(feedPerTooth(i.vf_mm_min!, i.rpm!, i.teeth!), e.fz_mm!),
);
it('examples of the trade (common practice): 0.375 in at 225 ft/min; 3750 rev/min, 3 teeth, 62 in/min', () => {
  expect(turnsFor(fromFeet(225), 0.375 * 25.4)).toBeCloseTo(2292, 0);
  expect(feedPerTooth(62, 3750, 3)).toBeCloseTo(0.0055, 4);
});
