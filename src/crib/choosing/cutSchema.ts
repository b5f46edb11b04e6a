import type { FromSchema } from 'json-schema-to-ts';
import { FEATURE_NAMES, GROUPS } from '@/core/choosing';
import { field } from '@/crib/door';

/** A cut as it is described; only what is said bounds the choice. */
export const CUT_SCHEMA = {
  type: 'object',
  properties: {
    feature: field.choice(FEATURE_NAMES),
    group: field.choice(GROUPS),
    depth: field.length(0.01, 1000, 'Depth to be reached.'),
    passDepth: field.length(0.01, 1000, 'Depth of one pass.'),
    width: field.length(0.1, 1000, 'Slot width.'),
    corner: field.length(0.05, 500, 'Smallest inside corner, radius.'),
    floorRadius: field.length(0, 250, 'Radius between wall and floor.'),
    draft: field.decimal(0, 45, 'Degrees a side.'),
    diameter: field.length(0.1, 500, 'Hole or chamfer diameter.'),
    cls: field.words(8),
    thread: field.words(24),
    angle: field.decimal(20, 180, 'Included angle of a chamfer.'),
    clearance: field.length(0.1, 1000, 'Free way beside the wall.'),
    plunge: field.choice(['yes', 'no']),
    stock: field.length(0, 500, 'Stock to be taken off the wall.'),
  },
  required: ['feature'],
  additionalProperties: false,
} as const;
export type CutInput = FromSchema<typeof CUT_SCHEMA>;
