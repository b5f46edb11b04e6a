import { parseNumber } from '@/core/units';
import { DWELLS, type MachineMotion, POINTS, READ_DEFAULTS, type ReadOptions } from '@/core/programs';
import { Problem } from '@/crib/door';

/** How a program that is only read is asked about, as the API document says it too. */
export const READ_QUERY = [
  { name: 'z_limit_mm', schema: { type: 'number' }, description: 'Work Z below which moves are warned of' },
  {
    name: 'block_delete',
    schema: { type: 'boolean' },
    description: 'true leaves out blocks that begin with /',
  },
  {
    name: 'without_point',
    schema: { enum: [...POINTS, 'not known'] },
    description: 'How the control takes a number without a point; as written where it is left out',
  },
  {
    name: 'dwell',
    schema: { enum: DWELLS },
    description: 'What the P of a dwell is in; seconds where it is left out',
  },
  {
    name: 'peck_clearance_mm',
    schema: { type: 'number', minimum: 0, maximum: 50 },
    description:
      'How far above the depth reached a pecking cycle stops its rapid back; 0 where it is left out',
  },
  { name: 'd_equals_t', schema: { type: 'boolean' }, description: 'true compares D with the tool as H is' },
  {
    name: 'rapid_mm_min',
    schema: { type: 'number', exclusiveMinimum: 0, maximum: 1_000_000 },
    description: 'Rate of rapids, for run_s; asked with acceleration_mm_s2 and corner_mm',
  },
  {
    name: 'acceleration_mm_s2',
    schema: { type: 'number', exclusiveMinimum: 0, maximum: 100_000 },
    description: 'What the axes gain and lose of speed: each tool then has run_s; asked with corner_mm',
  },
  {
    name: 'corner_mm',
    schema: { type: 'number', exclusiveMinimum: 0, maximum: 5 },
    description: 'How far the machine may stay away from a corner; asked with acceleration_mm_s2',
  },
] as const;

/** The options that a query names. Throws a Problem that names the field where one is wrong. */
export function readOptionsOf(query: URLSearchParams): ReadOptions {
  for (const name of query.keys())
    if (!READ_QUERY.some((known) => known.name === name))
      throw wrong(name, query.get(name) ?? '', `one of ${READ_QUERY.map((known) => known.name).join(', ')}`);
  const withoutPoint = oneOf(query, 'without_point', [...POINTS, 'not known'] as const) ?? 'as written';
  return {
    zLimitMm: numberOf(query, 'z_limit_mm', -1e6, 1e6),
    blockDelete: oneOf(query, 'block_delete', ['true', 'false']) === 'true',
    withoutPoint: withoutPoint === 'not known' ? null : withoutPoint,
    dwellUnit: oneOf(query, 'dwell', DWELLS) ?? READ_DEFAULTS.dwellUnit,
    peckClearanceMm: numberOf(query, 'peck_clearance_mm', 0, 50) ?? READ_DEFAULTS.peckClearanceMm,
    dEqualsT: oneOf(query, 'd_equals_t', ['true', 'false']) === 'true',
    motion: motionOf(query),
  };
}

/** How a machine moves, where that is asked for: acceleration and corners together. */
function motionOf(query: URLSearchParams): MachineMotion | null {
  const accelerationMmS2 = numberOf(query, 'acceleration_mm_s2', LEAST, 100_000);
  const cornerMm = numberOf(query, 'corner_mm', LEAST, 5);
  const rapidMmMin = numberOf(query, 'rapid_mm_min', LEAST, 1_000_000);
  if (accelerationMmS2 !== null && cornerMm !== null) return { rapidMmMin, accelerationMmS2, cornerMm };
  if (accelerationMmS2 === null && cornerMm === null && rapidMmMin === null) return null;
  const missing = accelerationMmS2 === null ? 'acceleration_mm_s2' : 'corner_mm';
  throw new Problem('INVALID_INPUT', `${missing} is needed with the other figures of how a machine moves`, {
    field: missing,
    value: null,
    limit: 'acceleration_mm_s2 and corner_mm together',
    wayOut: 'Ask by both, or by neither.',
  });
}
/** Above nothing. */
const LEAST = 1e-6;

const wrong = (field: string, value: string, limit: string) =>
  new Problem('INVALID_INPUT', `${field}: “${value.slice(0, 40)}” is none of these`, {
    field,
    value: value.slice(0, 40),
    limit,
    wayOut: 'Ask as /api/v1/openapi.json says.',
  });

function numberOf(query: URLSearchParams, field: string, least: number, most: number): number | null {
  const said = query.get(field);
  if (said === null) return null;
  const value = parseNumber(said);
  if (value === null || value < least || value > most)
    throw wrong(field, said, `a number from ${least} to ${most}`);
  return value;
}
function oneOf<T extends string>(query: URLSearchParams, field: string, all: readonly T[]): T | null {
  const said = query.get(field);
  if (said === null) return null;
  const found = all.find((one) => one === said);
  if (found === undefined) throw wrong(field, said, all.join(', '));
  return found;
}
