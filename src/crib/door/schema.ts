import type { JSONSchema } from 'json-schema-to-ts';
import { ORIGINS } from '@/core/cutters';
import { LIMITS } from '@/core/limits';

/** Parts of the JSON Schemas that check input at the door, type the code and feed the OpenAPI document. */

/** A length as typed: '12.5', '1/4 in', '0.201 inch', or a number of millimetres; limits in mm. */
export const length = <const Min extends number, const Max extends number>(
  min: Min,
  max: Max,
  description = '',
) =>
  ({
    type: ['string', 'number'],
    'x-length': { min, max },
    description: `${description} Length: a number is mm; text may name its unit ('1/4 in').`.trim(),
  }) as const;

/** A plain number as typed or as JSON number. */
export const decimal = <const Min extends number, const Max extends number>(
  min: Min,
  max: Max,
  description = '',
) => ({ type: ['string', 'number'], 'x-decimal': { min, max }, description }) as const;

export const whole = <const Min extends number, const Max extends number>(min: Min, max: Max) =>
  ({ type: ['string', 'integer'], 'x-decimal': { min, max, whole: true } }) as const;

/** The number of an entry, an operation, a measurement: as the books count them. */
export const number = { type: 'integer', minimum: 1, maximum: 2_147_483_647 } as const;

export const words = (max = 80) =>
  ({ type: 'string', minLength: 1, maxLength: max, pattern: '\\S' }) as const;
export const initials = {
  type: 'string',
  pattern: '^[A-Z]{2,4}$',
  description: 'two to four capital letters',
} as const;
export const code = {
  type: 'string',
  pattern: '^[A-Za-z0-9][A-Za-z0-9./-]{0,23}$',
  description: 'Letters, digits, . / and -',
} as const;
export const day = { type: 'string', format: 'date' } as const;
export const origin = { enum: ORIGINS } as const;
export const choice = <const T extends string>(values: readonly T[]) => ({ enum: values }) as const;
export const cents = {
  type: 'integer',
  minimum: 0,
  maximum: 100_000_000,
  description: 'Integer cents of the shop currency',
} as const;

/** What every write carries beside its own fields. */
export const ENVELOPE = {
  who: { type: 'string', pattern: '^[A-Z]{2,4}$', description: 'Initials of who did it' },
  formId: {
    type: 'string',
    format: 'uuid',
    description: 'Recorded once: sending it again gives the first answer',
  },
  happenedAt: {
    type: 'string',
    format: 'date-time',
    description: 'When it happened; now when left out, never in the future',
  },
  note: { type: 'string', maxLength: LIMITS.notes.most },
} as const satisfies Record<string, JSONSchema>;
