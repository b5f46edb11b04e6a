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
  /** The rest of the line that is no word, from the first place the reader stopped; null when all was read. */
  unread: { text: string; why: string } | null;
}

/**
 * Splits a program into blocks of words. RS-274/NGC (NISTIR 6556, section 3.3): any case, spaces anywhere, also
 * inside numbers; comments in parentheses; ';' to the line's end, but not inside parentheses. Reading starts
 * after the first '%' where the text has two and ends at the second. Line numbers are 1-based over the whole text.
 * Macro variables (#), expressions ([) and anything else that is no letter with a number stop the block there.
 */
export function splitBlocks(program: string): Block[] {
  const blocks: Block[] = [];
  let percents = 0;
  for (const [index, source] of program.split(/\r\n|\n|\r/).entries()) {
    const trimmed = source.trim();
    if (trimmed.startsWith('%')) {
      percents += 1;
      if (percents === 2) break;
      continue;
    }
    const { code, open } = stripComments(source);
    let text = code.replace(/\s+/g, '').toUpperCase();
    const deletable = text.startsWith('/');
    if (deletable) text = text.replace(/^\/\d?/, '');
    const block: Block = { line: index + 1, source: trimmed, deletable, words: [], unread: null };
    let at = 0;
    const word = /([A-Z])([+-]?(?:\d+\.?\d*|\.\d+))/y;
    while (at < text.length) {
      word.lastIndex = at;
      const found = word.exec(text);
      if (!found) {
        block.unread = { text: text.slice(at), why: whyUnread(text.slice(at)) };
        break;
      }
      const [, letter = '', value = ''] = found;
      block.words.push({ letter, value: Number(value), text: value });
      at = word.lastIndex;
    }
    if (open && !block.unread)
      block.unread = { text: source.slice(source.indexOf('(')).trim(), why: 'comment not closed' };
    if (block.words.length || block.unread) blocks.push(block);
  }
  return blocks;
}

function stripComments(line: string): { code: string; open: boolean } {
  let code = '';
  let inside = false;
  for (const ch of line) {
    if (inside) inside = ch !== ')';
    else if (ch === '(') inside = true;
    else if (ch === ';') break;
    else code += ch;
  }
  return { code, open: inside };
}

function whyUnread(text: string): string {
  if (/^[A-Z]?#/.test(text) || /^[A-Z]?\[/.test(text)) return 'macro variables and expressions are not read';
  if (/^[A-Z]/.test(text)) return `no number behind ${text[0]}`;
  return 'not a word of a letter and a number';
}
