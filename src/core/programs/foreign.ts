import {
  ENDS,
  isUnreadCycle,
  LETTERS,
  MOTIONS,
  OFFSET,
  QUIET_G,
  QUIET_M,
  unreadCode,
  unreadM,
} from './codes';
import { AXES, type ReaderState } from './state';
import type { Block } from './words';

/** Lists what is not read of a block, brings into force what stays, and returns its foreign G codes. */
export function foreignCodes(s: ReaderState, block: Block): string[] {
  const { line, words } = block;
  if (block.unread) {
    const { text, why } = block.unread;
    const comment = why.startsWith('comment');
    s.notUnderstood(line, text.slice(0, 80), why, !comment);
    if (!comment) loseUnread(s, text);
  }
  const foreign: string[] = [];
  for (const w of words) {
    const code = `${w.letter}${w.value}`;
    const known =
      w.letter === 'G'
        ? code in MOTIONS || QUIET_G.has(code) || ENDS.has(code) || OFFSET.test(code) || code === 'G54.1'
        : w.letter === 'M'
          ? QUIET_M.has(w.value)
          : // The program's own number stands before everything else.
            LETTERS.has(w.letter) || (w.letter === 'O' && words[0] === w && !s.begun);
    if (known) continue;
    s.notUnderstood(
      line,
      `${w.letter}${w.text}`,
      w.letter === 'G' || w.letter === 'M' ? 'code not read' : 'letter not read',
      true,
    );
    if (w.letter === 'M') s.begin(code, unreadM(w.value));
    if (w.letter !== 'G') continue;
    foreign.push(code);
    if (isUnreadCycle(code)) continue;
    if (code === 'G52') s.shift(words, unreadCode(code));
    else s.begin(code, unreadCode(code));
  }
  s.begun = true;
  return foreign;
}

/** What the rest of a block may have said of which only the letters can be told: those have no value any more. */
function loseUnread(s: ReaderState, text: string): void {
  if (/GOTO|WHILE|^IF|THEN|CALL|DO\d|END\d|^O/.test(text)) s.begin('program flow', unreadCode('G65'));
  const letters = new Set([...text.matchAll(/([A-Z])(?=[+-]?[#[]|$|[^A-Z0-9.+-])/g)].map(([, l]) => l));
  letters.add(text[0]);
  s.lose(AXES.filter((axis) => letters.has(axis)));
  if (letters.has('F')) s.F = null;
  if (letters.has('S')) {
    s.S = null;
    s.speedLost = true;
  }
  if (letters.has('G')) s.begin('G', unreadCode('G65'));
  // A change to a tool nobody can tell: nothing after it is surely the work of the one before.
  if (letters.has('T') || letters.has('M')) s.begin('program flow', unreadCode('G65'));
}
