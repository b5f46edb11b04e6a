import 'server-only';
import { localDay } from '@/core/units';
import type { ShiftView } from '@/crib/shift';
import {
  A4,
  blank,
  footed,
  INSIDE,
  LINE,
  linesIn,
  newPdf,
  newSheet,
  PAGE,
  paragraphs,
  type Pdf,
  room,
  rule,
  write,
} from './pdf';

/** What is handed over, on A4: the note first, a heap under each name, and a line for the initials of whoever takes it over. */
export function shiftPdf(shift: ShiftView, printed: Date, zone: string): Promise<Buffer> {
  const { doc, done } = newPdf('Hand-over', A4, true);
  newSheet(doc);
  write(doc, 'strong', 'Hand-over', { x: PAGE.edge, y: PAGE.edge, wide: INSIDE, size: 7 });
  const { since, waiting } = shift;
  write(
    doc,
    'words',
    since
      ? `since ${since.takenBy} took over from ${since.who} on ${localDay(since.takenAt ?? since.happenedAt, zone)}`
      : 'nothing was taken over before: since the day before',
    { x: PAGE.edge, y: PAGE.edge + 10, wide: INSIDE, size: 3.8 },
  );
  let y = PAGE.edge + 17;
  rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y, 0.6);
  y += 3;
  if (waiting?.words) {
    const at = { x: PAGE.edge, y, wide: INSIDE, size: 4 };
    y = paragraphs(doc, 'strong', `${waiting.who}: ${waiting.words}`, at) + 2;
  }
  for (const { name, lines } of shift.heaps)
    y = heap(
      doc,
      name,
      y,
      lines.map((l) => [l.machine ? `${l.todo}, ${l.machine}` : l.todo, l.why]),
    );
  y = heap(
    doc,
    'Lent',
    y,
    shift.lent.map((l) => [`${l.what} to ${l.person}`, l.due === null ? '' : `back by ${l.due}`]),
  );
  y = heap(doc, 'Made', y, [
    ...shift.made.map((m): [string, string] => [`${m.parts} of ${m.job} ${m.part}, ${m.machine}`, '']),
    ...(shift.moreMade ? [['And more: these were logged last.', ''] satisfies [string, string]] : []),
  ]);
  y = heap(
    doc,
    'Done',
    y,
    shift.done.map((d) => [
      d.words,
      `${localDay(d.happenedAt, zone)}, ${d.who}${d.note ? `; ${d.note}` : ''}`,
    ]),
  );
  y = room(doc, y + 6, 14);
  blank(doc, PAGE.edge, y + 8, 60);
  write(doc, 'words', 'taken over by, when', { x: PAGE.edge + 64, y: y + 5, wide: 80, size: 3.2 });
  footed(doc, `As it stood ${localDay(printed, zone)}.`);
  doc.end();
  return done;
}

function heap(doc: Pdf, name: string, top: number, lines: readonly (readonly [string, string])[]): number {
  if (!lines.length) return top;
  let y = room(doc, top + 3, 16);
  write(doc, 'strong', `${name}: ${lines.length}`, { x: PAGE.edge, y, wide: INSIDE, size: 4 });
  y += 6.5;
  for (const [words, why] of lines) {
    // Each at its size, in as many lines as it takes: on paper nobody can pull at what is small.
    const does = { wide: INSIDE * 0.5, size: 3.2 };
    const because = { wide: INSIDE * 0.48, size: 2.9 };
    const of = [linesIn(doc, 'words', words, does), linesIn(doc, 'words', why, because)] as const;
    const high = Math.max(of[0] * does.size, of[1] * because.size) * LINE;
    y = room(doc, y, high + 1);
    write(doc, 'words', words, { x: PAGE.edge, y, ...does, lines: of[0] });
    write(doc, 'words', why, { x: PAGE.edge + INSIDE * 0.52, y, ...because, lines: of[1] });
    y += high + 0.6;
  }
  return y;
}
