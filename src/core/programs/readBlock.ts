import type { Block } from './block';
import { AT, bits } from './letters';
import type { Calls } from './calls';
import { endsUnread, isMotion, isOffset, isUnreadCycle } from './codes';
import { drillSeries } from './cycles';
import { foreignCodes } from './foreign';
import { feedArc, feedLine, rapid } from './moves';
import { ALL_AXES, X, Y, Z, Z_BIT } from './place';
import type { ReaderState, Series } from './state';

const AXES = bits('XYZ');
const CENTRES = bits('IJK');
/** Letters whose numbers a control may scale where they are written without a point. */
const SCALED = bits('XYZIJKRQ');
/** Letters that say something besides a way: most blocks have none of them. */
const WORDS = bits('TSFHD');
/** Letters of a straight way. */
const STRAIGHT = bits('NGXYZ');

/** Reads one block in the order of execution of RS-274/NGC, section 3.8; true at the program's end. */
export function readBlock(s: ReaderState, block: Block, calls: Calls, changesByM6: boolean): boolean {
  if (isStraight(s, block)) return false;
  if (block.commentsBefore.length) for (const comment of block.commentsBefore) s.hear(comment);
  if (block.comment !== null) s.hear(block.comment);
  const foreign = foreignCodes(s, block, calls.isHead(block));
  const codes = block.g.count > 1 || (block.g.count === 1 && block.g.at(0) > 3);
  if (codes) setModes(s, block);
  if (block.m.count > 0 || block.letters & WORDS) {
    changeTool(s, block, changesByM6);
    setWords(s, block, foreign.length === 0);
  }
  if (codes && block.g.has(4)) dwell(s, block);
  else if (codes && block.g.has(10)) {
    s.warn(
      'OFFSET_WRITTEN',
      block.line,
      'The program writes offsets itself: what was entered before is replaced',
    );
    // The zero may lie elsewhere from here on: the tool has not moved, and where it is from there is not known.
    s.lose(ALL_AXES);
  } else move(s, block, codes, foreign);
  return block.m.count > 0 && end(s, block, calls);
}

/** Runs a block that is a straight way and nothing else, as most are; false: it is more, or less, than that. */
function isStraight(s: ReaderState, block: Block): boolean {
  if (block.letters & ~STRAIGHT || block.unread !== null || block.comment !== null) return false;
  if (s.series !== null || s.unreadCycle || block.commentsBefore.length > 0) return false;
  const { g } = block;
  const motion = g.count === 0 ? s.motion : g.count === 1 ? g.at(0) : null;
  if (motion !== 0 && motion !== 1) return false;
  s.begun = true;
  s.motion = motion;
  const named = aim(s, block);
  if (named && motion === 0) rapid(s, block.line, named);
  else if (named) feedLine(s, block.line, named);
  return true;
}

/** G codes that set something which stays in force. */
function setModes(s: ReaderState, block: Block): void {
  for (let i = 0; i < block.g.count; i += 1) {
    const g = block.g.at(i);
    if (g === 93 || g === 94 || g === 95) setFeedMode(s, `G${g}`);
    else if (g === 20 || g === 21) s.stateUnit(g === 20);
    else if (g === 17 || g === 18 || g === 19) s.plane = g;
    else if (g === 90 || g === 91) s.absolute = g === 90;
    else if (g === 98 || g === 99) s.returnToInitial = g === 98;
    else if (g === 49) s.length = null;
    else if (isOffset(g))
      s.useOffset(
        g === 54.1 ? `G54.1 P${block.holds(AT.P) ? block.number(block.wordOf(AT.P)) : '?'}` : `G${g}`,
      );
    s.end(`G${g}`);
  }
}
function setFeedMode(s: ReaderState, mode: 'G93' | 'G94' | 'G95'): void {
  if (s.feedMode === mode) return;
  s.feedMode = mode;
  s.F = null;
  s.refresh();
}

function changeTool(s: ReaderState, block: Block, changesByM6: boolean): void {
  const { line } = block;
  const T = block.of(AT.T);
  const name = block.comment ?? block.commentsBefore.at(-1) ?? null;
  if (T !== null && Number.isInteger(T) && T >= 0) s.select(T, line, name);
  else if (T !== null)
    s.notUnderstood(line, `T${block.number(block.wordOf(AT.T))}`, 'no such tool number', true);
  if (block.m.count === 0) return;
  const stops = block.m.has(0) || block.m.has(1);
  if (block.m.has(6)) {
    if (s.selected === null) s.notUnderstood(line, 'M6', 'tool change without a T', true);
    else s.change(s.selected, line, name);
  } else if (!changesByM6 && stops && s.fresh && s.selected !== null) s.change(s.selected, line);
  else if (stops) s.report.program_stops += 1;
}

/** F, S, H and D, and which way the spindle turns. `plain`: no code of the block is foreign. */
function setWords(s: ReaderState, block: Block, plain: boolean): void {
  const { line } = block;
  // An offset's words are its own.
  const ownWords = block.g.has(10);
  // The F of a dwell is no feed, the S beside a foreign code perhaps no speed.
  const F = plain && !ownWords && !block.g.has(4) ? block.of(AT.F) : null;
  if (F !== null) {
    s.used();
    s.F = F;
    s.current.fWords.add(F);
  }
  const S = plain ? block.of(AT.S) : null;
  if (S !== null) {
    s.used();
    s.S = S;
    s.speedLost = false;
    s.current.sWords.add(S);
  }
  if (block.m.has(3)) s.spindle = 'M3';
  if (block.m.has(4)) s.spindle = 'M4';
  s.refresh();
  if (ownWords) return;
  // A length that is called is one that must be right, even where what it is called with is not read.
  const H = block.of(AT.H);
  if (H !== null) {
    s.used();
    s.current.h.add(H);
    if (block.g.has(43)) {
      s.length = H;
      if (s.t !== null && H !== s.t)
        s.warn('H_DIFFERS_FROM_T', line, `H${H} is called while T${s.t} is in the spindle`);
    }
  }
  const D = block.of(AT.D);
  if (D === null) return;
  s.used();
  s.current.d.add(D);
  if (s.options.dEqualsT && s.t !== null && D !== s.t && (block.g.has(41) || block.g.has(42)))
    s.warn('D_DIFFERS_FROM_T', line, `D${D} is called while T${s.t} is in the spindle`);
}

/** Calls, returns and the program's end; true: nothing more is read. */
function end(s: ReaderState, block: Block, calls: Calls): boolean {
  if (block.m.has(5)) {
    s.spindle = null;
    s.refresh();
  }
  if (block.m.has(98)) calls.call(s, block);
  else if (block.m.has(99)) {
    if (block.holds(AT.P))
      s.notUnderstood(block.line, block.text.slice(0, 80), 'M99 with a line to go on at', true);
    // In the main program it begins anew: once through is what one part takes.
    return !calls.return(block);
  }
  return block.m.has(2) || block.m.has(30);
}

/** Seconds of a dwell by its P, as this control takes it. */
const secondsOf = (s: ReaderState, p: number): number =>
  Math.max(0, s.options.dwellUnit === 'milliseconds' ? p / 1000 : p);

function dwell(s: ReaderState, block: Block): void {
  const P = block.of(AT.P);
  const seconds = P === null ? block.of(AT.X) : secondsOf(s, P);
  s.used();
  if (seconds === null) s.notUnderstood(block.line, block.text.slice(0, 80), 'a dwell without P or X', true);
  else s.wait(block.line, Math.max(0, seconds));
}

/** Sets `s.to` to where the block's axis words lead, and returns which axes it names. */
function aim(s: ReaderState, block: Block): number {
  const { at, to } = s;
  to.take(at);
  const named = (block.letters & AXES) >>> AT.X;
  if (s.asWritten && s.absolute) {
    // As most programs go.
    if (named & 1) to.x = block.value(AT.X) * s.scale;
    if (named & 2) to.y = block.value(AT.Y) * s.scale;
    if (named & 4) to.z = block.value(AT.Z) * s.scale;
    return named;
  }
  if (named & 1) aimAxis(s, block, X);
  if (named & 2) aimAxis(s, block, Y);
  if (named & 4) aimAxis(s, block, Z);
  return named;
}
function aimAxis(s: ReaderState, block: Block, axis: number): void {
  const letter = AT.X + axis;
  const way = s.asWritten ? block.value(letter) * s.scale : lengthOf(s, block, letter);
  s.to.put(axis, s.absolute ? way : s.at.of(axis) + way);
}

/** A length that a block holds, mm, as this control takes numbers without a point. */
function lengthOf(s: ReaderState, block: Block, letter: number): number {
  const value = block.value(letter);
  const mask = 1 << letter;
  const { scale } = s;
  if (s.asWritten || value === 0 || block.pointed & mask || !(SCALED & mask)) return value * scale;
  if (s.options.withoutPoint === 'least increment') return value * (s.inch ? 25.4 / 10_000 : 1 / 1000);
  const written = String.fromCharCode(64 + letter) + block.number(block.wordOf(letter));
  s.warn(
    'NO_POINT',
    block.line,
    `${written} has no decimal point: read as ${value} ${s.inch ? 'in' : 'mm'}; some controls take it as least increments`,
  );
  return value * scale;
}
const maybeLength = (s: ReaderState, block: Block, letter: number): number | null =>
  block.holds(letter) ? lengthOf(s, block, letter) : null;

function move(s: ReaderState, block: Block, codes: boolean, foreign: readonly number[]): void {
  const named = aim(s, block);
  if (codes) {
    if (block.g.has(28) || block.g.has(30)) {
      if (named) rapid(s, block.line, named);
      return s.lose(named || ALL_AXES);
    }
    if (block.g.has(53)) return s.lose(named);
    if (block.g.has(80)) endSeries(s);
  }
  const commanded = commandOf(block);
  if (commanded !== null) {
    if (commanded <= 3) s.series = null;
    else s.series ??= { R: null, Z: null, Q: null, dwell: null, initialZ: s.at.z };
    s.motion = commanded;
    s.unreadCycle = false;
  } else if (foreign.some(isUnreadCycle)) {
    // A cycle that is not read: its holes are lost, and where it leaves the tool is not known.
    s.motion = null;
    s.series = null;
    s.unreadCycle = true;
    return s.lose(ALL_AXES);
  }
  // Axis words beside a code that is not read are that code's: whether they move, and to where, is not known.
  if (foreign.length || (codes && endsSomething(block))) return s.lose(named);
  if (s.series !== null) drill(s, block, s.series, named, commanded !== null);
  else go(s, block, named);
}

/** The G number of the last motion that a block names; null: none. */
function commandOf(block: Block): number | null {
  for (let i = 0; i < block.g.count; i += 1) if (isMotion(block.g.at(i))) return block.g.at(i);
  return null;
}
function endsSomething(block: Block): boolean {
  for (let i = 0; i < block.g.count; i += 1) if (endsUnread(block.g.at(i))) return true;
  return false;
}
function endSeries(s: ReaderState): void {
  if (s.unreadCycle) s.lose(ALL_AXES);
  s.series = null;
  s.motion = null;
  s.unreadCycle = false;
}

/** Moves as the motion in force says; a circle may be told by its centre alone. */
function go(s: ReaderState, block: Block, named: number): void {
  const { line } = block;
  if (s.motion === 0) {
    if (named) rapid(s, line, named);
  } else if (s.motion === 1) {
    if (named) feedLine(s, line, named);
  } else if (s.motion === 2 || s.motion === 3) {
    if (!named && !(block.letters & (CENTRES | (1 << AT.R)))) return;
    const centred = (block.letters & CENTRES) >>> AT.I;
    for (let axis = X; axis <= Z; axis += 1)
      s.centre.put(axis, centred & (1 << axis) ? lengthOf(s, block, AT.I + axis) : 0);
    feedArc(s, line, named, centred, maybeLength(s, block, AT.R));
  } else if (named && s.unreadCycle) {
    s.used();
    s.current.lowerBound = true;
    s.lose(ALL_AXES);
  } else if (named) {
    s.notUnderstood(line, block.text.slice(0, 80), 'axis words without a motion in force', true);
    s.lose(named);
  }
}

/** The words of a drilling block: R, Z and Q hold until the series ends, from one cycle to another too. */
function drill(s: ReaderState, block: Block, held: Series, named: number, commanded: boolean): void {
  const R = maybeLength(s, block, AT.R);
  const depth = maybeLength(s, block, AT.Z);
  if (R !== null) held.R = s.absolute ? R : s.at.z + R;
  if (depth !== null) held.Z = s.absolute ? depth : (held.R ?? s.at.z) + depth;
  held.Q = maybeLength(s, block, AT.Q) ?? held.Q;
  // The P of a call is its subprogram's.
  const P = block.m.has(98) ? null : block.of(AT.P);
  if (P !== null) held.dwell = secondsOf(s, P);
  // A block without an axis word drills nothing, but the one that holds the cycle does.
  if (!named && !commanded) return;
  const repeats = block.m.has(98) ? 1 : Math.trunc(block.of(AT.L) ?? block.of(AT.K) ?? 1);
  drillSeries(s, block, held, named & ~Z_BIT, repeats);
}
