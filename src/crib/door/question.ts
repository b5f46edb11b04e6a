import type { JSONSchema } from 'json-schema-to-ts';
import { MOST_CHARACTERS, type Kind, type Question, type QuestionSpec } from '@/core/questions';
import { Problem } from './problem';
import { validate } from './validate';

const schemaOfKind = (kind: Kind): JSONSchema & object =>
  typeof kind !== 'string'
    ? { enum: kind }
    : kind === 'number'
      ? { type: 'string', pattern: '^[0-9]{1,9}$', description: 'a whole number' }
      : { type: 'string', maxLength: MOST_CHARACTERS[kind] };

const schemas = new WeakMap<QuestionSpec, JSONSchema & object>();
/** A question's schema, as the API's document and the door use it. */
export function questionSchema(spec: QuestionSpec): JSONSchema & object {
  const known = schemas.get(spec);
  if (known) return known;
  const schema = {
    type: 'object',
    properties: Object.fromEntries(Object.entries(spec).map(([name, kind]) => [name, schemaOfKind(kind)])),
    additionalProperties: false,
  } as const;
  schemas.set(spec, schema);
  return schema;
}

/**
 * A question out of an address, checked like a body. A blank is not asked. Throws a Problem where a name is not one that
 * can be asked, stands twice, or its value is none it can have; of a page's address other names are left alone.
 */
export function readQuestion<const S extends QuestionSpec>(
  spec: S,
  search: URLSearchParams,
  others: 'refused' | 'left alone' = 'refused',
): Question<S> {
  const said = new Map<string, string>();
  for (const [name, value] of search) {
    if (value === '' || (others === 'left alone' && !Object.hasOwn(spec, name))) continue;
    if (said.has(name))
      throw new Problem('INVALID_INPUT', `${name}: stands twice in the address`, {
        field: name,
        value,
        limit: 'once',
        wayOut: 'Ask for one of them.',
      });
    said.set(name, value);
  }
  // A name such as __proto__ becomes a plain property, and is refused like any other.
  validate(questionSchema(spec), Object.fromEntries(said));
  return Object.fromEntries(
    [...said].map(([name, value]) => [name, spec[name] === 'number' ? Number(value) : value]),
  ) as Question<S>;
}
