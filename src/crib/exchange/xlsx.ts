import ExcelJS from 'exceljs';
import { PassThrough, type Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { type Entry, fromBuffer, type ZipFile } from 'yauzl';
import { ZipFile as ZipWriter } from 'yazl';
import { LIMITS, mostOf } from '@/core/limits';
import { isProblem, Problem } from '@/crib/door';
import { type Table, TableBuilder, wrong } from './tableBuilder';

/** Parts of a workbook that are read, in the order in which they must be known. */
const RELATIONS = 'xl/_rels/workbook.xml.rels';
const WORKBOOK = 'xl/workbook.xml';
const STRINGS = 'xl/sharedStrings.xml';
const STYLES = 'xl/styles.xml';
const SHEET = /^xl\/worksheets\/sheet\d+\.xml$/;
const NO_STRINGS = '<sst xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"/>';
/** The parts that say what the workbook has: small in every workbook that people make. */
const MOST_ABOUT = 1_000_000;

/**
 * The first sheet of a spreadsheet, row by row. What the archive says of its sizes is checked before anything is
 * unpacked, and that it was true while it is; rows and columns are refused as they come. Throws a Problem.
 */
export async function readXlsx(bytes: Uint8Array): Promise<Table> {
  try {
    const stream = await repacked(bytes);
    const broken = new Promise<never>((_, reject) => stream.once('error', reject));
    return await Promise.race([readRowsOf(stream), broken]);
  } catch (error) {
    if (isProblem(error)) throw error;
    throw wrong(
      'The file begins like a spreadsheet and can’t be read as one',
      'Save it anew as XLSX or CSV.',
    );
  }
}

/** The archive anew, with the parts that are read and the first sheet alone. */
async function repacked(bytes: Uint8Array): Promise<Readable> {
  const { zip, entries } = await open(bytes);
  const unpacked = [...entries.values()].reduce((n, e) => n + e.uncompressedSize, 0);
  if (unpacked > LIMITS.listUnpackedBytes.most)
    throw new Problem('TOO_LARGE', `The spreadsheet has ${unpacked} bytes once it is unpacked`, {
      field: 'content',
      value: unpacked,
      limit: mostOf('listUnpackedBytes'),
      wayOut: 'Save the sheet alone, without pictures and other sheets, or as CSV.',
    });
  const text = async (name: string) => {
    const entry = entries.get(name);
    if (!entry || entry.uncompressedSize > MOST_ABOUT) throw new Error(`${name} is missing or too large`);
    return (await buffer(await content(zip, entry))).toString('utf8');
  };
  const sheet = entries.get(firstSheet(await text(WORKBOOK), await text(RELATIONS)));
  if (!sheet) throw wrong('The spreadsheet has no sheet', 'Save it anew.');
  const out = new ZipWriter();
  const stream = new PassThrough();
  // An entry whose size was not what the archive said ends the reading, not the process.
  const broken = (error: Error) => void stream.destroy(error);
  out.on('error', broken);
  const add = async (name: string) => {
    const entry = entries.get(name);
    if (!entry) return;
    const part = await content(zip, entry);
    part.on('error', broken);
    out.addReadStream(part, name, { compressionLevel: 1 });
  };
  await add(RELATIONS);
  await add(WORKBOOK);
  if (entries.has(STRINGS)) await add(STRINGS);
  else out.addBuffer(Buffer.from(NO_STRINGS), STRINGS);
  await add(STYLES);
  await add(sheet.fileName);
  out.end();
  out.outputStream.pipe(stream);
  return stream;
}

function open(bytes: Uint8Array): Promise<{ zip: ZipFile; entries: Map<string, Entry> }> {
  return new Promise((resolve, reject) => {
    fromBuffer(Buffer.from(bytes), { lazyEntries: true, autoClose: false }, (error, zip) => {
      if (error) return reject(error);
      const entries = new Map<string, Entry>();
      zip.on('error', reject);
      zip.on('entry', (entry: Entry) => {
        entries.set(entry.fileName, entry);
        // No workbook has so many parts; a bomb may.
        if (entries.size > 10_000) reject(new Error('too many parts'));
        else zip.readEntry();
      });
      zip.on('end', () => resolve({ zip, entries }));
      zip.readEntry();
    });
  });
}

const content = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

/** The part of the sheet that stands first in the workbook, which need not be the first of the archive. */
function firstSheet(workbook: string, relations: string): string {
  const id = /<(?:\w+:)?sheet\s[^<>]{0,2000}?\b\w+:id="([^"]{1,80})"/.exec(workbook)?.[1];
  for (const [, attributes = ''] of relations.matchAll(/<(?:\w+:)?Relationship\s([^<>]{1,2000})>/g)) {
    const target = /\bTarget="([^"]{1,200})"/.exec(attributes)?.[1] ?? '';
    const name = target.startsWith('/') ? target.slice(1) : `xl/${target}`;
    if (/\bId="([^"]{1,80})"/.exec(attributes)?.[1] === id && SHEET.test(name)) return name;
  }
  return 'xl/worksheets/sheet1.xml';
}

async function readRowsOf(stream: Readable): Promise<Table> {
  const book = new ExcelJS.stream.xlsx.WorkbookReader(stream, {
    worksheets: 'emit',
    sharedStrings: 'cache',
    styles: 'cache',
    hyperlinks: 'ignore',
    entries: 'ignore',
  });
  const builder = new TableBuilder();
  for await (const sheet of book)
    for await (const row of sheet) {
      // A cell far to the right is refused before the row is filled up to it.
      const columns = row.cellCount;
      builder.checkColumns(columns, row.number);
      const cells = new Array<string>(columns).fill('');
      row.eachCell({ includeEmpty: false }, (cell, column) => {
        cells[column - 1] = cellText(cell.value);
      });
      builder.add(cells, row.number);
    }
  return builder.table();
}

/** What a cell says as text; a formula counts as its result, a date as its ISO day. */
function cellText(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return Number.isNaN(value.getTime()) ? '' : value.toISOString().slice(0, 10);
  if (typeof value === 'object') {
    if ('richText' in value) return value.richText.map((r) => r.text).join('');
    // A formula’s result is a value like others.
    if ('result' in value) return cellText(value.result as ExcelJS.CellValue);
    if ('text' in value) return String(value.text);
    return '';
  }
  return String(value);
}
