import type { JSONSchema } from 'json-schema-to-ts';
import { LIMITS, mostOf } from '@/core/limits';
import { Problem } from './problem';

/** No text that people write holds one: a NUL, or half of a pair that stands for one letter. Neither can be kept. */
const NO_TEXT = /[\0\p{Cs}]/u;

/**
 * Checks how large an input is before it is looked at by its schema: how deep it goes, how many values it has, lists no
 * longer than the longest its schema knows, and texts that are texts. Linear, and it ends at the first fault: what a
 * million entries are wrong about is not said a million times. Throws a Problem.
 */
export function checkShape(schema: JSONSchema & object, input: unknown): void {
  // A short list where none belongs is the schema's own to refuse, in its words.
  const longest = Math.max(50, longestList(schema));
  let values = 0;
  const open: { value: unknown; depth: number; path: string }[] = [{ value: input, depth: 0, path: '' }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth, path } = next;
    values += 1;
    if (values > LIMITS.jsonValues.most)
      throw tooLarge(path, 'There are too many values', mostOf('jsonValues'));
    if (typeof value === 'string') {
      if (NO_TEXT.test(value)) throw noText(path);
      continue;
    }
    if (value === null || typeof value !== 'object') continue;
    if (depth >= LIMITS.jsonDepth.most)
      throw tooLarge(path, 'Lists and objects lie too deep within each other', mostOf('jsonDepth'));
    if (Array.isArray(value)) {
      if (value.length > longest)
        throw tooLarge(path, `${path || 'the input'}: ${value.length} entries`, `at most ${longest} entries`);
      value.forEach((v: unknown, i) => open.push({ value: v, depth: depth + 1, path: `${path}.${i}` }));
    } else
      for (const [name, v] of Object.entries(value)) {
        if (NO_TEXT.test(name)) throw noText(path);
        open.push({ value: v, depth: depth + 1, path: path ? `${path}.${name}` : name });
      }
  }
}

const tooLarge = (path: string, detail: string, limit: string) =>
  new Problem('TOO_LARGE', detail, {
    field: path.slice(0, 80) || 'body',
    limit,
    wayOut: 'Send less at once; nothing was written.',
  });
const noText = (path: string) =>
  new Problem('INVALID_INPUT', `${path.slice(0, 80) || 'the input'}: holds a character that can’t be kept`, {
    field: path.slice(0, 80) || 'body',
    limit: 'text without NUL and without halves of a surrogate pair',
    wayOut: 'Type it anew, or send it as UTF-8.',
  });

const known = new WeakMap<object, number>();
/** The longest list that any part of a schema lets in. */
function longestList(schema: object): number {
  let most = known.get(schema);
  if (most !== undefined) return most;
  most = 0;
  for (const value of Object.values(schema))
    if (typeof value === 'object' && value !== null) most = Math.max(most, longestList(value));
  if ('maxItems' in schema && typeof schema.maxItems === 'number') most = Math.max(most, schema.maxItems);
  known.set(schema, most);
  return most;
}

/** Bytes that a body checked by this schema may have: the general limit, or what its longest text takes. */
export function bodyBytes(schema: object): number {
  return Math.max(LIMITS.bodyBytes.most, Math.ceil(longestText(schema) * 1.25));
}
function longestText(schema: object): number {
  const own = 'maxLength' in schema && typeof schema.maxLength === 'number' ? schema.maxLength : 0;
  return Object.values(schema).reduce<number>(
    (most, value) =>
      typeof value === 'object' && value !== null ? Math.max(most, longestText(value)) : most,
    own,
  );
}
