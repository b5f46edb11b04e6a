import {
  factsThatFollow,
  type FactSymbol,
  isSymbol,
  type ItemKind,
  type Origin,
  symbolSpec,
} from '@/core/cutters';
import { first, sure } from '@/core/sure';
import { parseDiameter, parseLength, parseNumber } from '@/core/units';
import { field, Problem, type ProblemPart } from '@/crib/door';
import { insertFactRows } from '@/data/catalogue';
import type { Connection } from '@/data/database';

/** One fact at the door: the value as typed and where it came from. */
const factSchema = {
  type: 'object',
  properties: {
    value: { type: ['string', 'number'], maxLength: 120, minimum: -1e6, maximum: 1e6 },
    origin: field.origin,
  },
  required: ['value', 'origin'],
  additionalProperties: false,
} as const;
/** Facts by symbol. Which symbols an item has depends on its kind and family, so the room checks them, not the schema. */
export const factsSchema = { type: 'object', maxProperties: 80, additionalProperties: factSchema } as const;

export interface Fact {
  symbol: FactSymbol;
  text: string;
  unit: 'mm' | 'inch' | 'deg' | '' | 'words';
  value: number | null;
  origin: Origin;
}

type Stated = Record<string, { value: string | number; origin: Origin } | undefined>;

/** One fact as typed, or what is wrong with it. Lengths keep their own unit and text; words are taken as they stand. */
export function readFact(symbol: FactSymbol, value: string | number, origin: Origin): Fact | ProblemPart {
  const spec = symbolSpec(symbol);
  const text = String(value).trim();
  const wrong = (limit: string, what: string): ProblemPart => ({
    field: `facts.${symbol}.value`,
    value,
    limit,
    detail: `${symbol} (${spec.words}): “${text}” is ${what}`,
  });
  if (spec.kind === 'length') {
    const length = symbol === 'DC' ? parseDiameter(text) : parseLength(text);
    return length
      ? { symbol, text: length.text, unit: length.unit, value: length.mm, origin }
      : wrong('a length', 'no length');
  }
  if (spec.kind === 'choice') {
    const options = spec.options ?? [];
    const option = options.find((o) => o.toLowerCase() === text.toLowerCase());
    return option
      ? { symbol, text: option, unit: 'words', value: null, origin }
      : wrong(options.join(', '), 'none of these');
  }
  if (spec.kind === 'words') return { symbol, text, unit: 'words', value: null, origin };
  const number = typeof value === 'number' ? value : parseNumber(text.replace(/\s*°$/, ''));
  if (number === null || !Number.isFinite(number)) return wrong('a number', 'no number');
  return { symbol, text, unit: spec.kind === 'degree' ? 'deg' : '', value: number, origin };
}

/** Reads facts as typed. A blank is no fact. Throws a Problem that names every one that can't be read or isn't asked for. */
export function readFacts(stated: Stated, asked: readonly FactSymbol[]): Fact[] {
  const facts: Fact[] = [];
  const parts: ProblemPart[] = [];
  for (const [symbol, fact] of Object.entries(stated)) {
    if (!fact || String(fact.value).trim() === '') continue;
    if (!isSymbol(symbol) || !asked.includes(symbol)) {
      parts.push({
        field: `facts.${symbol}`,
        value: fact.value,
        limit: asked.join(', '),
        detail: `${symbol} is not a fact of such an item`,
      });
      continue;
    }
    const read = readFact(symbol, fact.value, fact.origin);
    if ('symbol' in read) facts.push(read);
    else parts.push(read);
  }
  if (parts.length)
    throw new Problem('INVALID_INPUT', first(parts).detail, {
      parts,
      wayOut: 'Correct it, or leave it blank: blank is ‘not known’.',
    });
  return facts;
}

/** Facts that follow from a thread or an insert's code, with the origin of that one. */
export function withFollowing(kind: ItemKind, facts: readonly Fact[]): Fact[] {
  const follow = factsThatFollow(kind, facts).map((f): Fact => {
    const spec = symbolSpec(f.symbol);
    return {
      symbol: f.symbol,
      text: f.text,
      unit: f.mm === null ? 'words' : spec.kind === 'length' ? 'mm' : '',
      value: f.mm,
      origin: sure(
        facts.find((x) => x.symbol === f.from),
        `${f.from}, which it was taken from`,
      ).origin,
    };
  });
  return [...facts, ...follow];
}

export async function insertFacts(
  c: Connection,
  entryId: number,
  itemId: number,
  facts: readonly Fact[],
): Promise<void> {
  if (facts.length)
    await insertFactRows(
      c,
      entryId,
      facts.map((f) => ({ ...f, itemId })),
    );
}

/** Faults of an item as problem parts, each at its own field. */
export const faultParts = (
  faults: readonly { field: string; value: number | string; limit: string; words: string }[],
): ProblemPart[] =>
  faults.map((f) => ({
    field: f.field.startsWith('segments') ? f.field.replaceAll('/', '.') : `facts.${f.field}.value`,
    value: f.value,
    limit: f.limit,
    detail: f.value === '' ? f.words : `${f.field} = ${f.value}: ${f.words} (${f.limit})`,
  }));

/** Faults of geometry as one Problem. */
export function refuseFaults(faults: Parameters<typeof faultParts>[0]): void {
  if (!faults.length) return;
  const parts = faultParts(faults);
  throw new Problem('INVALID_INPUT', first(parts).detail, {
    parts,
    wayOut: 'Check the figure and its unit against the thing in your hand.',
  });
}
