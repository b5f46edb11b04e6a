import type { JSONSchema } from 'json-schema-to-ts';
import { PART_KINDS } from '@/core/assemblies';
import { FAMILY_NAMES, geometry, GEOMETRY_SYMBOLS, type CutterGeometry } from '@/core/cutters';
import { LIMITS } from '@/core/limits';

/** A computation that a screen shows, callable by itself: JSON in, JSON out, nothing written. */
export interface Computation {
  path: string;
  summary: string;
  schema: JSONSchema & object;
  run(input: unknown): unknown;
}

/** The input's type is the core's own; the schema says the same at the door (deriving it here is too deep for the compiler). */
export function computation<I>(
  path: string,
  summary: string,
  schema: JSONSchema & object,
  run: (input: I) => unknown,
): Computation {
  // What comes was checked against the schema, which is that of I.
  return { path, summary, schema, run: run as Computation['run'] };
}

export const number = { type: 'number', minimum: -1e6, maximum: 1e6 } as const;
export const positive = { type: 'number', exclusiveMinimum: 0, maximum: 1e6 } as const;
export const orNull = { type: ['number', 'null'], minimum: -1e6, maximum: 1e6 } as const;
/** How many, and how much, where nothing less is said. */
export const count = { type: 'integer', minimum: 0, maximum: 1_000_000_000 } as const;
export const amount = { type: 'number', minimum: 0, maximum: 1e9 } as const;
/** Minutes in the cut, speeds (m/min or ft/min) and sums of money that something is divided by, as they are met in a shop. */
export const minutes = { type: 'number', minimum: 0.001, maximum: 1e7 } as const;
export const speed = { type: 'number', minimum: 0.01, maximum: 1e5 } as const;
export const money = { type: 'number', minimum: 0.001, maximum: 1e9 } as const;
/** The exponent n of Taylor's law. */
export const exponent = { type: 'number', minimum: 0.02, maximum: 2 } as const;
export const text = { type: 'string', maxLength: 200 } as const;
export const textOrNull = { type: ['string', 'null'], maxLength: 200 } as const;
export const shape = <
  const P extends Record<string, JSONSchema>,
  const R extends readonly (keyof P & string)[],
>(
  properties: P,
  required: R,
) => ({ type: 'object', properties, required, additionalProperties: false }) as const;
export const list = <const I extends JSONSchema>(items: I, most: number = LIMITS.listItems.most) =>
  ({ type: 'array', items, maxItems: most }) as const;

/** A cutter by symbol; what is left out is not known. */
export const cutter = {
  type: 'object',
  properties: {
    family: { enum: FAMILY_NAMES },
    ...Object.fromEntries(GEOMETRY_SYMBOLS.map((s) => [s, s === 'DC' ? positive : orNull])),
  },
  required: ['family', 'DC'],
  additionalProperties: false,
} as const satisfies JSONSchema;
/** The geometry of a cutter as it came through the door. */
export const whole = (c: CutterGeometry): CutterGeometry => geometry(c.family, c);
export const holder = shape(
  {
    LF: positive,
    CLAMP_MIN: orNull,
    CLAMP_MAX: orNull,
    GRIP_MIN: orNull,
    DEPTH_MAX: orNull,
    RPM_MAX: orNull,
    segments: list(
      shape({ length: positive, upper: positive, lower: positive }, ['length', 'upper', 'lower']),
    ),
  },
  ['LF', 'CLAMP_MIN', 'CLAMP_MAX', 'GRIP_MIN', 'DEPTH_MAX', 'RPM_MAX', 'segments'],
);
export const yesNo = { type: ['boolean', 'null'] } as const;
/** What is between holder and cutter, or beside them; each fact null where it is not known. */
const heldFacts = {
  code: text,
  CCMS: textOrNull,
  CCWS: textOrNull,
  CLAMPING: textOrNull,
  SHANKS: textOrNull,
  MOUNTS: textOrNull,
  COLLET: textOrNull,
  CSP: yesNo,
  WT: orNull,
  TORQUE: orNull,
} as const;
const segments = list(
  shape({ length: positive, upper: positive, lower: positive }, ['length', 'upper', 'lower']),
);
export const parts = list(
  shape(
    {
      kind: { enum: PART_KINDS },
      setOut: orNull,
      ...heldFacts,
      DMM: orNull,
      OAL: orNull,
      LPR: orNull,
      CLAMP_MIN: orNull,
      CLAMP_MAX: orNull,
      GRIP_MIN: orNull,
      DEPTH_MAX: orNull,
      RPM_MAX: orNull,
      segments,
    },
    ['kind', 'code', 'segments'],
  ),
  12,
);
export const cutterDetails = shape(
  {
    SHANK: textOrNull,
    DCB: orNull,
    MOUNT: textOrNull,
    LPR: orNull,
    CCMS: textOrNull,
    CSP: yesNo,
    SUBSTRATE: textOrNull,
    WT: orNull,
    RPM_MAX: orNull,
  },
  [],
);
export const details = shape(
  {
    cutter: cutterDetails,
    holder: shape(heldFacts, ['code']),
  },
  ['cutter', 'holder'],
);
export const buildOf = { cutter, holder, stickout: positive, parts, details } as const;
export const life = shape(
  {
    minutes: { type: 'number', minimum: 0, maximum: 1e7 },
    failed: { type: 'boolean' },
    running: { type: 'boolean' },
  },
  ['minutes', 'failed'],
);
export const assumed = {
  anyOf: [
    shape(
      {
        minutes,
        origin: text,
        guess: { type: 'boolean' },
        countsAs: { type: 'number', minimum: 0.1, maximum: 1000 },
        learntFrom: count,
      },
      ['minutes', 'origin'],
    ),
    { type: 'null' },
  ],
} as const;
export const day = { type: 'string', format: 'date' } as const;
