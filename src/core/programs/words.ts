import { LIMITS } from '../limits';

/** One word of a block: its letter, its value, and the number as written. */
export interface Word {
  letter: string;
  value: number;
  text: string;
}

export interface Block {
  line: number;
  source: string;
  deletable: boolean;
  words: Word[];
  /** What stands in comments of this block; null: none. */
  comment: string | null;
  /** Comments that stand by themselves on the lines just before. */
  commentsBefore: readonly string[];
  /** The rest of the line that is no word, from the first place the reader stopped; null when all was read. */
  unread: { text: string; why: string } | null;
}

/** No coordinate, feed or speed is larger or, but 0, smaller: beyond it figures would no longer be finite. */
const LARGEST = 1e9;
const plausible = (value: number): boolean =>
  value === 0 || (Math.abs(value) <= LARGEST && Math.abs(value) >= 1 / LARGEST);

/** Characters of a comment that are kept. */
const COMMENT_KEPT = 120;
/** Comments that stand by themselves and are kept for the next block. */
const COMMENTS_KEPT = 200;

/**
 * The blocks of words of a program, one at a time: a large one is never held twice. RS-274/NGC (NISTIR 6556, section 3.3): any case, spaces anywhere, also
 * inside numbers; comments in parentheses; ';' to the line's end, but not inside parentheses. Reading starts
 * after the first '%' where the text has two and ends at the second. Line numbers are 1-based over the whole text.
 * A comment that stands alone goes with the next block. Macro variables (#), expressions ([) and anything else that is no letter with a number stop the block there.
 */
export function* splitBlocks(program: string): Generator<Block> {
  let percents = 0;
  let alone: string[] = [];
  for (const [line, source] of linesOf(program)) {
    const trimmed = source.slice(0, LIMITS.programLine.most).trim();
    if (trimmed.startsWith('%')) {
      percents += 1;
      if (percents === 2) break;
      continue;
    }
    if (source.length > LIMITS.programLine.most) {
      yield unreadLine(line, trimmed, alone);
      alone = [];
      continue;
    }
    const { code, open, comment } = stripComments(source);
    let text = code.replace(/\s+/g, '').toUpperCase();
    const deletable = text.startsWith('/');
    if (deletable) text = text.replace(/^\/\d?/, '');
    const block: Block = {
      line,
      source: trimmed,
      deletable,
      words: [],
      comment,
      commentsBefore: alone,
      unread: null,
    };
    let at = 0;
    const word = /([A-Z])([+-]?(?:\d+\.?\d*|\.\d+))/y;
    while (at < text.length) {
      word.lastIndex = at;
      const found = word.exec(text);
      if (!found) {
        block.unread = { text: text.slice(at), why: whyUnread(text.slice(at)) };
        break;
      }
      const [, letter = '', text_ = ''] = found;
      const value = Number(text_);
      if (!plausible(value)) {
        block.unread = { text: text.slice(at), why: 'no such number' };
        break;
      }
      block.words.push({ letter, value, text: text_ });
      at = word.lastIndex;
    }
    if (open && !block.unread)
      block.unread = { text: source.slice(source.indexOf('(')).trim(), why: 'comment not closed' };
    // A line number says nothing by itself.
    const says = block.words.some((w) => w.letter !== 'N') || block.unread !== null;
    if (says) {
      yield block;
      alone = [];
    } else if (comment !== null && alone.length < COMMENTS_KEPT) alone.push(comment);
  }
}

/** The lines of a text that are not blank, each with its number from 1, by any of the three line ends. */
function* linesOf(program: string): Generator<[line: number, source: string]> {
  const text = program.includes('\r') ? program.replace(/\r\n?/g, '\n') : program;
  let line = 0;
  for (let at = 0; at <= text.length;) {
    const end = text.indexOf('\n', at);
    const to = end < 0 ? text.length : end;
    line += 1;
    if (to > at) yield [line, text.slice(at, to)];
    at = to + 1;
  }
}

const unreadLine = (line: number, source: string, commentsBefore: readonly string[]): Block => ({
  line,
  source,
  deletable: false,
  words: [],
  comment: null,
  commentsBefore,
  // What it holds may be anything: a tool change as well.
  unread: { text: 'M?', why: `a line of more than ${LIMITS.programLine.most} characters is not read` },
});

function stripComments(line: string): { code: string; open: boolean; comment: string | null } {
  let code = '';
  let comment = '';
  let inside = false;
  for (const [i, ch] of [...line].entries()) {
    if (inside && ch === ')') {
      inside = false;
      comment += ' ';
    } else if (inside) comment += ch;
    else if (ch === '(') inside = true;
    else if (ch === ';') {
      comment += [...line].slice(i + 1).join('');
      break;
    } else code += ch;
  }
  return { code, open: inside, comment: comment.trim().slice(0, COMMENT_KEPT) || null };
}

function whyUnread(text: string): string {
  if (/^[A-Z]?#/.test(text) || /^[A-Z]?\[/.test(text)) return 'macro variables and expressions are not read';
  if (/^[A-Z]/.test(text)) return `no number behind ${text[0]}`;
  return 'not a word of a letter and a number';
}
