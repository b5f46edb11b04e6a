import Ajv2020, { type ErrorObject, type ValidateFunction } from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import type { JSONSchema } from 'json-schema-to-ts';
import { LIMITS } from '@/core/limits';
import { first } from '@/core/sure';
import { parseLength, parseNumber, thousandsOf } from '@/core/units';
import { Problem, type ProblemPart } from './problem';
import { checkShape } from './shape';

// No coercion: Ajv would turn null and false into 0. The number parser of the core reads text instead.
const ajv = new Ajv2020({ allErrors: true, strict: true, allowUnionTypes: true, verbose: true });
addFormats(ajv, ['uuid']);
/** Days and moments of a shop: of a year that a shop has, as a clock shows them (no 60th second). */
const DAY = String.raw`(?:19|2[0-9])\d{2}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])`;
const isDay = (text: string) => new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);
const DATE = new RegExp(`^${DAY}$`);
const MOMENT = new RegExp(
  String.raw`^(${DAY})T(?:[01]\d|2[0-3]):[0-5]\d:[0-5]\d(?:\.\d{1,9})?(?:Z|[+-](?:[01]\d|2[0-3]):[0-5]\d)$`,
  'i',
);
ajv.addFormat('date', (text: string) => DATE.test(text) && isDay(text));
ajv.addFormat('date-time', (text: string) => {
  const day = MOMENT.exec(text)?.[1];
  return day !== undefined && isDay(day);
});

interface Limits {
  min: number;
  max: number;
  whole?: boolean;
}
/** Whether a comma may part thousands as well: in a count always, else where the limits leave room for both readings. */
function readsTwoWays(data: string | number, value: number, limits: Limits): boolean {
  const number = typeof data === 'string' ? data.trim().replace(/[a-z″"].*$/is, '') : '';
  const thousands = thousandsOf(number);
  if (thousands === null) return false;
  // In the unit of the text: what a thousandfold of the value is in mm.
  return limits.whole === true || (value * 1000 >= limits.min && value * 1000 <= limits.max);
}
const withLimits = (keyword: string, read: (data: string | number) => number | null, unit: string) =>
  ajv.addKeyword({
    keyword,
    type: ['string', 'number'],
    errors: 'full',
    validate: function check(limits: Limits, data: string | number) {
      const value = read(data);
      const range = `${limits.min} to ${limits.max}${unit}${limits.whole ? ', whole' : ''}`;
      const message =
        value === null || !Number.isFinite(value)
          ? `is not ${unit ? 'a length' : 'a number'}`
          : readsTwoWays(data, value, limits)
            ? `can be read two ways: write ${String(data).replace(',', '')} or ${String(data).replace(',', '.')}`
            : limits.whole && !Number.isInteger(value)
              ? 'is not a whole number'
              : value < limits.min
                ? 'is too small'
                : value > limits.max
                  ? 'is too large'
                  : null;
      // Ajv takes the errors of a keyword of ours from the function itself.
      (check as { errors?: Partial<ErrorObject>[] }).errors = message
        ? [{ keyword, message, params: { limit: range } }]
        : [];
      return message === null;
    },
  });
withLimits('x-length', (d) => (typeof d === 'number' ? d : (parseLength(d)?.mm ?? null)), ' mm');
withLimits('x-decimal', (d) => (typeof d === 'number' ? d : parseNumber(d)), '');

const compiled = new WeakMap<object, ValidateFunction>();

/** Checks input against its schema once, at the door; inside it is trusted. Throws a Problem with every fault. */
export function validate(schema: JSONSchema & object, input: unknown): void {
  checkShape(schema, input);
  let check = compiled.get(schema);
  if (!check) compiled.set(schema, (check = ajv.compile(schema)));
  if (check(input)) return;
  const faults = withoutNone(check.errors ?? []);
  const parts = [...new Map(faults.map(part).map((p) => [p.field, p])).values()];
  const more = parts.length - LIMITS.faults.most;
  throw new Problem(
    'INVALID_INPUT',
    parts.length === 1
      ? first(parts).detail
      : `${parts.length} values are wrong${more > 0 ? `, the first ${LIMITS.faults.most} are named` : ''}`,
    {
      parts: parts.slice(0, LIMITS.faults.most),
      wayOut: 'Correct the values named and send again; nothing was written.',
    },
  );
}

const isNone = (schema: unknown): boolean =>
  typeof schema === 'object' && schema !== null && 'type' in schema && schema.type === 'null';

/**
 * Where something or none may stand, what is wrong with the something is said: neither that it is not none, nor that it fits
 * neither.
 */
function withoutNone(errors: readonly ErrorObject[]): ErrorObject[] {
  const orNone = errors.filter(
    (e) => e.keyword === 'anyOf' && Array.isArray(e.schema) && e.schema.some(isNone),
  );
  return errors.filter(
    (e) =>
      !orNone.includes(e) &&
      !(
        e.keyword === 'type' &&
        e.params.type === 'null' &&
        orNone.some((o) => o.instancePath === e.instancePath)
      ),
  );
}

/** How far a number may go, by what refused it. */
const BOUNDS: Readonly<Record<string, string>> = {
  minimum: 'at least',
  maximum: 'at most',
  exclusiveMinimum: 'above',
  exclusiveMaximum: 'below',
};

function part(e: ErrorObject): ProblemPart {
  const path = e.instancePath.slice(1).replaceAll('/', '.');
  const name = (key: string) => (path ? `${path}.${key}` : key);
  const shown = (v: unknown) =>
    typeof v === 'string' ? `“${v.slice(0, 40)}”` : JSON.stringify(v)?.slice(0, 40);
  if (e.keyword === 'required') {
    const field = name(String(e.params.missingProperty));
    return { field, value: null, limit: 'needed', detail: `${field} is needed` };
  }
  if (e.keyword === 'additionalProperties') {
    const field = name(String(e.params.additionalProperty));
    return { field, value: null, limit: 'not a field here', detail: `${field} is not a field here` };
  }
  const limit =
    e.keyword === 'enum'
      ? [e.params.allowedValues].flat().join(', ')
      : e.keyword === 'pattern'
        ? // Ajv has no type for the schema a fault stands in.
          ((e.parentSchema as { description?: string })?.description ?? 'not blank')
        : e.keyword === 'type'
          ? `a ${String(e.params.type).replace(',', ' or ')}`
          : e.keyword in BOUNDS
            ? `${BOUNDS[e.keyword]} ${String(e.params.limit)}`
            : String(e.params.limit ?? e.params.format ?? e.message ?? '');
  const said = e.keyword.startsWith('x-')
    ? (e.message ?? '')
    : e.keyword === 'minLength'
      ? 'is blank'
      : 'does not fit';
  return {
    field: path || null,
    value: e.data,
    limit,
    detail: `${path || 'the input'}: ${shown(e.data)} ${said} (${limit})`,
  };
}
