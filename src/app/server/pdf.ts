import 'server-only';
import { join } from 'node:path';
import bwip from 'bwip-js/node';
import PDFDocument from 'pdfkit';

/** Points to a millimetre. */
export const MM = 72 / 25.4;
export const A4: [number, number] = [210 * MM, 297 * MM];

const font = (name: string, weight: string) =>
  join(
    /* turbopackIgnore: true */ process.cwd(),
    'node_modules/@expo-google-fonts',
    `atkinson-hyperlegible-${name.toLowerCase()}`,
    weight,
    `AtkinsonHyperlegible${name}_${weight}.ttf`,
  );
/** Fonts that go into each file: it is printed anywhere as it was made. */
export const FONTS = {
  words: font('Next', '400Regular'),
  strong: font('Next', '700Bold'),
  figures: font('Mono', '700Bold'),
} as const;
export type Face = keyof typeof FONTS;
export type Pdf = InstanceType<typeof PDFDocument>;

/** A file without a page yet, and its bytes once it was ended. `keeps`: pages can be gone back to until then. */
export function newPdf(title: string, size: [number, number], keeps = false) {
  const doc = new PDFDocument({
    size,
    margin: 0,
    autoFirstPage: false,
    bufferPages: keeps,
    font: FONTS.words,
    info: { Title: title, Producer: 'Stable' },
  });
  const done = new Promise<Buffer>((resolve, reject) => {
    const parts: Buffer[] = [];
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
  });
  return { doc, done };
}

/** The code as squares: sharp at any printer's resolution. */
export function drawCode(doc: Pdf, text: string, x: number, y: number, side: number): void {
  const [code] = bwip.raw({ bcid: 'datamatrix', text });
  // DataMatrix has rows of squares; other kinds of codes have bars.
  if (!code || !('pixs' in code)) return;
  const one = side / code.pixx;
  for (const [i, dark] of code.pixs.entries())
    if (dark) doc.rect(x + (i % code.pixx) * one, y + Math.floor(i / code.pixx) * one, one, one);
  doc.fill('#000');
}

/** A4 in millimetres, and what is left of it at its edges. */
export const PAGE = { wide: 210, high: 297, edge: 14, foot: 14 } as const;
export const INSIDE = PAGE.wide - 2 * PAGE.edge;

/** A page that is drawn in millimetres. */
export function newSheet(doc: Pdf): void {
  doc.addPage();
  doc.scale(MM);
}
/** y where so much goes onto the page, or the top of the next. */
export function room(doc: Pdf, y: number, high: number): number {
  if (y + high <= PAGE.high - PAGE.foot) return y;
  newSheet(doc);
  return PAGE.edge;
}

export interface At {
  x: number;
  y: number;
  wide: number;
  size: number;
  right?: boolean;
  lines?: number;
}
/** Words in their room: of one line they are set smaller where they are too wide, since a figure that is cut off is entered so. */
export function write(doc: Pdf, face: Face, text: string, { x, y, wide, size, right, lines = 1 }: At): void {
  doc.font(FONTS[face]).fontSize(size).fillColor('#000');
  const is = doc.widthOfString(text);
  if (lines === 1 && is > wide) doc.fontSize((size * wide * 0.995) / is);
  doc.text(text, x, y, {
    width: wide,
    height: lines * size * LINE,
    lineBreak: lines > 1,
    ellipsis: lines > 1,
    ...(right ? { align: 'right' as const } : {}),
  });
}
/** How high a line is, of the size of its letters. */
export const LINE = 1.42;
/** How many lines words take where they are not set smaller. */
export function linesIn(
  doc: Pdf,
  face: Face,
  text: string,
  { wide, size }: Pick<At, 'wide' | 'size'>,
): number {
  doc.font(FONTS[face]).fontSize(size);
  return Math.max(1, Math.round(doc.heightOfString(text, { width: wide }) / doc.currentLineHeight(true)));
}
/** Words of several lines, none cut off, over as many pages as they take; gives where they end. */
export function paragraphs(doc: Pdf, face: Face, text: string, { x, y, wide, size }: At): number {
  let end = y;
  for (const part of text.split('\n').filter((line) => line.trim())) {
    const lines = linesIn(doc, face, part, { wide, size });
    end = room(doc, end, lines * size * LINE);
    write(doc, face, part, { x, y: end, wide, size, lines });
    // The room is more than they take: over many lines it would be a gap.
    end += lines * doc.currentLineHeight(true);
  }
  return end;
}
export const rule = (doc: Pdf, x1: number, x2: number, y: number, thick = 0.15) =>
  doc.lineWidth(thick).moveTo(x1, y).lineTo(x2, y).stroke('#000');
/** A blank: a dashed line to write on. */
export function blank(doc: Pdf, x: number, y: number, wide: number): void {
  doc.save().dash(1, { space: 0.8 });
  rule(doc, x, x + wide, y, 0.2);
  doc.restore();
}

/** At the foot of each page what it is, and which of how many. */
export function footed(doc: Pdf, words: string): void {
  const { count } = doc.bufferedPageRange();
  for (let i = 0; i < count; i += 1) {
    // Its page is in millimetres still.
    doc.switchToPage(i);
    const y = PAGE.high - 10;
    write(doc, 'words', words, { x: PAGE.edge, y, wide: INSIDE - 25, size: 2.6 });
    write(doc, 'words', `${i + 1} of ${count}`, {
      ...{ x: PAGE.wide - PAGE.edge - 20, y, wide: 20, size: 2.6, right: true },
    });
  }
}
