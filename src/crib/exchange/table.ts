import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { Problem } from '@/crib/door';

/** A list as people have it: a header and rows of texts. */
export interface Table {
  headers: string[];
  rows: string[][];
}
export const FORMATS = ['csv', 'xlsx', 'json'] as const;
export type Format = (typeof FORMATS)[number];

/** Rows and columns a list may have. */
const MOST_ROWS = 60_000;
const MOST_COLUMNS = 300;
const MOST_CELL = 2000;

const wrong = (detail: string, wayOut: string, limit?: string): Problem =>
  new Problem('INVALID_INPUT', detail, { field: 'content', limit, wayOut });

/**
 * Reads a list: XLSX (its first sheet), JSON of our own form, or CSV with commas, semicolons or tabs, quoted line
 * breaks, a byte-order mark or none, UTF-8 or Windows-1252. Throws a Problem where it can't be read whole.
 */
export async function readTable(bytes: Uint8Array): Promise<Table> {
  const table = startsWith(bytes, [0x50, 0x4b, 0x03, 0x04])
    ? await readXlsx(bytes)
    : /^\s*[[{]/.test(decode(bytes.subarray(0, 200)))
      ? readJson(decode(bytes))
      : readCsv(decode(bytes));
  if (!table.headers.length || !table.headers.some((h) => h.trim()))
    throw wrong('The list has no header', 'Its first row must name the columns, one of them ‘code’.');
  if (table.headers.length > MOST_COLUMNS)
    throw wrong(
      `The list has ${table.headers.length} columns`,
      'Leave out what is not needed.',
      `at most ${MOST_COLUMNS}`,
    );
  if (table.rows.length > MOST_ROWS)
    throw wrong(`The list has ${table.rows.length} rows`, 'Bring it in in parts.', `at most ${MOST_ROWS}`);
  return table;
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

function readCsv(text: string): Table {
  const { data, errors } = Papa.parse<string[]>(text, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [';', ',', '\t', '|'],
  });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken)
    throw wrong(
      `Row ${(broken.row ?? 0) + 1}: a quotation mark is not closed`,
      'Save the list anew as CSV; nothing was read.',
    );
  const [headers = [], ...rows] = data;
  return {
    headers: headers.map((h) => h.trim()),
    rows: rows.map((r) => r.map((c) => c.slice(0, MOST_CELL))),
  };
}

async function readXlsx(bytes: Uint8Array): Promise<Table> {
  const book = new ExcelJS.Workbook();
  try {
    // ExcelJS names a Buffer of older types; at run time it is the same one.
    await book.xlsx.load(Buffer.from(bytes) as unknown as Parameters<typeof book.xlsx.load>[0]);
  } catch {
    throw wrong(
      'The file begins like a spreadsheet and can’t be read as one',
      'Save it anew as XLSX or CSV.',
    );
  }
  const sheet = book.worksheets[0];
  if (!sheet) throw wrong('The spreadsheet has no sheet', 'Save it anew.');
  const all: string[][] = [];
  sheet.eachRow((row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: true }, (cell, column) => {
      cells[column - 1] = cellText(cell.value).slice(0, MOST_CELL);
    });
    all.push([...cells].map((c) => c ?? ''));
  });
  const [headers = [], ...rows] = all;
  return { headers: headers.map((h) => h.trim()), rows: rows.filter((r) => r.some((c) => c.trim())) };
}

/** What a cell says as text; a formula counts as its result, a date as its ISO day. */
function cellText(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'object') {
    if ('richText' in value) return value.richText.map((r) => r.text).join('');
    // A formula’s result is a value like others.
    if ('result' in value) return cellText(value.result as ExcelJS.CellValue);
    if ('text' in value) return String(value.text);
    return '';
  }
  return String(value);
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
  const records = items.map((item: unknown) => flat(item));
  const headers = [...new Set(records.flatMap((r) => Object.keys(r)))];
  return { headers, rows: records.map((r) => headers.map((h) => r[h] ?? '')) };
}

function flat(item: unknown): Record<string, string> {
  if (item === null || typeof item !== 'object') return { code: String(item ?? '') };
  const out: Record<string, string> = {};
  for (const [key, value] of Object.entries(item)) {
    if (value === null || value === undefined) continue;
    if (key === 'facts' && typeof value === 'object')
      // Any JSON object; its values are asked one by one.
      for (const [symbol, fact] of Object.entries(value as Record<string, unknown>)) {
        const f = fact as { value?: unknown; origin?: unknown } | null;
        if (f !== null && typeof f === 'object') {
          out[symbol] = String(f.value ?? '');
          if (f.origin !== undefined) out[`${symbol}.origin`] = String(f.origin);
        } else out[symbol] = String(fact);
      }
    else out[key] = typeof value === 'object' ? JSON.stringify(value) : String(value);
  }
  return out;
}

/** Writes a list: every cell is text, so that 1/4 stays 1/4 and no spreadsheet makes a day of it. */
export async function writeTable(table: Table, format: 'csv' | 'xlsx', name = 'items'): Promise<Uint8Array> {
  if (format === 'csv')
    // A byte-order mark: without it spreadsheets read letters beyond ASCII wrongly.
    return new TextEncoder().encode(
      `\uFEFF${Papa.unparse([table.headers, ...table.rows], { newline: '\r\n' })}\r\n`,
    );
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.addRow(table.headers).font = { bold: true };
  for (const row of table.rows) sheet.addRow(row);
  table.headers.forEach((_, i) => (sheet.getColumn(i + 1).numFmt = '@'));
  return new Uint8Array(await book.xlsx.writeBuffer());
}
