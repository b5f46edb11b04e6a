import {
  checkItem,
  type FactSymbol,
  FAMILY_NAMES,
  ITEM_KINDS,
  KINDS,
  type Origin,
  SYMBOLS,
} from '@/core/cutters';
import { isOne } from '@/core/names';
import { faultParts } from '@/crib/catalogue';
import { limited, readCells, readLife, readLinks, readSegments, readStanding, readSupply } from './cells';
import { type Meaning, meaningOf, PLAIN_COLUMNS } from './columns';
import type { ExchangeItem } from './exchangeItem';
import type { Table } from './tableBuilder';

export interface RefusedRow {
  /** As a spreadsheet counts: the header is row 1. */
  row: number;
  code: string;
  reasons: string[];
}
interface ReadRows {
  /** Headers that mean nothing yet: people map them or leave them out. */
  unknown: string[];
  rows: Iterable<(ExchangeItem & { row: number }) | RefusedRow>;
}

/** Reads rows into items one by one; a row that can't be is refused with every reason, the others go on. */
export function itemsOf(
  table: Table,
  mapping: ReadonlyMap<string, string | null> = new Map(),
  defaultOrigin: Origin = 'maker',
): ReadRows {
  const meanings = table.headers.map((h) => (h.trim() ? meaningOf(h, mapping) : { ignored: true as const }));
  return {
    unknown: [...new Set(table.headers.filter((h, i) => h.trim() && meanings[i] === null))],
    rows: readEach(table, meanings, defaultOrigin),
  };
}

function* readEach(
  { rows, at }: Table,
  meanings: readonly (Meaning | null)[],
  defaultOrigin: Origin,
): Generator<(ExchangeItem & { row: number }) | RefusedRow> {
  const seen = new Map<string, number>();
  for (const [i, cells] of rows.entries()) {
    const row = at?.[i] ?? i + 2;
    const read = readRow(cells, meanings, defaultOrigin);
    const before = seen.get(read.code);
    if (read.code && before !== undefined)
      read.reasons.push(`code ${read.code} stands in row ${before} already`);
    else if (read.code) seen.set(read.code, row);
    if (read.item && !read.reasons.length) yield { ...read.item, row };
    else yield { row, code: read.code, reasons: read.reasons };
  }
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
  const kind = plain.kind?.toLowerCase() ?? (plain.family ? 'cutter' : '');
  if (!isOne(ITEM_KINDS, kind)) {
    reasons.push(`kind “${plain.kind ?? ''}” is none of ${ITEM_KINDS.join(', ')}`);
    return { code, item: null, reasons };
  }
  const needsFamily = kind === 'cutter' || kind === 'body';
  const said = plain.family?.toLowerCase();
  const family = isOne(FAMILY_NAMES, said) ? said : null;
  if (needsFamily && family === null) {
    reasons.push(`family “${plain.family ?? ''}” is none of ${FAMILY_NAMES.join(', ')}`);
    return { code, item: null, reasons };
  }
  if (!needsFamily && said !== undefined) reasons.push(`a ${KINDS[kind].words} has no family`);
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
