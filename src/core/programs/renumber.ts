import { LIMITS } from '../limits';

/** A new T for an old one. */
export interface Renumbered {
  t: number;
  to: number;
}
/** One number of a program that is written anew, with the line it stands in before and after. */
export interface RenumberChange {
  line: number;
  was: string;
  is: string;
}
/** A place that was left as it is, and why somebody must look. */
export interface RenumberLeft {
  line: number;
  text: string;
  why: string;
}
export interface RenumberedProgram {
  text: string;
  /** Lines that were changed: the first of them, at most `LIMITS.warningLines`. */
  changes: RenumberChange[];
  changed: number;
  left: RenumberLeft[];
}

/** Why a program can't be renumbered by its text alone. */
export class NotRenumbered extends Error {
  constructor(
    readonly line: number,
    readonly why: string,
  ) {
    super(`Line ${line}: ${why}`);
    this.name = 'NotRenumbered';
  }
}

/** Letters whose numbers go with a tool. */
const NUMBERED = new Set(['T', 'H', 'D']);
/** A word, or what stands where its number should: RS-274/NGC (NISTIR 6556) lets blanks stand anywhere. */
const WORD = /([A-Za-z])[ \t]*([-+]?[\d \t]*\.?[\d \t]*)/g;
const NAMED = /\bT(0*)(\d{1,5})\b/gi;

interface Word {
  letter: string;
  /** null: no number, but a variable, an expression, or nothing. */
  value: number | null;
  /** Where its digits stand in the line. */
  from: number;
  to: number;
}

/** What a program says of one line: its words, and where its comments stand. */
interface Line {
  words: Word[];
  comments: { from: number; to: number }[];
}

function partsOf(line: string): Line {
  const comments: Line['comments'] = [];
  // Comments are blanked, so that their letters are no words and places stay what they are.
  let code = '';
  let at = 0;
  const begins = /[(;]/g;
  for (;;) {
    begins.lastIndex = at;
    const from = begins.exec(line)?.index;
    if (from === undefined) break;
    const close = line[from] === ';' ? line.length : line.indexOf(')', from) + 1 || line.length;
    comments.push({ from, to: close });
    code += line.slice(at, from) + ' '.repeat(close - from);
    at = close;
  }
  code += line.slice(at);
  const words: Word[] = [];
  for (const match of code.matchAll(WORD)) {
    const [whole, letter = '', number = ''] = match;
    const digits = number.replaceAll(/[ \t]/g, '');
    const to = match.index + whole.trimEnd().length;
    words.push({
      letter: letter.toUpperCase(),
      value: /\d/.test(digits) ? Number(digits) : null,
      from: to - number.trim().length,
      to,
    });
  }
  return { words, comments };
}

/**
 * A program with other tool numbers: each T by the map, and the H and D that are called with it: those that are the number
 * of their T, and D that stand as far from their T as every other D of the program does (D21 with T1, D22 with T2). What a
 * comment calls by its T is renamed with it. H0 and D0 stay. Anything else that is called with a tool stays, and is named.
 * The text is not written into: a new one comes back. Throws `NotRenumbered` where a number is a variable, a line is longer
 * than is read, or H, D or T stand in a subprogram, which may run for several tools. Numbers keep their leading zeros where they have room for them.
 * Common practice; time goes with the text's length.
 * Example: T1 -> 5 in 'T01 M6' and 'G43 H1 Z50' -> 'T05 M6', 'G43 H5 Z50'.
 */
export function renumberProgram(text: string, map: readonly Renumbered[]): RenumberedProgram {
  const to = new Map(map.map((m) => [m.t, m.to]));
  const lines = text.split('\n');
  const offset = offsetOfD(lines);
  const changes: RenumberChange[] = [];
  const left: RenumberLeft[] = [];
  let changed = 0;
  const out = walk(lines, (line, number, { words, comments }, active) => {
    const edits: { from: number; to: number; is: string }[] = [];
    const leave = (why: string) => {
      if (left.length < LIMITS.warningLines.most)
        left.push({ line: number, text: line.trim().slice(0, 80), why });
    };
    for (const w of words) {
      if (!NUMBERED.has(w.letter)) continue;
      if (w.value === null)
        throw new NotRenumbered(number, `${w.letter} is a variable or an expression, not a number`);
      const is = newNumber(w, active, to, offset);
      if (is === 'left') leave(`${w.letter}${w.value} with T${active ?? '?'}: not the number of its tool`);
      else if (is !== null) edits.push({ from: w.from, to: w.to, is: asLong(line.slice(w.from, w.to), is) });
    }
    if (words.some((w) => w.letter === 'G' && w.value === 10))
      leave('it writes offsets: their numbers are in P, and stay');
    for (const c of comments) {
      const said = line.slice(c.from, c.to);
      const named = said.replaceAll(NAMED, (word, zeros: string, t: string) => {
        const is = to.get(Number(t));
        return is === undefined ? word : `${word[0]}${asLong(zeros + t, is)}`;
      });
      if (named !== said) edits.push({ ...c, is: named });
    }
    if (!edits.length) return line;
    let now = line;
    for (const e of edits.sort((a, b) => b.from - a.from))
      now = now.slice(0, e.from) + e.is + now.slice(e.to);
    if (now === line) return line;
    changed += 1;
    if (changes.length < LIMITS.warningLines.most)
      changes.push({ line: number, was: line.trim(), is: now.trim() });
    return now;
  });
  return { text: out.join('\n'), changes, changed, left };
}

/** The number a word gets; null: it stays as it is; 'left': it stays, and somebody must look. */
function newNumber(
  { letter, value }: Word,
  active: number | null,
  to: ReadonlyMap<number, number>,
  offset: number | null,
): number | null | 'left' {
  if (value === null) return null;
  if (letter === 'T') return to.get(value) ?? null;
  if (value === 0) return null;
  const is = active === null ? undefined : to.get(active);
  if (value === active) return is ?? null;
  if (letter === 'D' && offset !== null && active !== null && value === active + offset)
    return is === undefined ? null : is + offset;
  return 'left';
}

/** As long as it was written, by leading zeros and its point. Example: '01' and 5 -> '05'. */
function asLong(written: string, is: number): string {
  const digits = written.replaceAll(/[^\d]/g, '');
  const text = digits.startsWith('0') ? String(is).padStart(digits.length, '0') : String(is);
  return written.includes('.') ? `${text}.` : text;
}

/** How far every D of a program is from its T, where that is the same for at least two tools and not 0; else null. */
function offsetOfD(lines: readonly string[]): number | null {
  const seen = new Map<number, Set<number>>();
  walk(lines, (line, _, { words }, active) => {
    for (const w of words)
      if (w.letter === 'D' && w.value !== null && w.value !== 0 && active !== null && w.value !== active) {
        const by = w.value - active;
        seen.set(by, (seen.get(by) ?? new Set()).add(active));
      }
    return line;
  });
  const [only, ...more] = [...seen];
  return only && !more.length && only[1].size > 1 ? only[0] : null;
}

/** Goes through the lines with the tool that is in the spindle as each is run, as the reader of programs takes it. */
function walk(
  lines: readonly string[],
  each: (line: string, number: number, parts: Line, active: number | null) => string,
): string[] {
  const long = lines.findIndex((line) => line.length > LIMITS.programLine.most);
  if (long >= 0) throw new NotRenumbered(long + 1, `longer than ${LIMITS.programLine.most} characters`);
  const byM6 = lines.some((line) => partsOf(line).words.some((w) => w.letter === 'M' && w.value === 6));
  let active: number | null = null;
  let selected: number | null = null;
  let ended = false;
  let inSub = false;
  return lines.map((line, i) => {
    const { words, comments } = partsOf(line);
    const has = (letter: string, ...values: number[]) =>
      words.some((w) => w.letter === letter && w.value !== null && values.includes(w.value));
    if (ended && words.some((w) => w.letter === 'O')) inSub = true;
    const numbered = words.filter((w) => NUMBERED.has(w.letter) && w.value !== 0);
    if (inSub && numbered.length)
      throw new NotRenumbered(
        i + 1,
        `${numbered[0]?.letter} in a subprogram, which may run for several tools`,
      );
    const t = words.find((w) => w.letter === 'T' && w.value !== null)?.value ?? null;
    if (t !== null) selected = t;
    const changes = byM6 ? has('M', 6) : has('M', 0, 1);
    if (changes && selected !== null) active = selected;
    if (has('M', 2, 30)) ended = true;
    return each(line, i + 1, { words, comments }, active);
  });
}

/**
 * New numbers for tools in a new order: each the next one up from the first, but those that are kept in their machine under
 * their number, which keep it; others go round them. Example: [3, 1, 2] with 1 kept -> 3 -> 2, 1 stays, 2 -> 3.
 */
export function numbersInOrder(
  order: readonly number[],
  kept: ReadonlySet<number> = new Set(),
): Renumbered[] {
  let next = 1;
  return order.map((t) => {
    if (kept.has(t)) return { t, to: t };
    while (kept.has(next)) next += 1;
    return { t, to: next++ };
  });
}

/** What is wrong with new numbers; null: nothing. Two tools under one number would cut with one of them. */
export function wrongNumbers(map: readonly Renumbered[], known: readonly number[]): string | null {
  const unknown = map.find((m) => !known.includes(m.t));
  if (unknown) return `the program does not call T${unknown.t}`;
  const twice = map.find((m, i) => map.findIndex((x) => x.t === m.t) !== i);
  if (twice) return `T${twice.t} is given two numbers`;
  const after = known.map((t) => map.find((m) => m.t === t)?.to ?? t);
  const same = after.find((t, i) => after.indexOf(t) !== i);
  return same === undefined ? null : `two tools would be T${same}`;
}
