import 'server-only';
import { localDay } from '@/core/units';
import { KIT_HEAPS } from '@/core/pockets';
import type { KitTool, KitView } from '@/crib/pockets';
import {
  A4,
  blank,
  drawCode,
  footed,
  INSIDE,
  LINE,
  linesIn,
  newPdf,
  newSheet,
  PAGE,
  type Pdf,
  room,
  rule,
  write,
} from './pdf';

/** How high a line is: a code must be read off it at arm's length. */
const ROW = 14;

/** What is fetched for a job, in the order of the shelves, each tag with the code that its label begins with, A4. */
export function kitPdf(kit: KitView, printed: Date, zone: string): Promise<Buffer> {
  const { doc, done } = newPdf(`Kit ${kit.job}, operation ${kit.number}`, A4, true);
  newSheet(doc);
  write(doc, 'strong', `Kit  ${kit.job}  operation ${kit.number}`, {
    ...{ x: PAGE.edge, y: PAGE.edge, wide: INSIDE, size: 7 },
  });
  write(doc, 'words', `${kit.part}, for ${kit.machine}, due ${kit.due}, ${kit.partsLeft} parts left`, {
    ...{ x: PAGE.edge, y: PAGE.edge + 10, wide: INSIDE, size: 3.8 },
  });
  let y = PAGE.edge + 18;
  rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y, 0.6);
  y = heap(
    doc,
    'To fetch, one walk',
    y,
    kit.pull.map((p) => [p.place, p.what, p.words, `T${p.forT}`]),
  );
  // Every T is on it: one that is fetched as it stands in the walk, each other in its heap, as on the screen. What a T lacks is to
  // buy, also where the rest of it is here; one that lacks all stands there alone.
  const lacking = kit.tools.flatMap((t) => t.lacking.map((item) => lined(t, item)));
  const rest = kit.tools.filter((t) => t.tag === null || !kit.pull.some((p) => p.what === t.tag));
  for (const [todo, states] of KIT_HEAPS) {
    const toBuy = states.includes('missing');
    const those = rest.filter((t) => states.includes(t.state) && !(toBuy && t.lacking.length));
    y = heap(doc, todo, y, [...(toBuy ? lacking : []), ...those.map((t) => lined(t))]);
  }
  footed(doc, `${kit.job}, operation ${kit.number}. As it stood ${localDay(printed, zone)}.`);
  doc.end();
  return done;
}

type Lined = readonly [place: string, what: string, words: string, t: string];
/** A T as it is listed: where it is, its tag (or `lacks`, what it lacks), what it is, and what speaks against it. */
function lined(t: KitTool, lacks?: string): Lined {
  const is = t.words ?? t.plan?.words ?? t.named ?? '';
  const words = [is, t.elsewhere, t.why].filter((w) => w).join('; ');
  return [t.pocket === null || lacks ? '' : `pocket ${t.pocket}`, lacks ?? t.tag ?? '', words, `T${t.t}`];
}

/** A list under its name; what is a tag has its code, and every line a box to tick. */
function heap(doc: Pdf, name: string, top: number, lines: readonly Lined[]): number {
  if (!lines.length) return top;
  let y = room(doc, top + 4, ROW + 8);
  write(doc, 'strong', `${name}: ${lines.length}`, { x: PAGE.edge, y, wide: INSIDE, size: 3.8 });
  y += 7;
  for (const [place, what, words, t] of lines) {
    const said = { wide: 80, size: 3 };
    const of = linesIn(doc, 'words', words, said);
    const high = Math.max(ROW, 4 + of * said.size * LINE);
    y = room(doc, y, high);
    doc
      .lineWidth(0.25)
      .rect(PAGE.edge, y + 2.5, 5, 5)
      .stroke('#000');
    if (place) write(doc, 'figures', place, { x: PAGE.edge + 9, y: y + 3, wide: 27, size: 3.6 });
    else blank(doc, PAGE.edge + 9, y + 7, 24);
    if (/^A-\d+$/.test(what)) drawCode(doc, what, PAGE.edge + 38, y + 0.8, 10);
    write(doc, 'figures', what, { x: PAGE.edge + 52, y: y + 3, wide: 34, size: 3.8 });
    write(doc, 'words', words, { x: PAGE.edge + 88, y: y + 2, ...said, lines: of });
    write(doc, 'figures', t, { x: PAGE.wide - PAGE.edge - 14, y: y + 3, wide: 14, size: 3.6, right: true });
    rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y + high - 1, 0.1);
    y += high;
  }
  return y;
}
