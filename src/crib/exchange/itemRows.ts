import {
  checkItem,
  FAMILY_NAMES,
  factsOf,
  isSymbol,
  ITEM_KINDS,
  KINDS,
  ORIGINS,
  SYMBOLS,
  type FactSymbol,
  type Family,
  type HolderSegment,
  type ItemKind,
  type Origin,
} from '@/core/cutters';
import { parseNumber } from '@/core/units';
import { faultParts, readFact, withFollowing, type Fact } from '@/crib/cutters';
import type { Standing } from '@/data/stock';
import type { Table } from './table';

/** An item as it goes in and out: what the catalogue says of it, without its stock. */
export interface ExchangeItem {
  code: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  facts: Fact[];
  segments: HolderSegment[];
  supply: {
    supplier: string;
    orderCode: string;
    priceCents: number | null;
    pack: number;
    minimum: number;
  } | null;
  life: { minutes: number; origin: Origin } | null;
  standing: { standing: Standing; reason: string } | null;
  links: { earlier: string; relation: 'version' | 'substitute'; reason: string }[];
}

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

const WORDS = new Map<string, FactSymbol>(
  (Object.keys(SYMBOLS) as FactSymbol[]).map((s) => [SYMBOLS[s].words.toLowerCase(), s]),
);

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
  if (origin && isSymbol(origin[1]!.toUpperCase()))
    return { originOf: origin[1]!.toUpperCase() as FactSymbol };
  const symbol = isSymbol(bare.toUpperCase())
    ? (bare.toUpperCase() as FactSymbol)
    : WORDS.get(bare.toLowerCase());
  if (!symbol) return null;
  return { symbol, unit: unit ? (unit[1]!.toLowerCase() === 'mm' ? 'mm' : 'in') : null };
}

export interface RefusedRow {
  /** As a spreadsheet counts: the header is row 1. */
  row: number;
  code: string;
  reasons: string[];
}
export interface ReadRows {
  items: (ExchangeItem & { row: number })[];
  refused: RefusedRow[];
  /** Headers that mean nothing yet: people map them or leave them out. */
  unknown: string[];
}

/** Reads rows into items; a row that can't be is refused with every reason, the others go on. */
export function readRows(
  table: Table,
  mapping: ReadonlyMap<string, string | null> = new Map(),
  defaultOrigin: Origin = 'maker',
): ReadRows {
  const meanings = table.headers.map((h) => (h.trim() ? meaningOf(h, mapping) : { ignored: true as const }));
  const out: ReadRows = {
    items: [],
    refused: [],
    unknown: [...new Set(table.headers.filter((h, i) => h.trim() && meanings[i] === null))],
  };
  const seen = new Map<string, number>();
  for (const [i, cells] of table.rows.entries()) {
    const row = i + 2;
    const read = readRow(cells, meanings, defaultOrigin);
    const before = seen.get(read.code);
    if (read.code && before !== undefined)
      read.reasons.push(`code ${read.code} stands in row ${before} already`);
    else if (read.code) seen.set(read.code, row);
    if (read.item && !read.reasons.length) out.items.push({ ...read.item, row });
    else out.refused.push({ row, code: read.code, reasons: read.reasons });
  }
  return out;
}

function readRow(
  cells: readonly string[],
  meanings: readonly (Meaning | null)[],
  defaultOrigin: Origin,
): { code: string; item: ExchangeItem | null; reasons: string[] } {
  const reasons: string[] = [];
  const plain: Partial<Record<(typeof PLAIN_COLUMNS)[number], string>> = {};
  const values = new Map<FactSymbol, string>();
  const origins = new Map<FactSymbol, string>();
  for (const [i, meaning] of meanings.entries()) {
    const cell = (cells[i] ?? '').trim();
    if (!meaning || cell === '') continue;
    if ('plain' in meaning) plain[meaning.plain] = cell;
    else if ('originOf' in meaning) origins.set(meaning.originOf, cell);
    else if ('symbol' in meaning) {
      const bare = SYMBOLS[meaning.symbol].kind === 'length' && /^[\d.,/ ]+$/.test(cell);
      values.set(meaning.symbol, bare && meaning.unit === 'in' ? `${cell} in` : cell);
    }
  }
  const code = plain.code ?? '';
  if (!code) reasons.push('code is needed');
  if (code.length > 40) reasons.push(`code “${code.slice(0, 20)}…” is longer than 40 characters`);
  const kind = (plain.kind?.toLowerCase() ?? (plain.family ? 'cutter' : '')) as ItemKind;
  if (!ITEM_KINDS.includes(kind)) {
    reasons.push(`kind “${plain.kind ?? ''}” is none of ${ITEM_KINDS.join(', ')}`);
    return { code, item: null, reasons };
  }
  const needsFamily = kind === 'cutter' || kind === 'body';
  const family = (plain.family?.toLowerCase() ?? null) as Family | null;
  if (needsFamily && (family === null || !FAMILY_NAMES.includes(family))) {
    reasons.push(`family “${plain.family ?? ''}” is none of ${FAMILY_NAMES.join(', ')}`);
    return { code, item: null, reasons };
  }
  if (!needsFamily && family !== null) reasons.push(`a ${KINDS[kind].words} has no family`);
  const facts = readCells(kind, needsFamily ? family : null, values, origins, defaultOrigin, reasons);
  const segments = readSegments(plain.segments, reasons);
  if (!reasons.length)
    reasons.push(
      ...faultParts(checkItem(kind, needsFamily ? family : null, facts, segments)).map((p) => p.detail),
    );
  return {
    code,
    reasons,
    item: {
      code,
      kind,
      family: needsFamily ? family : null,
      maker: limited('maker', plain.maker, 80, reasons),
      facts,
      segments,
      supply: readSupply(plain, reasons),
      life: readLife(plain, reasons),
      standing: readStanding(plain, reasons),
      links: readLinks(plain.links, reasons),
    },
  };
}

const limited = (name: string, text: string | undefined, most: number, reasons: string[]): string | null => {
  if (text !== undefined && text.length > most) reasons.push(`${name} is longer than ${most} characters`);
  return text ?? null;
};

function readCells(
  kind: ItemKind,
  family: Family | null,
  values: ReadonlyMap<FactSymbol, string>,
  origins: ReadonlyMap<FactSymbol, string>,
  defaultOrigin: Origin,
  reasons: string[],
): Fact[] {
  const asked = factsOf(kind, family);
  const facts: Fact[] = [];
  for (const [symbol, text] of values) {
    if (!asked.includes(symbol)) {
      reasons.push(`${symbol} is not a fact of such an item`);
      continue;
    }
    if (text.length > 120) {
      reasons.push(`${symbol} is longer than 120 characters`);
      continue;
    }
    const origin = origins.get(symbol)?.toLowerCase() ?? defaultOrigin;
    if (!(ORIGINS as readonly string[]).includes(origin)) {
      reasons.push(`${symbol}.origin “${origin}” is none of ${ORIGINS.join(', ')}`);
      continue;
    }
    const read = readFact(symbol, text, origin as Origin);
    if (!('symbol' in read)) reasons.push(read.detail);
    else if (read.value !== null && Math.abs(read.value) >= 1e6)
      reasons.push(`${symbol} = ${text} is beyond what can be`);
    else facts.push(read);
  }
  return withFollowing(kind, facts);
}

/** An outline as 'length:upper:lower; …' in mm, or the JSON of our own form. */
function readSegments(text: string | undefined, reasons: string[]): HolderSegment[] {
  if (!text) return [];
  const bad = (): HolderSegment[] => {
    reasons.push(`segments “${text.slice(0, 40)}” are not length:upper:lower; … in mm`);
    return [];
  };
  let parts: (number | null)[][];
  if (text.startsWith('[')) {
    try {
      parts = (JSON.parse(text) as Record<string, unknown>[]).map((s) =>
        [s.length, s.upper, s.lower].map((n) => (typeof n === 'number' ? n : null)),
      );
    } catch {
      return bad();
    }
  } else parts = text.split(';').map((s) => s.split(':').map((n) => parseNumber(n)));
  if (
    parts.length > 40 ||
    parts.some((p) => p.length !== 3 || p.some((n) => n === null || n <= 0 || n >= 1000))
  )
    return bad();
  return parts.map(([length, upper, lower]) => ({ length: length!, upper: upper!, lower: lower! }));
}

type Plain = Partial<Record<(typeof PLAIN_COLUMNS)[number], string>>;

const whole = (name: string, text: string | undefined, fallback: number, reasons: string[]): number => {
  if (text === undefined) return fallback;
  const n = parseNumber(text);
  if (n === null || !Number.isInteger(n) || n < 1 || n > 10_000) {
    reasons.push(`${name} “${text}” is no whole number from 1 to 10,000`);
    return fallback;
  }
  return n;
};

function readSupply(p: Plain, reasons: string[]): ExchangeItem['supply'] {
  if (p.supplier === undefined) {
    if (p.order_code !== undefined || p.price !== undefined)
      reasons.push('supplier is needed with order_code or price');
    return null;
  }
  if (!/^[A-Za-z0-9][A-Za-z0-9./-]{0,23}$/.test(p.supplier))
    reasons.push(`supplier “${p.supplier}” is no code: letters, digits, . / and -`);
  if (p.order_code === undefined) reasons.push('order_code is needed with a supplier');
  const price = p.price === undefined ? null : parseNumber(p.price);
  const cents = price === null ? null : Math.round(price * 100);
  if (
    p.price !== undefined &&
    (price === null || price < 0 || cents! > 100_000_000 || Math.abs(price * 100 - cents!) > 1e-6)
  )
    reasons.push(`price “${p.price}” is no amount with cents`);
  return {
    supplier: p.supplier,
    orderCode: limited('order_code', p.order_code, 60, reasons) ?? '',
    priceCents: cents,
    pack: whole('pack', p.pack, 1, reasons),
    minimum: whole('minimum', p.minimum, 1, reasons),
  };
}

function readLife(p: Plain, reasons: string[]): ExchangeItem['life'] {
  if (p.life_minutes === undefined) return null;
  const minutes = parseNumber(p.life_minutes);
  const origin = (p.life_origin?.toLowerCase() ?? 'guess') as Origin;
  if (minutes === null || minutes < 0.01 || minutes > 100_000)
    reasons.push(`life_minutes “${p.life_minutes}” is no number from 0.01 to 100,000`);
  if (!ORIGINS.includes(origin)) reasons.push(`life_origin “${origin}” is none of ${ORIGINS.join(', ')}`);
  return { minutes: minutes ?? 0, origin };
}

function readStanding(p: Plain, reasons: string[]): ExchangeItem['standing'] {
  if (p.standing === undefined) return null;
  const standing = p.standing.toLowerCase() as Standing;
  if (!['approved', 'trial', 'discontinued', 'rejected'].includes(standing))
    reasons.push(`standing “${p.standing}” is none of approved, trial, discontinued, rejected`);
  return { standing, reason: limited('standing_reason', p.standing_reason, 200, reasons) ?? 'as imported' };
}

function readLinks(text: string | undefined, reasons: string[]): ExchangeItem['links'] {
  if (!text) return [];
  try {
    const links = JSON.parse(text) as ExchangeItem['links'];
    const good = (l: ExchangeItem['links'][number]) =>
      typeof l?.earlier === 'string' &&
      ['version', 'substitute'].includes(l.relation) &&
      typeof l.reason === 'string' &&
      l.reason.trim() !== '' &&
      l.reason.length <= 200;
    if (Array.isArray(links) && links.length <= 50 && links.every(good))
      return links.map(({ earlier, relation, reason }) => ({ earlier, relation, reason }));
  } catch {
    // Said below, as for any other text.
  }
  reasons.push('links are not JSON of earlier, relation and reason');
  return [];
}

/** A fact as its cell shows it: in its own unit, as it was typed. */
export const factCell = (f: Pick<Fact, 'text' | 'unit'>): string =>
  f.unit === 'inch' ? `${f.text} in` : f.text;
