import { type FactSymbol, isSymbol, SYMBOLS } from '@/core/cutters';
import { namesOf } from '@/core/names';

/** Columns that are no facts, by their header; the rest are symbols and their '.origin'. */
export const PLAIN_COLUMNS = [
  'code',
  'kind',
  'family',
  'maker',
  'segments',
  'supplier',
  'order_code',
  'price',
  'pack',
  'minimum',
  'life_minutes',
  'life_origin',
  'standing',
  'standing_reason',
  'links',
] as const;
/** Written out for people to read, not read back: stock is counted, not imported. */
const TOLD_ONLY = ['unused', 'places', 'words'];

/** What a column means: a plain column, a symbol in a unit, its origin, or nothing. */
export type Meaning =
  | { plain: (typeof PLAIN_COLUMNS)[number] }
  | { symbol: FactSymbol; unit: 'mm' | 'in' | null }
  | { originOf: FactSymbol }
  | { ignored: true };

const WORDS = new Map<string, FactSymbol>(namesOf(SYMBOLS).map((s) => [SYMBOLS[s].words.toLowerCase(), s]));

/**
 * What a header means, null where people must say. 'DC', 'dc [inch]', 'Cutting diameter (mm)', 'DC.origin', 'order_code'.
 * `mapping` holds what people said of other headers: a symbol or plain column, or null for 'leave it out'.
 */
export function meaningOf(
  header: string,
  mapping: ReadonlyMap<string, string | null> = new Map(),
): Meaning | null {
  const h = header.trim();
  const mapped = mapping.get(h);
  if (mapped === null) return { ignored: true };
  const named = mapped ?? h;
  const unit = /[[(]\s*(mm|in|inch|inches|")\s*[\])]\s*$/i.exec(h);
  const bare = named.replace(/\s*[[(]\s*(mm|in|inch|inches|")\s*[\])]\s*$/i, '').trim();
  const low = bare.toLowerCase().replace(/[\s-]+/g, '_');
  const plain = PLAIN_COLUMNS.find((p) => p === low);
  if (plain) return { plain };
  if (TOLD_ONLY.includes(low)) return { ignored: true };
  const origin = /^(\w+)\.origin$/i.exec(bare);
  const of = origin?.[1]?.toUpperCase() ?? '';
  if (isSymbol(of)) return { originOf: of };
  const upper = bare.toUpperCase();
  const symbol = isSymbol(upper) ? upper : WORDS.get(bare.toLowerCase());
  if (!symbol) return null;
  return { symbol, unit: unit ? (unit[1]?.toLowerCase() === 'mm' ? 'mm' : 'in') : null };
}
