import { buffer } from 'node:stream/consumers';
import { PassThrough } from 'node:stream';
import { crc32, deflateSync } from 'node:zlib';
import { ZipFile } from 'yazl';
import { type Reply, Sendable, type Stable } from './server';

/** Files, requests and numbers, each of which once stopped everybody. */

const base64 = (bytes: Uint8Array | string) => Buffer.from(bytes).toString('base64');
const list = (bytes: Uint8Array | string) => ['items/import-preview', { content: base64(bytes) }] as const;

/** A workbook of one sheet whose rows are written by hand. */
export async function workbook(sheet: string, blanks = 0): Promise<Buffer> {
  const zip = new ZipFile();
  const add = (name: string, ...parts: (string | Buffer)[]) =>
    zip.addBuffer(Buffer.concat(parts.map((part) => Buffer.from(part))), name);
  const head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  add(
    'xl/_rels/workbook.xml.rels',
    `${head}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${rel}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
  );
  add(
    'xl/workbook.xml',
    `${head}<workbook xmlns="${main}" xmlns:r="${rel}"><sheets><sheet name="a" sheetId="1" r:id="r1"/></sheets></workbook>`,
  );
  add(
    'xl/worksheets/sheet1.xml',
    `${head}<worksheet xmlns="${main}"><sheetData>${sheet}`,
    Buffer.alloc(blanks, ' '),
    '</sheetData></worksheet>',
  );
  zip.end();
  return buffer(zip.outputStream as PassThrough);
}
const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
const header = `<row r="1">${cell('A1', 'code')}</row>`;
const manyRows = (n: number, column: string) =>
  Array.from({ length: n }, (_, i) => `<row r="${i + 2}">${cell(`${column}${i + 2}`, 'x')}</row>`).join('');

/** A PNG of so many pixels, one colour, that hardly has a size. */
export function png(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length);
    body.copy(out, 4);
    out.writeUInt32BE(crc32(body), body.length + 4);
    return out;
  };
  const ihdr = Buffer.alloc(13);
  ihdr.writeUInt32BE(width);
  ihdr.writeUInt32BE(height, 4);
  ihdr[8] = 1;
  const row = Math.ceil(width / 8) + 1;
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', ihdr),
    chunk('IDAT', deflateSync(Buffer.alloc(row * height))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

const program = (lines: string) => `G21 G90 G17 G54\nT1 M6\nS3000 M3\nG0 X0 Y0\nG0 G43 H1 Z5\n${lines}\nM30`;
const times = (n: number, of: (i: number) => string) => Array.from({ length: n }, (_, i) => of(i)).join('\n');
const who = { who: 'IK' };

/** Every one by its name: what is sent where. `size` 1: as it was seen; less: that share of it. */
export async function attacks(size = 1): Promise<[name: string, path: string, body: unknown][]> {
  const n = (most: number) => Math.ceil(most * size);
  const lives = Array.from({ length: n(20_000) }, (_, i) => ({
    minutes: 1 + ((i * 7919) % 1000),
    failed: true,
  }));
  const uses = Array.from({ length: n(40_000) }, (_, i) => ({
    job: `J${i}`,
    due: '2027-03-01',
    start: null,
    material: 'C45',
    partsLeft: 10,
    minutesPerPart: 1,
    operationMinutes: 2,
    perLife: 1,
    life: null,
  }));
  const deep = '['.repeat(n(100_000)) + ']'.repeat(n(100_000));
  const of = (name: string, [path, body]: readonly [string, unknown]): [string, string, unknown] => [
    name,
    path,
    body,
  ];
  return [
    of(
      'XLSX, 59,000 rows with one cell in the last column',
      list(await workbook(header + manyRows(n(59_000), 'XFD'))),
    ),
    of(
      'XLSX that names row 999,999,999',
      list(await workbook(`${header}<row r="999999999">${cell('A999999999', 'x')}</row>`)),
    ),
    of('XLSX that unpacks to 1 GB', list(await workbook(header, n(1_000_000_000)))),
    of('CSV header with 100,000 blanks in it', list(`code,a${' '.repeat(n(100_000))}b [mm\nA,1\n`)),
    of('CSV of 14 MB of quotes', list('"'.repeat(n(14_000_000)))),
    of('CSV of 29 MB of quotes', list('"'.repeat(n(29_000_000)))),
    of('CSV of 20 MB of line ends', list(`code,kind\n${'a\n'.repeat(n(9_900_000))}`)),
    of(
      'JSON of 100,000 different names',
      list(JSON.stringify(Array.from({ length: n(50_000) }, (_, i) => ({ [`n${i}`]: 1 })))),
    ),
    of('program with 100,000 different F', [
      'programs/read',
      program(times(n(100_000), (i) => `G1 X${i % 100} F${i + 1}`)),
    ]),
    of('program with 50,000 T', ['programs/read', times(n(50_000), (i) => `T${i + 1} M6`)]),
    of('program with 100,000 blocks of L9999', [
      'programs/read',
      program(`G81 R1 Z-1 F100\n${times(n(100_000), () => 'X1 L9999')}`),
    ]),
    of('program of 8 MB of empty lines', ['programs/read', '\n'.repeat(n(7_999_000)) + program('G1 X1 F1')]),
    of('program of one line of 8 MB', ['programs/read', `T1 M6\n${'X1'.repeat(n(3_900_000))}`]),
    of('program with X of 400 digits', ['programs/read', program(`G1 X${'9'.repeat(400)} F100`)]),
    of('20,000 lives', ['life/expectation', { lives, assumed: null }]),
    of('an order proposal of 40,000 uses', [
      'buying/propose',
      {
        uses,
        supply: { shelf: 0, edgeSets: [], openOrders: [] },
        terms: { leadTimeDays: 1, pack: 1, minimum: 1 },
        today: '2027-01-01',
      },
    ]),
    of('a million empty lines in one verb', [
      'counts/lines',
      { ...who, sheet: 'C-0001', lines: Array.from({ length: n(1_000_000) }, () => ({})) },
    ]),
    of('JSON 100,000 deep', ['people', deep]),
    of('PNG of 1 x 79,000,000', [
      'pictures',
      { ...who, shows: 'edge', item: 'EM10', content: base64(png(1, n(79_000_000))) },
    ]),
    of('PNG of 8,900 x 8,900', [
      'pictures',
      { ...who, shows: 'edge', item: 'EM10', content: base64(png(n(8_900), n(8_900))) },
    ]),
  ];
}

/** p95 of milliseconds. */
export const p95 = (ms: readonly number[]): number =>
  [...ms].sort((a, b) => a - b)[Math.min(ms.length - 1, Math.floor(ms.length * 0.95))] ?? 0;

/** Asks one view after the other until told to stop; gives their milliseconds. */
export function somebody(
  stable: Stable,
  ask = () => stable.get('/api/v1/items'),
  pause = 20,
): { stop: () => Promise<number[]> } {
  const ms: number[] = [];
  let on = true;
  const work = (async () => {
    while (on) {
      const reply = await ask();
      if (reply.status >= 400) throw new Error(`others were answered ${reply.status}`);
      ms.push(reply.ms);
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
  })();
  return {
    stop: async () => {
      on = false;
      await work;
      return ms;
    },
  };
}

/** Sends each, while somebody else reads: one answer after the other. */
export async function* tortureFiles(
  stable: Stable,
  size = 1,
): AsyncGenerator<{ name: string; reply: Reply; others: number[] }> {
  for (const [name, path, body] of await attacks(size)) {
    const sent = new Sendable(body);
    const other = somebody(stable);
    const reply = await stable.post(path, sent);
    // What it left to be done would hold others up just after; and a p95 of a few is none.
    await new Promise((resolve) => setTimeout(resolve, 1500));
    yield { name, reply, others: await other.stop() };
  }
}
