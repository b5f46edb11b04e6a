import 'server-only';
import { join } from 'node:path';
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
