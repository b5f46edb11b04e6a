import { attacks, workbook } from '../../../torture/files';
import { here, type Problem } from '../door';
import { readList, type RowsRead } from './tasks';

/** Lists that once held everybody up, or took all memory: here small ones of each, the full ones in `npm run torture`. */
async function read(bytes: Uint8Array): Promise<Problem | RowsRead> {
  const parts: RowsRead[] = [];
  try {
    await here(readList, { bytes, mapping: [] }, { hear: (part) => void parts.push(part) });
    return { items: parts.flatMap((p) => p.items), refused: parts.flatMap((p) => p.refused) };
  } catch (error) {
    return error as Problem;
  }
}
const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
const headers = `<row r="1">${cell('A1', 'code')}${cell('B1', 'kind')}${cell('C1', 'family')}${cell('D1', 'DC')}</row>`;
const good = (row: number) =>
  `<row r="${row}">${cell(`A${row}`, `EM${row}`)}${cell(`B${row}`, 'cutter')}${cell(`C${row}`, 'square')}${cell(`D${row}`, '10')}</row>`;
const utf8 = (text: string) => new TextEncoder().encode(text);

it('every list that was sent against it is answered or refused by what it is', async () => {
  const lists = (await attacks(0.02)).filter(([, path]) => path === 'items/import-preview');
  expect(lists.length).toBeGreaterThan(7);
  for (const [name, , body] of lists) {
    const said = await read(Buffer.from((body as { content: string }).content, 'base64'));
    if ('items' in said) expect([name, said.items]).toEqual([name, []]);
    else
      expect([name, said.name, said.code]).toEqual([
        name,
        'Problem',
        expect.stringMatching(/TOO_LARGE|INVALID_INPUT/),
      ]);
  }
});

it('a cell in the last column of a sheet is refused by its row and how many columns there may be', async () =>
  expect(await read(await workbook(`${headers}<row r="2">${cell('XFD2', 'x')}</row>`))).toMatchObject({
    code: 'TOO_LARGE',
    message: 'Row 2 has 16384 columns (at most 300 columns)',
    parts: [{ limit: 'at most 300 columns' }],
  }));

it('a row of any number is one row', async () =>
  expect(await read(await workbook(`${headers}${good(999_999_999)}`))).toMatchObject({
    items: [{ code: 'EM999999999' }],
    refused: [],
  }));

/** A workbook of 2,000 rows that says its sheet unpacks to so many bytes. */
async function sayingItHas(bytes: number): Promise<Buffer> {
  const file = await workbook(headers + Array.from({ length: 2000 }, (_, i) => good(i + 2)).join(''));
  // The uncompressed size of the last part stands 24 bytes into its entry of the central directory (PKWARE APPNOTE 4.3.12).
  file.writeUInt32LE(bytes, file.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2])) + 24);
  return file;
}

it('an archive that says it unpacks to more than may be is refused before it is unpacked', async () =>
  // Nothing of it is unpacked: what would be found then is that it lies, as below.
  expect(await read(await sayingItHas(250_000_000))).toMatchObject({
    code: 'TOO_LARGE',
    parts: [{ limit: 'at most 200,000,000 bytes' }],
  }));

it.each([1000, 199_000_000])(
  'an archive that lies of its sizes is no spreadsheet: %i bytes',
  async (said) => {
    expect(await read(await sayingItHas(said))).toMatchObject({
      code: 'INVALID_INPUT',
      message: expect.stringContaining('can’t be read as one'),
    });
  },
);

it.each([
  ['60,001 rows', `code;kind\n${'A;x\n'.repeat(60_001)}`, 'at most 60,000 rows'],
  ['301 columns', `code${';x'.repeat(300)}\nA`, 'at most 300 columns'],
  ['a header of 201 characters', `code;${'x'.repeat(201)}\nA;1`, 'at most 200 characters'],
  [
    'a cell of 2,001 characters: cut off it would say something else',
    `code;maker\nA;${'x'.repeat(2001)}`,
    'at most 2,000 characters',
  ],
  [
    'names beyond number in JSON',
    JSON.stringify(Array.from({ length: 400 }, (_, i) => ({ [`n${i}`]: 1 }))),
    'at most 300 columns',
  ],
])('%s', async (_, text, limit) =>
  expect(await read(utf8(text))).toMatchObject({ code: 'TOO_LARGE', parts: [{ limit }] }),
);

it('60,000 rows, 300 columns, 200 and 2,000 characters are taken', async () => {
  const widest = `code;kind;family;DC${';x'.repeat(295)};${'y'.repeat(200)}\nA;cutter;square;10;;${'z'.repeat(2000)}`;
  expect(await read(utf8(widest))).toMatchObject({ items: [{ code: 'A' }] });
  const longest = await read(
    utf8(
      `code;kind;family;DC\n${Array.from({ length: 60_000 }, (_, i) => `A${i};cutter;square;10`).join('\n')}`,
    ),
  );
  expect('items' in longest && longest.items.length).toBe(60_000);
});

// Office Open XML, ECMA-376 part 1, 18.2.19: the order of sheets is that of the workbook, not of the archive.
it('the first sheet is the one that stands first in the workbook', async () => {
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  for (const [name, code] of [
    ['second', 'B'],
    ['first', 'A'],
  ] as const)
    book.addWorksheet(name).addRows([
      ['code', 'kind', 'family', 'DC'],
      [code, 'cutter', 'square', 10.5],
    ]);
  // Its order is a figure that ExcelJS writes and its types leave out.
  book.worksheets.forEach((sheet, i) => Object.assign(sheet, { orderNo: 1 - i }));
  expect(await read(new Uint8Array(await book.xlsx.writeBuffer()))).toMatchObject({
    items: [{ code: 'A', facts: [{ symbol: 'DC', value: 10.5 }] }],
  });
});
