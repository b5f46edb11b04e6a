import ExcelJS from 'exceljs';
import { PassThrough } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import Papa from 'papaparse';
import { LIMITS } from '@/core/limits';
import { TableBuilder, tooLarge, type Table, wrong } from './tableBuilder';
import { readXlsx } from './xlsx';

export const FORMATS = ['csv', 'xlsx', 'json'] as const;
export type Format = (typeof FORMATS)[number];

/**
 * Reads a list: XLSX (its first sheet), JSON of our own form, or CSV with commas, semicolons or tabs, quoted line
 * breaks, a byte-order mark or none, UTF-8 or Windows-1252. Throws a Problem where it can't be read whole.
 */
export async function readTable(bytes: Uint8Array): Promise<Table> {
  if (bytes.length > LIMITS.listBytes.most)
    throw tooLarge(`The list has ${bytes.length} bytes`, 'listBytes', 'Bring it in in parts.');
  if (startsWith(bytes, [0x50, 0x4b, 0x03, 0x04])) return readXlsx(bytes);
  return /^\s*[[{]/.test(decode(bytes.subarray(0, 200))) ? readJson(decode(bytes)) : readCsv(decode(bytes));
}

const startsWith = (bytes: Uint8Array, head: number[]) => head.every((b, i) => bytes[i] === b);

/** Text of a file: UTF-8 where it is, else Windows-1252, which old spreadsheets write. */
function decode(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What part of a CSV tells which delimiter it has. */
const GUESSED_FROM = 64_000;

function readCsv(text: string): Table {
  const { meta } = Papa.parse<string[]>(text.slice(0, GUESSED_FROM), {
    preview: 10,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [';', ',', '\t', '|'],
  });
  const builder = new TableBuilder();
  let at = 0;
  let stopped: unknown = null;
  Papa.parse<string[]>(text, {
    delimiter: meta.delimiter,
    step({ data, errors }, parser) {
      at += 1;
      try {
        if (errors.some((e) => e.type === 'Quotes'))
          throw wrong(
            `Row ${at}: a quotation mark is not closed`,
            'Save the list anew as CSV; nothing was read.',
          );
        builder.add(data.map(unmarked));
      } catch (error) {
        stopped = error;
        parser.abort();
      }
    },
  });
  if (stopped) throw stopped;
  return builder.table();
}

/** Our own JSON as a table: facts become columns, lists stay JSON in their cell. */
function readJson(text: string): Table {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw wrong('The file begins like JSON and is none', 'Save it anew; nothing was read.');
  }
  // Any JSON: whether it has a list is asked on the next line.
  const items = Array.isArray(data) ? data : (data as { items?: unknown })?.items;
  if (!Array.isArray(items)) throw wrong('The JSON has no list ‘items’', 'See docs/formats.md for its form.');
  if (items.length > LIMITS.listRows.most)
    throw tooLarge(`The list has ${items.length} items`, 'listRows', 'Bring it in in parts.');
  const headers = new Set<string>();
  const records = items.map((item: unknown) => {
    const record = flat(item);
    for (const name of record.keys()) headers.add(name);
    if (headers.size > LIMITS.listColumns.most)
      throw tooLarge(
        'Its items have too many different names',
        'listColumns',
        'Leave out what is not needed.',
      );
    return record;
  });
  const builder = new TableBuilder();
  const names = [...headers];
  builder.add(names);
  for (const r of records) builder.add(names.map((h) => r.get(h) ?? ''));
  return builder.table();
}

function flat(item: unknown): Map<string, string> {
  if (item === null || typeof item !== 'object') return new Map([['code', String(item ?? '')]]);
  const out = new Map<string, string>();
  for (const [key, value] of Object.entries(item)) {
    if (value === null || value === undefined) continue;
    if (key === 'facts' && typeof value === 'object')
      // Any JSON object; its values are asked one by one.
      for (const [symbol, fact] of Object.entries(value as Record<string, unknown>)) {
        const f = fact as { value?: unknown; origin?: unknown } | null;
        if (f !== null && typeof f === 'object') {
          out.set(symbol, String(f.value ?? ''));
          if (f.origin !== undefined) out.set(`${symbol}.origin`, String(f.origin));
        } else out.set(symbol, String(fact));
      }
    else out.set(key, typeof value === 'object' ? JSON.stringify(value) : String(value));
  }
  return out;
}

/** A cell that a spreadsheet would run as a formula (OWASP, CSV injection), or one that was marked as none; numbers are neither. */
const FORMULA = /^'*[=+\-@\t\r]/;
const NUMBER = /^[+-]?\d[\d.,]*$/;
/** As a cell stands in a CSV: a mark before what would run. XLSX has texts as texts, which run nowhere. */
export const marked = (cell: string) => (FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);
/** As it was: one mark less. */
export const unmarked = (cell: string) => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/** A byte-order mark: without it spreadsheets read letters beyond ASCII wrongly. */
export const CSV_BEGINS = '\uFEFF';
/** Rows as lines of a CSV (RFC 4180). */
export const csvLines = (rows: readonly (readonly string[])[]): string =>
  `${Papa.unparse(
    rows.map((row) => row.map(marked)),
    { newline: '\r\n' },
  )}\r\n`;

/** Writes a list: every cell is text, so that 1/4 stays 1/4 and no spreadsheet makes a day of it. */
export async function writeTable(table: Table, format: 'csv' | 'xlsx', name = 'items'): Promise<Uint8Array> {
  if (format === 'csv')
    return new TextEncoder().encode(`${CSV_BEGINS}${csvLines([table.headers, ...table.rows])}`);
  return writeXlsx(table, name);
}

/** Row by row, so that a large list is never held as a workbook. */
async function writeXlsx(table: Table, name: string): Promise<Uint8Array> {
  const out = new PassThrough();
  const whole = buffer(out);
  const book = new ExcelJS.stream.xlsx.WorkbookWriter({ stream: out });
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.columns = table.headers.map(() => ({ style: { numFmt: '@' } }));
  const head = sheet.addRow(table.headers);
  head.font = { bold: true };
  head.commit();
  for (const row of table.rows) sheet.addRow(row).commit();
  await book.commit();
  return new Uint8Array(await whole);
}
