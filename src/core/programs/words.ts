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

/** Characters of a comment that are kept. */
const COMMENT_KEPT = 120;

/**
 * Splits a program into blocks of words. RS-274/NGC (NISTIR 6556, section 3.3): any case, spaces anywhere, also
 * inside numbers; comments in parentheses; ';' to the line's end, but not inside parentheses. Reading starts
 * after the first '%' where the text has two and ends at the second. Line numbers are 1-based over the whole text.
 * A comment that stands alone goes with the next block. Macro variables (#), expressions ([) and anything else that is no letter with a number stop the block there.
 */
export function splitBlocks(program: string): Block[] {
  const blocks: Block[] = [];
  let percents = 0;
  let alone: string[] = [];
  for (const [index, source] of program.split(/\r\n|\n|\r/).entries()) {
    const trimmed = source.trim();
    if (trimmed.startsWith('%')) {
      percents += 1;
      if (percents === 2) break;
      continue;
    }
    const { code, open, comment } = stripComments(source);
    let text = code.replace(/\s+/g, '').toUpperCase();
    const deletable = text.startsWith('/');
    if (deletable) text = text.replace(/^\/\d?/, '');
    const block: Block = {
      line: index + 1,
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
      if (!Number.isFinite(value)) {
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
    if (says) blocks.push(block);
    if (says) alone = [];
    else if (comment !== null) alone.push(comment);
  }
  return blocks;
}

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
