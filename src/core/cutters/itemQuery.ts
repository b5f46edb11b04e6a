import { namesOf } from '../names';
import { parseDiameter, parseNumber, type LengthUnit } from '../units';
import { isNumeric, SYMBOLS } from './symbols';

/** A symbol between two limits, each included unless it is open; mm where the symbol is a length. */
export interface SymbolRange {
  symbol: string;
  min: number;
  max: number;
  minOpen: boolean;
  maxOpen: boolean;
}

interface ItemQuery {
  /** Lower-case words, all of which must be found. */
  words: string[];
  ranges: SymbolRange[];
}

const KINDS: Record<string, string> = Object.fromEntries(
  namesOf(SYMBOLS)
    .filter(isNumeric)
    .map((s) => [s, SYMBOLS[s].kind]),
);
const VALUE = String.raw`(?:#?[\d./,]+(?:\s?(?:mm|in|"))?|[A-Z](?!\w))`;
const RANGE = new RegExp(
  String.raw`(?<![\w-])(${Object.keys(KINDS).join('|')})\s*(?:(>=|<=|>|<|=)\s*(${VALUE})|\s(${VALUE})\.\.(${VALUE}))(?![\w-])`,
  'gi',
);

/**
 * Reads a search in the catalogue: words, and ranges of ISO 13399 symbols such as 'DC 6..8', 'LCF>20', 'NOF=4',
 * 'DC=1/4'. A length without a unit is in `unit`; a fraction is inches. What looks like a range but has no number in
 * it stays words, so that nothing typed is silently dropped.
 * Example: 'drill DC 6..8' in mm -> words ['drill'], DC from 6 to 8.
 */
export function itemQuery(text: string, unit: LengthUnit): ItemQuery {
  const ranges: SymbolRange[] = [];
  const rest = text.replace(
    RANGE,
    (
      whole,
      name: string,
      sign: string | undefined,
      one: string | undefined,
      from: string | undefined,
      to: string | undefined,
    ) => {
      const symbol = name.toUpperCase();
      // The pattern has one value after a sign, or two about the dots.
      const read = (value = '') =>
        KINDS[symbol] === 'length' ? (parseDiameter(value, unit)?.mm ?? null) : parseNumber(value);
      const [low, high] = sign ? [read(one), read(one)] : [read(from), read(to)];
      if (low === null || high === null) return whole;
      ranges.push({
        symbol,
        min: sign?.startsWith('<') ? -Infinity : Math.min(low, high),
        max: sign?.startsWith('>') ? Infinity : Math.max(low, high),
        minOpen: sign === '>',
        maxOpen: sign === '<',
      });
      return ' ';
    },
  );
  return { words: rest.toLowerCase().split(/\s+/).filter(Boolean), ranges };
}

/** Lengths that differ by less are the same size: a tenth of a micron covers 25.4's rounding. */
const SAME_MM = 1e-4;

/**
 * Whether an item has all words and lies in all ranges. A fact that is not known lies in no range: unknown is not 0.
 * `values` are facts in force by symbol, mm where a length.
 */
export function matchesItem(query: ItemQuery, text: string, values: ReadonlyMap<string, number>): boolean {
  const low = text.toLowerCase();
  return (
    query.words.every((w) => low.includes(w)) &&
    query.ranges.every((r) => {
      const value = values.get(r.symbol);
      if (value === undefined) return false;
      const above = r.minOpen ? value > r.min + SAME_MM : value >= r.min - SAME_MM;
      const below = r.maxOpen ? value < r.max - SAME_MM : value <= r.max + SAME_MM;
      return above && below;
    })
  );
}
