import { readFileSync } from 'node:fs';
import { COMPUTATIONS } from '@/crib/computations';
import { validate } from '@/crib/door';

/**
 * The reference cases that the core's own tests hold in full (R survival, scipy, mpmath; Miller 1981, Freireich 1963, Nelson
 * 1982, Groover from memory) once more as somebody sends them to the API.
 */
interface Case {
  id: string;
  [name: string]: unknown;
}
const casesOf = (file: string): Case[] =>
  (JSON.parse(readFileSync(`src/core/life/reference/${file}.json`, 'utf8')) as { cases: Case[] }).cases;
const sent = (path: string, input: unknown): Record<string, unknown> => {
  const computation = COMPUTATIONS.find((c) => c.path === path)!;
  validate(computation.schema, input);
  return JSON.parse(JSON.stringify(computation.run(input))) as Record<string, unknown>;
};
const near = (got: unknown, want: unknown, rel = 1e-6) => {
  if (want === null || want === undefined) return expect(got ?? null).toBeNull();
  expect(Math.abs(Number(got) / Number(want) - 1)).toBeLessThan(rel);
};
const at = (of: unknown, ...path: (string | number)[]): unknown =>
  path.reduce<unknown>((o, k) => (o as Record<string | number, unknown> | null)?.[k] ?? null, of);
const livesOf = (c: Case, group?: string) =>
  (c.time as number[]).flatMap((minutes, i) =>
    group === undefined || at(c.group, i) === group ? [{ minutes, failed: at(c.status, i) === 1 }] : [],
  );

it.each(casesOf('survival').map((c) => [c.id, c] as const))('survival: %s', (_, c) => {
  if (c.id === 'edge_negative_time')
    return expect(() => sent('life/survival', { lives: livesOf(c) })).toThrow(/lives/);
  const got = sent('life/survival', { lives: livesOf(c) });
  if (c.weibull) {
    near(at(got, 'weibull', 'shape'), at(c.weibull, 'shape'));
    near(at(got, 'weibull', 'scale'), at(c.weibull, 'scale'));
    near(at(got, 'weibull', 'shapeInterval', 1), at(c.weibull, 'shape_ci_lr', 1), 1e-4);
  }
  if (c.exponential) near(at(got, 'byChance', 'mean'), at(c.exponential, 'mean'));
  if (!c.logrank) return;
  const [first, second] = [...new Set(c.group as string[])];
  const compared = sent('life/compare', { first: livesOf(c, first), second: livesOf(c, second) });
  if (at(c.logrank, 'chisq') === 0) expect(compared.chiSquare).toBeCloseTo(0, 7);
  else near(compared.chiSquare, at(c.logrank, 'chisq'));
});

it.each(casesOf('age_replacement').map((c) => [c.id, c] as const))('change by cost: %s', (_, c) => {
  const of = (name: string) => at(c.input, name);
  const got = sent('life/change', {
    ...{ shape: of('beta'), scale: of('eta'), planned: of('C_p'), failure: of('C_f'), at: of('at_T') },
  });
  near(got.minutes, at(c.expected, 'T_opt'), 1e-4);
  (at(c.expected, 'cost_rate_at_T') as number[]).forEach((g, i) => near(at(got.costs, i), g, 1e-7));
});

it.each(casesOf('wear').map((c) => [c.id, c] as const))('wear: %s', (_, c) => {
  const readings = (at(c.input, 't') as number[]).map((minutes, i) => ({
    minutes,
    wearMm: at(c.input, 'VB', i),
  }));
  const got = sent('life/wear', { readings, criterion: at(c.input, 'criterion') });
  near(at(got.crossing, 'minutes'), at(c.expected, 't_cross'), 1e-8);
  near(at(got.crossing, 'ofAReading', 0), at(c.expected, 'pred_ci95', 0));
  near(at(got.crossing, 'cautious'), at(c.expected, 'pred_lower95_one_sided'));
});

it.each(
  casesOf('taylor')
    .filter((c) => c.id !== 'extended_feed' && at(c.input, 'T_min', 0) !== null)
    .map((c) => [c.id, c] as const),
)('Taylor: %s', (_, c) => {
  const lives = (at(c.input, 'V') as number[]).map((speed, i) => ({
    speed,
    minutes: at(c.input, 'T_min', i),
  }));
  if (at(c.expected, 'n') === null)
    return expect(() => sent('life/taylor', { lives, at: [] })).toThrow(/lives|speeds/);
  near(sent('life/taylor', { lives, at: [] }).n, at(c.expected, 'n'), 1e-8);
});
