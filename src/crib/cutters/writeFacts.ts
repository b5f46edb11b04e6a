import { CUTTER_SYMBOLS, HOLDER_SYMBOLS, type Origin } from '@/core/cutters';
import { parseLength, parseNumber } from '@/core/units';
import { Problem, field } from '@/crib/door';
import { insert, type Connection } from '@/data/database';

/** One fact at the door: the value as typed and where it came from. */
export const factSchema = {
  type: 'object',
  properties: { value: { type: ['string', 'number'] }, origin: field.origin },
  required: ['value', 'origin'],
  additionalProperties: false,
} as const;

export interface Fact {
  symbol: string;
  text: string;
  unit: 'mm' | 'inch' | 'deg' | '';
  value: number;
  origin: Origin;
}

type Stated = Record<string, { value: string | number; origin: Origin } | undefined>;

/** Reads facts as typed. A blank is no fact. Throws a Problem that names every symbol that can't be read. */
export function readFacts(stated: Stated, symbols: typeof CUTTER_SYMBOLS | typeof HOLDER_SYMBOLS): Fact[] {
  const kinds = symbols as Record<string, { words: string; kind: 'length' | 'degree' | 'count' }>;
  const facts: Fact[] = [];
  const parts = [];
  for (const [symbol, fact] of Object.entries(stated)) {
    if (!fact || String(fact.value).trim() === '') continue;
    const kind = kinds[symbol]!.kind;
    const length =
      kind === 'length'
        ? typeof fact.value === 'number'
          ? parseLength(String(fact.value))
          : parseLength(fact.value)
        : null;
    const number =
      kind === 'length'
        ? null
        : typeof fact.value === 'number'
          ? fact.value
          : parseNumber(fact.value.replace(/\s*°$/, ''));
    if (length)
      facts.push({ symbol, text: length.text, unit: length.unit, value: length.mm, origin: fact.origin });
    else if (number !== null)
      facts.push({
        symbol,
        text: String(fact.value).trim(),
        unit: kind === 'degree' ? 'deg' : '',
        value: number,
        origin: fact.origin,
      });
    else
      parts.push({
        field: `facts.${symbol}.value`,
        value: fact.value,
        limit: kind === 'length' ? 'a length' : 'a number',
        detail: `${symbol} (${kinds[symbol]!.words}): “${fact.value}” is no ${kind === 'length' ? 'length' : 'number'}`,
      });
  }
  if (parts.length)
    throw new Problem('INVALID_INPUT', parts[0]!.detail, {
      parts,
      wayOut: 'Correct it, or leave it blank: blank is ‘not known’.',
    });
  return facts;
}

export async function insertFacts(
  c: Connection,
  entryId: number,
  itemId: number,
  facts: readonly Fact[],
): Promise<void> {
  for (const f of facts)
    await insert(c, 'fact', {
      entry_id: entryId,
      item_id: itemId,
      symbol: f.symbol,
      text: f.text,
      unit: f.unit,
      value: f.value,
      origin: f.origin,
    });
}

/** Faults of geometry as one Problem, each at its own field. */
export function refuseFaults(
  faults: readonly { field: string; value: number; limit: string; words: string }[],
): void {
  if (!faults.length) return;
  const parts = faults.map((f) => ({
    field: f.field.startsWith('segments') ? f.field.replaceAll('/', '.') : `facts.${f.field}.value`,
    value: f.value,
    limit: f.limit,
    detail: `${f.field} = ${f.value}: ${f.words} (${f.limit})`,
  }));
  throw new Problem('INVALID_INPUT', parts[0]!.detail, {
    parts,
    wayOut: 'Check the figure and its unit against the cutter in your hand.',
  });
}
