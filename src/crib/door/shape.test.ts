import type { JSONSchema } from 'json-schema-to-ts';
import { readFileSync } from 'node:fs';
import { LIMITS } from '@/core/limits';
import { COMPUTATIONS } from '../computations';
import { VERBS } from '../verbs';
import { bodyBytes, field, type Problem, validate } from './index';

type Node = Record<string, unknown>;
const schemas = [
  ...VERBS.map((v) => [v.name, v.schema] as const),
  ...COMPUTATIONS.map((c) => [c.path, c.schema] as const),
];

/** Parts of a schema that set no limit to what a stranger may send. */
function boundless(node: unknown, path: string): string[] {
  if (node === null || typeof node !== 'object') return [];
  const s = node as Node;
  const is = (type: string) => [s.type].flat().includes(type);
  const own = [
    ...(is('array') && s.maxItems === undefined ? ['a list without an end'] : []),
    ...(is('integer') && !s['x-decimal'] && (s.maximum === undefined || s.minimum === undefined)
      ? ['a whole number without limits']
      : []),
    ...(is('number') && !s['x-length'] && !s['x-decimal'] && s.maximum === undefined
      ? ['a number without a limit']
      : []),
    ...(is('object') && s.additionalProperties !== false && s.maxProperties === undefined
      ? ['an object of any size']
      : []),
  ];
  return [
    ...own.map((o) => `${path}: ${o}`),
    ...Object.entries(s).flatMap(([name, value]) => boundless(value, `${path}.${name}`)),
  ];
}
it.each(schemas)('%s takes nothing without a limit', (name, schema) =>
  expect(boundless(schema, name)).toEqual([]),
);

it('no body is larger than what the server lets in at all', () => {
  // The gate runs with Node alone, so that it has the figure of its own.
  const said = /NO_BODY_BYTES = ([\d_]+)/.exec(readFileSync('scripts/guard.mjs', 'utf8'))?.[1];
  const largest = Math.max(...schemas.map(([, schema]) => bodyBytes(schema)));
  expect(largest).toBeLessThanOrEqual(Number(said?.replaceAll('_', '')));
  expect(largest).toBeGreaterThanOrEqual((LIMITS.listBytes.most * 4) / 3);
});
it('what the gate lets through to the reader of programs is what it reads', () => {
  const said = /'\/api\/v1\/programs\/read', ([\d_]+)/.exec(readFileSync('scripts/guard.mjs', 'utf8'))?.[1];
  expect(Number(said?.replaceAll('_', ''))).toBe(LIMITS.programBytes.most);
});

const problemOf = (schema: JSONSchema & object, input: unknown): Problem | null => {
  try {
    validate(schema, input);
    return null;
  } catch (error) {
    return error as Problem;
  }
};
const note = {
  type: 'object',
  properties: {
    note: { type: 'string', maxLength: 2000 },
    lines: {
      type: 'array',
      maxItems: 60,
      items: { type: 'object', properties: { n: { type: 'integer' } }, required: ['n'] },
    },
    at: { type: 'string', format: 'date-time' },
    day: field.day,
    id: field.number,
  },
} as const;

describe('what is too large, or no text, is refused by what it is, before its schema looks at it', () => {
  const nested = (depth: number) => JSON.parse('['.repeat(depth) + ']'.repeat(depth)) as unknown;
  it.each<[string, unknown, string, string | null]>([
    ['a NUL', { note: 'a\0b' }, 'INVALID_INPUT', 'note'],
    ['half of a surrogate pair', { note: 'a\ud800b' }, 'INVALID_INPUT', 'note'],
    ['the other half', { note: '\udc00' }, 'INVALID_INPUT', 'note'],
    ['a NUL in a name', { 'a\0': 1 }, 'INVALID_INPUT', 'body'],
    ['a million lines', { lines: Array.from({ length: 1_000_000 }, () => ({})) }, 'TOO_LARGE', 'lines'],
    [
      'too many small lists',
      Array.from({ length: 40 }, () => Array.from({ length: 50 }, () => Array.from({ length: 60 }, () => 0))),
      'TOO_LARGE',
      null,
    ],
    ['lists in lists', nested(100_000), 'TOO_LARGE', null],
    ['the 60th second', { at: '2027-01-12T09:00:60Z' }, 'INVALID_INPUT', 'at'],
    ['the year 0', { at: '0000-01-12T09:00:00Z' }, 'INVALID_INPUT', 'at'],
    ['the year 0 of a day', { day: '0000-01-12' }, 'INVALID_INPUT', 'day'],
    ['no such day', { day: '2027-02-29' }, 'INVALID_INPUT', 'day'],
    ['no such day of a moment', { at: '2027-02-29T00:00:00Z' }, 'INVALID_INPUT', 'at'],
    ['a moment without a zone', { at: '2027-01-12T09:00:00' }, 'INVALID_INPUT', 'at'],
    ['1e308 where a number of the books is due', { id: 1e308 }, 'INVALID_INPUT', 'id'],
    ['past what the books count to', { id: 2 ** 31 }, 'INVALID_INPUT', 'id'],
  ])('%s', (_, input, code, at) => {
    const problem = problemOf(note, input);
    expect(problem?.code).toBe(code);
    if (at !== null) expect(problem?.parts[0]?.field).toBe(at);
    expect(JSON.stringify(problem?.document()).length).toBeLessThan(2000);
  });
  // Unicode 15: a pair of surrogates is one letter, and letters of any script are texts. RFC 3339: an offset, a fraction.
  it.each([
    { note: 'Ø 12 h7, Ra 0,8 µm — 刀具 🔧' },
    { at: '2027-01-12T09:00:59.999+05:30' },
    { at: '2028-02-29T23:59:59Z' },
    { day: '2028-02-29' },
    { id: 2 ** 31 - 1 },
  ])('%j is taken', (input) => expect(problemOf(note, input)).toBeNull());
});

it('a refusal names so many faults and says how many there are', () => {
  const problem = problemOf(note, { lines: Array.from({ length: 60 }, () => ({ n: 'x' })) });
  expect(problem?.parts).toHaveLength(LIMITS.faults.most);
  expect(problem?.message).toBe('60 values are wrong, the first 20 are named');
});
