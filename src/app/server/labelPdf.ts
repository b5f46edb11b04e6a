import 'server-only';
import type { Label } from '@/crib/rack';
import { mirrored } from '@/ui/rack';
import { A4, drawCode, type Face, FONTS, MM, newPdf, type Pdf } from './pdf';

/** A label, and how many of them lie on an A4 sheet, mm. */
const LABEL = { wide: 50, high: 25 } as const;
const SHEET = { across: 4, down: 11, left: 5, top: 11 } as const;

/** Labels of 50 x 25 mm, each a page of its own; or side by side on A4, after those that were used of the first sheet. */
export function labelsPdf(labels: readonly Label[], as: 'one' | 'sheet', used = 0): Promise<Buffer> {
  const { doc, done } = newPdf('Labels', as === 'one' ? [LABEL.wide * MM, LABEL.high * MM] : A4);
  const onSheet = as === 'one' ? 1 : SHEET.across * SHEET.down;
  for (const [i, label] of labels.entries()) {
    const at = (as === 'one' ? i : i + used) % onSheet;
    if (i === 0 || at === 0) doc.addPage();
    doc.save();
    if (as === 'sheet')
      doc.translate(
        (SHEET.left + (at % SHEET.across) * LABEL.wide) * MM,
        (SHEET.top + Math.floor(at / SHEET.across) * LABEL.high) * MM,
      );
    // From here on in millimetres of the label.
    doc.scale(MM);
    drawLabel(doc, label);
    doc.restore();
  }
  if (!labels.length) doc.addPage();
  doc.end();
  return done;
}

function drawLabel(doc: Pdf, l: Label): void {
  drawCode(doc, l.code, 2, 2, 13);
  write(doc, 'words', l.holder, 2, 16.2, 13, 2);
  write(doc, 'figures', l.tag, 17, 2, 23.5, 4.4);
  write(doc, 'words', l.words, 17, 6.6, 23.5, 2.1);
  const line = (y: number) => doc.lineWidth(0.15).moveTo(17, y).lineTo(40.5, y).stroke('#000');
  write(doc, 'words', l.length ? `L  ${l.length.day.slice(2)} ${l.length.who}` : 'L', 17, 10, 10.9, 2);
  write(doc, 'figures', l.length?.text ?? '', 29, 9.3, 11.5, 3, 'right');
  line(12.5);
  write(doc, 'words', 'D', 17, 13.4, 3, 2);
  write(doc, 'figures', l.diameter ?? '', 19, 12.9, 8.5, 2.7);
  write(doc, 'words', 'out', 28.5, 13.4, 4, 2);
  write(doc, 'figures', l.stickout, 32, 12.9, 8.5, 2.7, 'right');
  line(16);
  if (l.stop === null)
    for (const [i, words] of l.registers.entries())
      write(doc, 'strong', words, 17, 16.6 + 2.7 * i, 23.5, 2.3);
  else write(doc, 'strong', `DO NOT RUN: ${l.stop}`, 17, 16.3, 23.5, 2, 'left', 3);
  const { holder, shank, flute, length, widest } = l.outline;
  const scale = Math.min(21 / length, 6 / widest);
  doc.save().translate(44.8, 2);
  doc.path(mirrored(holder, scale)).fill('#000');
  if (shank.length) doc.path(mirrored(shank, scale)).fill('#888');
  if (flute.length) doc.lineWidth(0.25).path(mirrored(flute, scale)).fillAndStroke('#fff', '#000');
  doc.restore();
}

/**
 * A line of text in its room, mm: what is too wide is set smaller, since a figure that is cut off would be entered. With
 * more lines it breaks instead, and only words that still do not fit end in dots.
 */
function write(
  doc: Pdf,
  face: Face,
  text: string,
  x: number,
  y: number,
  wide: number,
  size: number,
  align: 'left' | 'right' = 'left',
  lines = 1,
): void {
  if (!text) return;
  doc.font(FONTS[face]).fontSize(size).fillColor('#000');
  const is = doc.widthOfString(text);
  if (lines === 1 && is > wide) doc.fontSize((size * wide * 0.995) / is);
  doc.text(text, x, y, {
    width: lines === 1 ? undefined : wide,
    height: lines === 1 ? undefined : lines * size * 1.42,
    ellipsis: lines > 1,
    lineBreak: lines > 1,
    ...(lines === 1 && align === 'right' ? { width: wide, align } : {}),
  });
}
