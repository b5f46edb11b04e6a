import 'server-only';
import { leavesWords, SIGN_STEPS, zeroWords } from '@/core/jobs';
import { namesOf } from '@/core/names';
import { localDay } from '@/core/units';
import type { JobView } from '@/crib/jobs';
import { A4, blank, FONTS, footed, INSIDE, newPdf, newSheet, PAGE, type Pdf, room, rule, write } from './pdf';

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
  return Math.max(y, top + 92);
}

/** The stock from above and from the front, to scale, a dot at zero. */
function sketch(doc: Pdf, { box }: JobView['setup'], x: number, y: number): void {
  if (!box) return;
  const { x: X, y: Y, z: Z } = box.stock;
  if (X === null || Y === null || Z === null) return;
  const scale = Math.min(74 / X, 48 / Y, 24 / Z);
  const [w, d, h] = [X * scale, Y * scale, Z * scale];
  const low = y + 5 + d + 9;
  write(doc, 'words', 'from above', { x, y, wide: 40, size: 2.6 });
  write(doc, 'words', 'from the front', { x, y: low - 4, wide: 40, size: 2.6 });
  doc
    .lineWidth(0.3)
    .rect(x, y + 5, w, d)
    .stroke('#000');
  doc.rect(x, low, w, h).stroke('#000');
  rule(doc, x - 3, x + w + 3, low + h + Math.min((box.parallels ?? 0) * scale, 8), 0.7);
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
  if (zero.y !== null) dot(x + zero.x * scale, y + 5 + d - zero.y * scale, 'Y');
  if (zero.z !== null) dot(x + zero.x * scale, low + h - zero.z * scale, 'Z');
}

function notes(doc: Pdf, text: string | null, top: number): number {
  if (!text) return top;
  doc.font(FONTS.words).fontSize(3.2);
  const high = Math.min(doc.heightOfString(text, { width: INSIDE }), 80);
  const y = room(doc, top + 2, high);
  write(doc, 'words', text, {
    x: PAGE.edge,
    y,
    wide: INSIDE,
    size: 3.2,
    lines: Math.ceil(high / (3.2 * 1.2)),
  });
  return y + high;
}

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
    if (y + ROW > PAGE.high - PAGE.foot) y = headed(room(doc, y, ROW));
    const on = setup.tools[line.t];
    const cells = [
      `T${line.t}`,
      on?.tag ?? null,
      line.plan && leavesWords(line.plan.leaves, (n) => String(Math.round(n * 1000) / 1000)),
      on?.stickout ?? null,
      on?.H ?? null,
      on?.D ?? null,
      line.use.why ?? line.use.grade,
    ];
    let x: number = PAGE.edge;
    for (const [i, c] of COLUMNS.entries()) {
      const text = cells[i];
      const worded = c.name === 'Checks' || c.name === 'Leaves';
      if (text)
        write(doc, worded ? 'words' : 'figures', text, {
          ...{ x, y, wide: c.wide - 2, size: worded ? 2.7 : 3.3, right: 'right' in c },
          ...(worded ? { lines: 2 } : {}),
        });
      else blank(doc, x, y + 4, c.wide - 2);
      x += c.wide;
    }
    write(doc, 'words', [line.words ?? line.tool.name, line.plan?.does].filter((w) => w).join('; '), {
      x: PAGE.edge + 11,
      y: y + 4.4,
      wide: 44,
      size: 2.6,
    });
    rule(doc, PAGE.edge, PAGE.wide - PAGE.edge, y + ROW - 0.8, 0.1);
    y += ROW;
  }
  return y;
}

function signatures(doc: Pdf, { setup }: JobView, top: number, zone: string): number {
  let y = room(doc, top, 5 * 8 + 6);
  write(doc, 'strong', 'Signed', { x: PAGE.edge, y, wide: 40, size: 3.4 });
  y += 6;
  for (const step of namesOf(SIGN_STEPS)) {
    const sign = setup.signed.find((s) => s.step === step);
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
      if (sign)
        write(
          doc,
          'words',
          `${sign.name} signed ${localDay(sign.happenedAt, zone)}; since then ${sign.doubts.map((d) => d.words).join('; ')}`,
          {
            ...{ x: 104, y, wide: 92, size: 2.6, lines: 2 },
          },
        );
    }
    y += 8;
  }
  return y;
}
