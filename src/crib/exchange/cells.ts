import {
  factsOf,
  type FactSymbol,
  type Family,
  type HolderSegment,
  type ItemKind,
  type Origin,
  ORIGINS,
} from '@/core/cutters';
import { isOne } from '@/core/names';
import { parseNumber } from '@/core/units';
import { type Fact, readFact, withFollowing } from '@/crib/catalogue';
import { STANDINGS } from '@/data/catalogue';
import { PLAIN_COLUMNS } from './columns';
import type { ExchangeItem } from './exchangeItem';

export const limited = (
  name: string,
  text: string | undefined,
  most: number,
  reasons: string[],
): string | null => {
  if (text !== undefined && text.length > most) reasons.push(`${name} is longer than ${most} characters`);
  return text ?? null;
};

export function readCells(
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
    if (!isOne(ORIGINS, origin)) {
      reasons.push(`${symbol}.origin “${origin}” is none of ${ORIGINS.join(', ')}`);
      continue;
    }
    const read = readFact(symbol, text, origin);
    if (!('symbol' in read)) reasons.push(read.detail);
    else if (read.value !== null && Math.abs(read.value) >= 1e6)
      reasons.push(`${symbol} = ${text} is beyond what can be`);
    else facts.push(read);
  }
  return withFollowing(kind, facts);
}

/** An outline as 'length:upper:lower; …' in mm, or the JSON of our own form. */
export function readSegments(text: string | undefined, reasons: string[]): HolderSegment[] {
  if (!text) return [];
  const bad = (): HolderSegment[] => {
    reasons.push(`segments “${text.slice(0, 40)}” are not length:upper:lower; … in mm`);
    return [];
  };
  let parts: (number | null)[][];
  if (text.startsWith('[')) {
    try {
      // Each part is looked at below; what is no list throws, and is refused.
      parts = (JSON.parse(text) as Record<string, unknown>[]).map((s) =>
        [s.length, s.upper, s.lower].map((n) => (typeof n === 'number' ? n : null)),
      );
    } catch {
      return bad();
    }
  } else parts = text.split(';').map((s) => s.split(':').map((n) => parseNumber(n)));
  const segments = parts.flatMap((p): HolderSegment[] => {
    const [length, upper, lower] = p.map((n) => (n !== null && n > 0 && n < 1000 ? n : undefined));
    return p.length === 3 && length && upper && lower ? [{ length, upper, lower }] : [];
  });
  return parts.length > 40 || segments.length < parts.length ? bad() : segments;
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

export function readSupply(p: Plain, reasons: string[]): ExchangeItem['supply'] {
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
  const isAmount =
    price !== null &&
    cents !== null &&
    price >= 0 &&
    cents <= 100_000_000 &&
    Math.abs(price * 100 - cents) <= 1e-6;
  if (p.price !== undefined && !isAmount) reasons.push(`price “${p.price}” is no amount with cents`);
  return {
    supplier: p.supplier,
    orderCode: limited('order_code', p.order_code, 60, reasons) ?? '',
    priceCents: cents,
    pack: whole('pack', p.pack, 1, reasons),
    minimum: whole('minimum', p.minimum, 1, reasons),
  };
}

export function readLife(p: Plain, reasons: string[]): ExchangeItem['life'] {
  if (p.life_minutes === undefined) return null;
  const minutes = parseNumber(p.life_minutes);
  const origin = p.life_origin?.toLowerCase() ?? 'guess';
  if (minutes === null || minutes < 0.01 || minutes > 100_000)
    reasons.push(`life_minutes “${p.life_minutes}” is no number from 0.01 to 100,000`);
  if (!isOne(ORIGINS, origin)) reasons.push(`life_origin “${origin}” is none of ${ORIGINS.join(', ')}`);
  // A row with a reason goes nowhere: what stands here then is not read.
  return { minutes: minutes ?? 0, origin: isOne(ORIGINS, origin) ? origin : 'guess' };
}

export function readStanding(p: Plain, reasons: string[]): ExchangeItem['standing'] {
  if (p.standing === undefined) return null;
  const standing = p.standing.toLowerCase();
  if (!isOne(STANDINGS, standing)) {
    reasons.push(`standing “${p.standing}” is none of ${STANDINGS.join(', ')}`);
    return null;
  }
  return { standing, reason: limited('standing_reason', p.standing_reason, 200, reasons) ?? 'as imported' };
}

export function readLinks(text: string | undefined, reasons: string[]): ExchangeItem['links'] {
  if (!text) return [];
  try {
    // Each is looked at below before it is believed.
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
