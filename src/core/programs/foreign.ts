import type { Block } from './block';
import { AT, bits } from './letters';
import { isUnreadCycle, knownG, QUIET_M, unreadCode, unreadM } from './codes';
import { ALL_AXES, X, Y, Z } from './place';
import type { ReaderState } from './state';

const KNOWN_LETTERS = bits('GMNTHDSFXYZIJKRPQL');
const NONE: readonly number[] = [];
const letterOf = (at: number): string => String.fromCharCode(64 + at);

/** Whether nothing in a block is foreign; most are such. */
function isPlain(block: Block): boolean {
  if (block.unread !== null || block.letters & ~KNOWN_LETTERS) return false;
  for (let i = 0; i < block.g.count; i += 1) if (!knownG(block.g.at(i))) return false;
  for (let i = 0; i < block.m.count; i += 1) if (!QUIET_M.has(block.m.at(i))) return false;
  return true;
}

/**
 * Lists what is not read of a block, brings into force what stays, and returns its foreign G numbers. `head`: it is the first
 * of a called subprogram, whose number is no code.
 */
export function foreignCodes(s: ReaderState, block: Block, head: boolean): readonly number[] {
  if (isPlain(block)) {
    s.begun = true;
    return NONE;
  }
  const { line } = block;
  if (block.unread) {
    const { text, why } = block.unread;
    const comment = why.startsWith('comment');
    s.notUnderstood(line, text.slice(0, 80), why, !comment);
    if (!comment) loseUnread(s, text);
  }
  const foreign: number[] = [];
  let gs = 0;
  let ms = 0;
  for (let i = 0; i < block.words; i += 1) {
    const letter = block.letter(i);
    const value = letter === AT.G ? block.g.at(gs++) : letter === AT.M ? block.m.at(ms++) : 0;
    const known =
      letter === AT.G
        ? knownG(value)
        : letter === AT.M
          ? QUIET_M.has(value)
          : // The program's own number stands before everything else.
            (KNOWN_LETTERS & (1 << letter)) !== 0 ||
            (letter === AT.O && block.programNumber !== null && (head || !s.begun));
    if (known) continue;
    const code = letter === AT.G || letter === AT.M;
    const written = `${letterOf(letter)}${block.number(i)}`;
    s.notUnderstood(line, written, code ? 'code not read' : 'letter not read', true);
    if (letter === AT.M) s.begin(`M${value}`, unreadM(value));
    if (letter !== AT.G) continue;
    foreign.push(value);
    if (isUnreadCycle(value)) continue;
    if (value === 52) s.shift(shiftOf(block), unreadCode('G52'));
    else s.begin(`G${value}`, unreadCode(`G${value}`));
  }
  s.begun = true;
  return foreign;
}

const shiftOf = (block: Block): (number | null)[] => [AT.X, AT.Y, AT.Z].map((axis) => block.of(axis));

/** What the rest of a block may have said of which only the letters can be told: those have no value any more. */
function loseUnread(s: ReaderState, text: string): void {
  if (/GOTO|WHILE|^IF|THEN|CALL|DO\d|END\d|^O/.test(text)) s.begin('program flow', unreadCode('G65'));
  const letters = new Set([...text.matchAll(/([A-Z])(?=[+-]?[#[]|$|[^A-Z0-9.+-])/g)].map(([, l]) => l));
  letters.add(text[0]);
  const axes = [X, Y, Z].filter((axis) => letters.has('XYZ'[axis]));
  s.lose(axes.reduce((all, axis) => all | (1 << axis), 0) & ALL_AXES);
  if (letters.has('F')) s.F = null;
  if (letters.has('S')) {
    s.S = null;
    s.speedLost = true;
  }
  s.refresh();
  if (letters.has('G')) s.begin('G', unreadCode('G65'));
  // A change to a tool nobody can tell: nothing after it is surely the work of the one before.
  if (letters.has('T') || letters.has('M')) s.begin('program flow', unreadCode('G65'));
}
