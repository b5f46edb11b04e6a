// Reads what was printed: a PDF on standard input is drawn by pdf.js as a printer of 300 dpi would, and the codes on its pages
// are read by ZXing. Two programs none of which is ours, in a process of their own: both are modules that Jest can't load.
import { readFileSync } from 'node:fs';
import { createCanvas } from '@napi-rs/canvas';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

const DPI = 300;
const mm = (points) => (points / 72) * 25.4;

const wasmBinary = readFileSync('node_modules/zxing-wasm/dist/reader/zxing_reader.wasm');
await prepareZXingModule({ overrides: { wasmBinary: wasmBinary.buffer }, fireImmediately: true });
const pdf = [];
for await (const part of process.stdin) pdf.push(part);
const doc = await getDocument({ data: new Uint8Array(Buffer.concat(pdf)), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= doc.numPages; n++) {
  const page = await doc.getPage(n);
  const viewport = page.getViewport({ scale: DPI / 72 });
  const [wide, high] = [Math.ceil(viewport.width), Math.ceil(viewport.height)];
  const canvasContext = createCanvas(wide, high).getContext('2d');
  await page.render({ canvasContext, viewport }).promise;
  const { data } = canvasContext.getImageData(0, 0, wide, high);
  const codes = await readBarcodes(
    { data, width: wide, height: high, colorSpace: 'srgb' },
    { formats: ['DataMatrix'] },
  );
  const { items } = await page.getTextContent();
  pages.push({
    wideMm: mm(page.view[2]),
    highMm: mm(page.view[3]),
    text: items.map((i) => i.str ?? '').join(' '),
    // The size of the smallest letters, mm.
    smallest: mm(Math.min(...items.filter((i) => i.str?.trim()).map((i) => i.height))),
    // Where each begins, mm from the left and the top of the page.
    codes: codes.map((c) => ({
      text: c.text,
      x: (c.position.topLeft.x / DPI) * 25.4,
      y: (c.position.topLeft.y / DPI) * 25.4,
    })),
  });
}
process.stdout.write(JSON.stringify(pages));
