import { type AsForm, type DiameterSchool, digitsOf } from '../measuring';
import { registerNumber } from './readBack';
import type { RegisterNumbers } from './registerNumbers';

/**
 * How a control takes its tool table from a program. 'table': one block a tool, L1, Z the length and R the radius (the
 * RS-274/NGC form). 'geometry and wear': a block a register, L10 and L11 length geometry and wear, L12 and L13 diameter.
 */
export const G10_FORMS = ['table', 'geometry and wear'] as const;
export type G10Form = (typeof G10_FORMS)[number];

/** A numbered row of a control's table, as text in the machine's own unit; null: not written. */
export interface OffsetLine {
  number: number;
  h: string | null;
  d: string | null;
  hWear: string | null;
  dWear: string | null;
}

/** What goes into the registers of a tool, each by its number. */
export interface ToolOffsets extends Omit<OffsetLine, 'number'> {
  t: number;
  numbers: RegisterNumbers;
  words: string;
}

export interface Sheet {
  machine: string;
  unit: 'mm' | 'inch';
  /** After the point; left out or null: the usual. */
  digits?: number | null;
  diameterSchool: DiameterSchool;
  form: G10Form;
  /** What stands above, in words: when it was made. */
  made: string;
  lines: readonly ToolOffsets[];
}

/** ASCII with a point always: −347.684 -> -347.684; 12 -> 12. */
const plain = (text: string): string => {
  const t = text.replace('−', '-');
  return t.includes('.') ? t : `${t}.`;
};
/** What stands in brackets may hold no bracket, and a control's screen has capitals only. */
const comment = (words: string): string =>
  `(${words
    .toUpperCase()
    .normalize('NFKD')
    .replace(/[()%]/g, ' ')
    .replace(/[^ -~]/g, '')})`;
/** Half of a figure, with a digit more so that it comes back. */
const half = (text: string, as: AsForm): string =>
  ((registerNumber(text) ?? 0) / 2).toFixed(digitsOf(as) + 1);
/** The D register of such a school is the one for wear. */
export const isWear = (school: DiameterSchool): boolean =>
  school === 'wear-diameter' || school === 'wear-radius';

/**
 * A program that writes a machine's registers when it is run there: it says G90 (a modal G91 would add instead of set) and
 * G20 or G21, and every figure has a point. A blank register is not written. Wear registers get what corrections put there, else
 * nothing, since they add; where the school holds the difference to the programmed size, that is what goes into the wear
 * register. Forms from memory of the RS-274/NGC interpreter and of common ISO 6983 dialects: a control's own manual decides.
 * Example: T7 with -347.684 and 4.994: G10 L1 P7 Z-347.684 R4.994.
 */
export function registersAsG10(sheet: Sheet): string {
  const { unit, form, diameterSchool: school } = sheet;
  const blocks = sheet.lines.flatMap(({ t, numbers, h, d, hWear, dWear, words }) => {
    if (h === null && d === null) return [];
    const said = comment(`T${t} ${words}`);
    if (form === 'table') {
      // Its R is a radius, whatever else the machine holds.
      const Z = h === null ? '' : ` Z${plain(h)}`;
      const R =
        d === null
          ? ''
          : ` R${/diameter/.test(school) ? half(d, { units: unit, digits: sheet.digits ?? null }) : plain(d)}`;
      return numbers.h === numbers.d || !Z || !R
        ? [said, `G10 L1 P${Z ? numbers.h : numbers.d}${Z}${R}`]
        : [said, `G10 L1 P${numbers.h}${Z}`, `G10 L1 P${numbers.d}${R}`];
    }
    const [P, Q] = [`P${numbers.h}`, `P${numbers.d}`];
    return [
      said,
      ...(h === null ? [] : [`G10 L10 ${P} R${plain(h)}`, `G10 L11 ${P} R${plain(hWear ?? '0.')}`]),
      ...(d === null
        ? []
        : isWear(school)
          ? [`G10 L12 ${Q} R0.`, `G10 L13 ${Q} R${plain(d)}`]
          : [`G10 L12 ${Q} R${plain(d)}`, `G10 L13 ${Q} R${plain(dWear ?? '0.')}`]),
    ];
  });
  return [
    '%',
    comment(`REGISTERS OF ${sheet.machine}, ${sheet.made}`),
    comment(`${unit === 'mm' ? 'MILLIMETRES' : 'INCHES'}. IT SETS, IT DOES NOT ADD`),
    `${unit === 'mm' ? 'G21' : 'G20'} G90`,
    ...blocks,
    'M30',
    '%',
    '',
  ].join('\n');
}

/**
 * The registers in such a program, or in a table with number, H and D, as they stand there: to be held against what they should
 * be, never to be taken over. Lines of neither form are left out. Linear in the text.
 * Example: 'G10 L10 P7 R-347.684' -> number 7, H -347.684.
 */
export function readOffsets(text: string, school: DiameterSchool, as: AsForm): OffsetLine[] {
  const found = new Map<number, OffsetLine>();
  const at = (number: number): OffsetLine => {
    const now = found.get(number) ?? { number, h: null, d: null, hWear: null, dWear: null };
    found.set(number, now);
    return now;
  };
  for (const raw of text.split(/\r?\n/)) {
    if (raw.length > 400) continue;
    const line = raw.replace(/\([^)]*\)/g, ' ').toUpperCase();
    const word = (letter: string) => new RegExp(`${letter} ?(-?[0-9.]+)`).exec(line)?.[1];
    const P = Number(word('P') ?? NaN);
    if (/G10(?!\d)/.test(line) && Number.isInteger(P)) {
      const L = word('L');
      const [Z, R] = [word('Z'), word('R')];
      const now = at(P);
      if (L === '1') {
        if (Z !== undefined) now.h = Z;
        if (R !== undefined) now.d = /diameter/.test(school) ? (Number(R) * 2).toFixed(digitsOf(as)) : R;
      } else if (L === '10') now.h = R ?? now.h;
      else if (L === '11') now.hWear = R ?? now.hWear;
      else if (L === '12') now.d = R ?? now.d;
      else if (L === '13') now.dWear = R ?? now.dWear;
      continue;
    }
    const cells = raw.split(/[;,\t]/).map((c) => c.trim().replace(/^"|"$/g, ''));
    const [t = '', h = '', d = ''] = cells;
    if (!/^T?\d{1,4}$/i.test(t) || (registerNumber(h) === null && registerNumber(d) === null)) continue;
    const now = at(Number(t.replace(/^T/i, '')));
    if (registerNumber(h) !== null) now.h = h;
    if (registerNumber(d) !== null) now.d = d;
  }
  return [...found.values()].map((row) =>
    // Such a school holds its figure in the register for wear.
    isWear(school) && row.dWear !== null ? { ...row, d: row.dWear, dWear: null } : row,
  );
}

/** Work offsets that every control has, by their G. */
export const WORK_OFFSETS = ['G54', 'G55', 'G56', 'G57', 'G58', 'G59'] as const;
export type WorkOffset = (typeof WORK_OFFSETS)[number];

/**
 * A program that writes one work offset when it is run: L2, P1 for G54 and on, with G90 and the unit as above. Coordinates as
 * text in that unit; one that is null is not written. Example: G54 at -27.6 -10. -483.5: G10 L2 P1 X-27.6 Y-10. Z-483.5.
 */
export function workOffsetAsG10(
  offset: WorkOffset,
  at: Readonly<Record<'X' | 'Y' | 'Z', string | null>>,
  unit: 'mm' | 'inch',
  words: string,
): string {
  const axes = (['X', 'Y', 'Z'] as const).flatMap((axis) => {
    const text = at[axis];
    return text === null ? [] : [`${axis}${plain(text)}`];
  });
  const P = WORK_OFFSETS.indexOf(offset) + 1;
  return `${[
    '%',
    comment(`${offset} ${words}`),
    unit === 'mm' ? 'G21' : 'G20',
    'G90',
    `G10 L2 P${P} ${axes.join(' ')}`,
    'M30',
    '%',
  ].join('\n')}\n`;
}
