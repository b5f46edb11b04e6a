import 'server-only';
import { leavesWords, SIGN_STEPS, zeroWords } from '@/core/jobs';
import { namesOf } from '@/core/names';
import { localDay } from '@/core/units';
import type { JobView } from '@/crib/jobs';
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

/** Columns of the tools, mm. */
const COLUMNS = [
  { name: 'T', wide: 11 },
  { name: 'Assembly', wide: 45 },
  { name: 'Leaves', wide: 24 },
  { name: 'Out', wide: 17, right: true },
  { name: 'H', wide: 23, right: true },
  { name: 'D', wide: 20, right: true },
  { name: 'Checks', wide: 42 },
] as const;
const CHECKS = COLUMNS[6];
/** The size of what is said in words in a row, mm. */
const WORDED = 2.7;

/**
 * The setup sheet of an operation for the machine, A4 with its fonts: what is not known is a line to write on. `printed`: the
 * moment it was made, which says how old it is.
 */
export function setupPdf(job: JobView, printed: Date, zone: string): Promise<Buffer> {
  const { operation: o, setup } = job;
  const { doc, done } = newPdf(`Setup sheet ${o.job}, operation ${o.number}`, A4, true);
  newSheet(doc);
  let y = heading(doc, job);
  y = facts(doc, job, y);
  y = notes(doc, setup.sheet?.notes ?? null, y);
  y = tools(doc, job, y + 4);
  y = signatures(doc, job, y + 4, zone);
  write(
    doc,
    'strong',
    'Care. First run of any changed program, length or offset: raise zero, run it in the air, low override, hand on feed hold. The machine maker’s manual and the site’s rules go first; trained people only.',
    { x: PAGE.edge, y: room(doc, y + 3, 12), wide: INSIDE, size: 3, lines: 3 },
  );
  footed(
    doc,
    `${o.job}, operation ${o.number}. As it stood ${localDay(printed, zone)}: look it up before a later run.`,
  );
  doc.end();
  return done;
}

function heading(doc: Pdf, { operation: o, program }: JobView): number {
  write(doc, 'strong', `${o.job}  operation ${o.number}`, { x: PAGE.edge, y: PAGE.edge, wide: 110, size: 7 });
  write(doc, 'words', 'Setup sheet', { x: 140, y: PAGE.edge + 1, wide: 56, size: 5, right: true });
  write(doc, 'words', `${o.part}: ${o.quantity} in ${o.material} on ${o.machine}, due ${o.due}`, {
    ...{ x: PAGE.edge, y: PAGE.edge + 10, wide: INSIDE, size: 3.8 },
  });
  if (program)
    write(doc, 'words', `Program ${program.name}`, {
      x: PAGE.edge,
      y: PAGE.edge + 16,
      wide: INSIDE,
      size: 3.4,
    });
  const y = PAGE.edge + 22;
  rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y, 0.6);
  return y + 2;
}

function facts(doc: Pdf, { operation: o, setup }: JobView, top: number): number {
  const { sheet: s, box, offset } = setup;
  const mm = (n: number) => `${Math.round(n * 1000) / 1000} mm`;
  const rows: [string, string | null | undefined][] = [
    ['Drawing', s?.drawing],
    ['Revision', s?.revision ?? (o.revision || null)],
    ['Program number', s?.programNumber],
    ['Customer’s', o.customer],
    ['Fixture', s?.fixture],
    ['Lies against', s?.against],
    ['Stock X', s?.stockXEntered],
    ['Stock Y', s?.stockYEntered],
    ['Stock Z', s?.stockZEntered],
    ['Parallels', s?.parallelsEntered],
    ['Zero', box && zeroWords(box, mm)],
    ['Work offset', s?.workOffset],
    ['X', offset?.X],
    ['Y', offset?.Y],
    ['Z', offset?.Z],
  ];
  const [name, value] = [28, 62];
  let y = top;
  for (const [label, text] of rows) {
    write(doc, 'words', label, { x: PAGE.edge, y: y + 1.2, wide: name, size: 3 });
    if (text) write(doc, 'figures', text, { x: PAGE.edge + name, y: y + 0.9, wide: value, size: 3.4 });
    else blank(doc, PAGE.edge + name, y + 4.8, value);
    y += 6;
  }
  sketch(doc, setup, PAGE.edge + name + value + 10, top + 2);
  return Math.max(y, top + 94);
}

/** The stock from above and from the front, to scale, a dot at zero. */
function sketch(doc: Pdf, { box }: JobView['setup'], x: number, y: number): void {
  if (!box) return;
  const { x: X, y: Y, z: Z } = box.stock;
  if (X === null || Y === null || Z === null) return;
  const scale = Math.min(74 / X, 40 / Y, 20 / Z);
  const [w, d, h] = [X * scale, Y * scale, Z * scale];
  // Above each there is room for an axis that begins at its edge; what it is stands below.
  const high = y + 7;
  const low = high + d + 13;
  const under = low + h + Math.min((box.parallels ?? 0) * scale, 8);
  write(doc, 'words', 'from above', { x, y: high + d + 1.5, wide: 40, size: 2.6 });
  write(doc, 'words', 'from the front', { x, y: under + 1.5, wide: 40, size: 2.6 });
  doc.lineWidth(0.3).rect(x, high, w, d).stroke('#000');
  doc.rect(x, low, w, h).stroke('#000');
  rule(doc, x - 3, x + w + 3, under, 0.7);
  const dot = (px: number, py: number, up: string) => {
    doc.circle(px, py, 1.1).fill('#000');
    doc
      .lineWidth(0.3)
      .moveTo(px, py)
      .lineTo(px + 7, py)
      .moveTo(px, py)
      .lineTo(px, py - 5)
      .stroke('#000');
    write(doc, 'strong', 'X', { x: px + 7.4, y: py - 1.4, wide: 4, size: 2.6 });
    write(doc, 'strong', up, { x: px + 0.8, y: py - 6.6, wide: 4, size: 2.6 });
  };
  const { zero } = box;
  if (zero.x === null) return;
  if (zero.y !== null) dot(x + zero.x * scale, high + d - zero.y * scale, 'Y');
  if (zero.z !== null) dot(x + zero.x * scale, low + h - zero.z * scale, 'Z');
}

const notes = (doc: Pdf, text: string | null, top: number): number =>
  text
    ? paragraphs(doc, 'words', text, { x: PAGE.edge, y: room(doc, top + 2, 10), wide: INSIDE, size: 3.2 })
    : top;

function tools(doc: Pdf, { tools: lines, setup }: JobView, top: number): number {
  const headed = (y: number) => {
    let x: number = PAGE.edge;
    for (const c of COLUMNS) {
      write(doc, 'strong', c.name, { x, y, wide: c.wide - 2, size: 3, right: 'right' in c });
      x += c.wide;
    }
    rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y + 5, 0.4);
    return y + 6;
  };
  const ROW = 9;
  let y = headed(room(doc, top, 2 * ROW + 6));
  for (const line of lines) {
    const on = setup.tools[line.t];
    const checks = line.use.why ?? line.use.grade;
    const leaves = line.plan && leavesWords(line.plan.leaves, (n) => String(Math.round(n * 1000) / 1000));
    // Where nothing is said of what it leaves, the name goes on below that blank.
    const under = { wide: leaves ? 44 : 66, size: 2.6 };
    const named = [line.words ?? line.tool.name, line.plan?.does].filter((w) => w).join('; ');
    // None of it is set smaller or cut off: the row grows.
    const [checkLines, nameLines] = [
      linesIn(doc, 'words', checks, { wide: CHECKS.wide - 2, size: WORDED }),
      linesIn(doc, 'words', named, under),
    ];
    const high = Math.max(ROW, 1 + checkLines * WORDED * LINE, 5.3 + nameLines * under.size * LINE);
    if (y + high > PAGE.high - PAGE.foot) y = headed(room(doc, y, high));
    const cells = [
      `T${line.t}`,
      on?.tag ?? null,
      leaves,
      on?.stickout ?? null,
      on?.H ?? null,
      on?.D ?? null,
      checks,
    ];
    let x: number = PAGE.edge;
    for (const [i, c] of COLUMNS.entries()) {
      const text = cells[i];
      const worded = c.name === 'Checks' || c.name === 'Leaves';
      if (text)
        write(doc, worded ? 'words' : 'figures', text, {
          ...{ x, y, wide: c.wide - 2, size: worded ? WORDED : 3.3, right: 'right' in c },
          ...(worded ? { lines: c === CHECKS ? checkLines : 2 } : {}),
        });
      else blank(doc, x, y + 4, c.wide - 2);
      x += c.wide;
    }
    write(doc, 'words', named, { x: PAGE.edge + 11, y: y + 4.7, ...under, lines: nameLines });
    rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y + high - 0.8, 0.1);
    y += high;
  }
  return y;
}

function signatures(doc: Pdf, { setup }: JobView, top: number, zone: string): number {
  let y = room(doc, top, 5 * 8 + 6);
  write(doc, 'strong', 'Signed', { x: PAGE.edge, y, wide: 40, size: 3.4 });
  y += 6;
  for (const step of namesOf(SIGN_STEPS)) {
    const sign = setup.signed.find((s) => s.step === step);
    y = room(doc, y, 8);
    write(doc, 'words', step, { x: PAGE.edge, y, wide: 24, size: 3.2 });
    if (sign && !sign.doubts.length)
      write(doc, 'strong', `${sign.name}, ${localDay(sign.happenedAt, zone)}`, {
        x: 40,
        y,
        wide: 156,
        size: 3.2,
      });
    else {
      blank(doc, 40, y + 4.2, 60);
      if (sign) {
        const doubts = `${sign.name} signed ${localDay(sign.happenedAt, zone)}; since then ${sign.doubts.map((d) => d.words).join('; ')}`;
        const beside = { wide: 92, size: 2.6 };
        const lines = linesIn(doc, 'words', doubts, beside);
        write(doc, 'words', doubts, { x: 104, y, ...beside, lines });
        y += Math.max(0, lines - 2) * beside.size * LINE;
      }
    }
    y += 8;
  }
  return y;
}
