import 'server-only';
import { type PartRange, partWords, PART_VERDICTS } from '@/core/breakage';
import { LIMITS } from '@/core/limits';
import { localDay } from '@/core/units';
import type { HoldSheet } from '@/crib/held';
import { A4, blank, drawCode, MM, newPdf, rule, write } from './pdf';

/** A tag, and how many of them lie on an A4 sheet, mm. */
const TAG = { wide: 95, high: 52 } as const;
const SHEET = { across: 2, down: 5, left: 10, top: 12 } as const;

/**
 * Tags for held parts: one for each part of which nobody decided, or, where they would be more than are printed at once, one
 * for each run of them. Each says that it is held, why, and has room for the verdict and a signature.
 */
export function holdPdf(hold: HoldSheet, zone: string): Promise<Buffer> {
  const { doc, done } = newPdf(`Held parts ${hold.number}`, A4);
  const tags = tagsOf(hold);
  for (const [i, tag] of tags.entries()) {
    const at = i % (SHEET.across * SHEET.down);
    if (at === 0) doc.addPage();
    doc.save();
    doc.translate(
      (SHEET.left + (at % SHEET.across) * TAG.wide) * MM,
      (SHEET.top + Math.floor(at / SHEET.across) * TAG.high) * MM,
    );
    // From here on in millimetres of the tag.
    doc.scale(MM);
    doc.lineWidth(0.2).dash(1, { space: 1 });
    doc.rect(0, 0, TAG.wide, TAG.high).stroke('#000').undash();
    drawCode(doc, hold.number, 4, 4, 14);
    write(doc, 'strong', 'HELD', { x: 22, y: 3.6, wide: 30, size: 7 });
    write(doc, 'figures', hold.number, { x: 58, y: 4.2, wide: 33, size: 6, right: true });
    write(doc, 'strong', `${partWords([tag])} of ${hold.job}, operation ${hold.operation}`, {
      ...{ x: 22, y: 12, wide: 69, size: 4.2 },
    });
    write(doc, 'words', hold.part, { x: 22, y: 17, wide: 69, size: 3.4 });
    write(doc, 'words', hold.why, { x: 4, y: 22.5, wide: 87, size: 3.4, lines: 2 });
    write(doc, 'words', `since ${localDay(hold.happenedAt, zone)}, ${hold.who}, ${hold.machine}`, {
      ...{ x: 4, y: 32, wide: 87, size: 3 },
    });
    rule(doc, 4, 91, 36.5);
    for (const [n, words] of Object.values(PART_VERDICTS).entries()) {
      const x = 4 + n * 24;
      doc.lineWidth(0.25).rect(x, 39, 4, 4).stroke('#000');
      write(doc, 'words', words, { x: x + 5.5, y: 39.3, wide: 17, size: 3.2 });
    }
    blank(doc, 4, 49.5, 40);
    write(doc, 'words', 'by whom, when', { x: 46, y: 46.8, wide: 45, size: 2.8 });
    doc.restore();
  }
  if (!tags.length) doc.addPage();
  doc.end();
  return done;
}

function tagsOf(hold: HoldSheet): PartRange[] {
  const open = hold.stands.filter((s) => s.by === null);
  if (hold.open > LIMITS.labels.most) return open.slice(0, LIMITS.labels.most);
  return open.flatMap((r) =>
    Array.from({ length: r.last - r.first + 1 }, (_, i) => ({ first: r.first + i, last: r.first + i })),
  );
}
