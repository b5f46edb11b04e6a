import { LIMITS } from '../limits';
import { drillHole } from './cycles';
import { feedArc, feedLine, rapid, type Target } from './moves';
import { READ_DEFAULTS, type ProgramReport, type ReadOptions } from './report';
import { AXES, ReaderState, type Axis } from './state';
import { ENDS, isUnreadCycle, MOTIONS, OFFSET, SCALED } from './codes';
import { foreignCodes } from './foreign';
import { splitBlocks, type Block, type Word } from './words';

/** Largest number of holes one block may repeat: guards against 'L9999999' in noise. */
const MOST_REPEATS = 10_000;

/**
 * Reads an NC program and says per tool how long it cuts, how far it feeds and how deep it goes. Language:
 * RS-274/NGC (Kramer, Proctor, Messina, NISTIR 6556, 2000) with the common ISO 6983 milling dialect, as far as G0-G4,
 * G10, G17-G21, G28, G30, G40-G43, G49, G53-G59, G80 G81 G83, G90 G91, G93-G95, G98 G99, M0-M9, M30. Time is length /
 * feed, with no acceleration; rapids take no time here. Whatever else it finds is listed in `not_understood` with its
 * line: a block that holds such a code moves nothing and changes no feed, speed or length; one that may stay in force
 * marks every tool until it is ended; a length from a place that is not known is not counted. Never throws on any text.
 * Example: 'G21 T1 M6 S1000 M3 / G0 X0 Y0 Z5 / G1 Z-5 F100' -> tool 1: 10 mm, 6 s, lowest feed Z −5.
 */
export function readProgram(program: string, options: Partial<ReadOptions> = {}): ProgramReport {
  const s = new ReaderState({ ...READ_DEFAULTS, ...options });
  const changesByM6 = callsM6(blocksOf(program, s.options));
  let read = 0;
  for (const block of blocksOf(program, s.options)) {
    read += 1;
    const enough = tooMuch(s, read);
    if (enough) {
      s.notUnderstood(block.line, block.source.slice(0, 80), `reading stopped here: ${enough}`, true);
      // What is not read may belong to any tool.
      for (const tool of s.report.tools) tool.lower_bound = true;
      break;
    }
    if (readBlock(s, block, changesByM6)) break;
  }
  return s.finish();
}

function* blocksOf(program: string, options: ReadOptions): Generator<Block> {
  for (const block of splitBlocks(program)) if (!(block.deletable && options.blockDelete)) yield block;
}

function callsM6(blocks: Iterable<Block>): boolean {
  for (const { words } of blocks) if (words.some((w) => w.letter === 'M' && w.value === 6)) return true;
  return false;
}

/** Why reading stops before the program's end; null: it goes on. */
function tooMuch(s: ReaderState, read: number): string | null {
  if (s.report.not_understood.length > LIMITS.programFaults.most) return 'too much was not understood';
  if (read > LIMITS.programBlocks.most) return `it has more than ${LIMITS.programBlocks.most} blocks`;
  if (s.toolsCalled > LIMITS.programTools.most) return `it calls more than ${LIMITS.programTools.most} tools`;
  if (s.repeats > LIMITS.programRepeats.most)
    return `it drills more than ${LIMITS.programRepeats.most} holes and pecks`;
  return null;
}

/** Reads one block in the order of execution of RS-274/NGC, section 3.8; true at the program's end. */
function readBlock(s: ReaderState, block: Block, changesByM6: boolean): boolean {
  const { line, words } = block;
  for (const comment of block.commentsBefore) s.hear(comment);
  if (block.comment !== null) s.hear(block.comment);
  const first = (letter: string): Word | undefined => words.find((w) => w.letter === letter);
  const codes = words.filter((w) => w.letter === 'G').map((w) => `G${w.value}`);
  const has = (code: string) => codes.includes(code);
  const m = words.filter((w) => w.letter === 'M').map((w) => w.value);

  const foreign = foreignCodes(s, block);
  /** No code in it is foreign: its words mean what they say. */
  const plain = foreign.length === 0;

  for (const mode of ['G93', 'G94', 'G95'] as const)
    if (has(mode) && s.feedMode !== mode) {
      s.feedMode = mode;
      s.F = null;
    }
  if (has('G20') || has('G21')) {
    s.inch = has('G20');
    s.unitStated = true;
    s.addOnce(s.report.units, s.inch ? 'inch' : 'mm');
  }
  const T = first('T');
  const name = block.comment ?? block.commentsBefore.at(-1) ?? null;
  if (T && Number.isInteger(T.value) && T.value >= 0) s.select(T.value, line, name);
  else if (T) s.notUnderstood(line, `T${T.text}`, 'no such tool number', true);
  if (m.includes(6)) {
    if (s.selected === null) s.notUnderstood(line, 'M6', 'tool change without a T', true);
    else s.change(s.selected, name);
  } else if (!changesByM6 && (m.includes(0) || m.includes(1)) && s.fresh && s.selected !== null)
    s.change(s.selected);
  else if (m.includes(0) || m.includes(1)) s.report.program_stops += 1;

  // The F of a dwell or an offset is no feed, the S beside a foreign code perhaps no speed.
  const F = plain && !has('G4') && !has('G10') ? first('F') : undefined;
  if (F) {
    s.F = F.value;
    s.addOnce(s.current.f_words, F.value);
  }
  const S = plain ? first('S') : undefined;
  if (S) {
    s.S = S.value;
    s.speedLost = false;
    s.addOnce(s.current.s_words, S.value);
  }
  if (m.includes(3)) s.spindle = 'M3';
  if (m.includes(4)) s.spindle = 'M4';
  for (const plane of ['G17', 'G18', 'G19'] as const) if (has(plane)) s.plane = plane;
  if (has('G90')) s.absolute = true;
  if (has('G91')) s.absolute = false;
  if (has('G98')) s.returnToInitial = true;
  if (has('G99')) s.returnToInitial = false;
  for (const code of codes) {
    s.end(code);
    const offset = code === 'G54.1' ? `G54.1 P${first('P')?.text ?? '?'}` : OFFSET.test(code) ? code : null;
    if (offset === null) continue;
    s.offset = offset;
    s.addOnce(s.report.work_offsets, offset);
  }
  // A length that is called is one that must be right, even where what it is called with is not read.
  const H = has('G10') ? undefined : first('H');
  if (H) {
    s.addOnce(s.current.h, H.value);
    if (has('G43') && s.tool && H.value !== s.tool.t)
      s.warn('H_DIFFERS_FROM_T', line, `H${H.value} is called while T${s.tool.t} is in the spindle`);
  }
  const D = has('G10') ? undefined : first('D');
  if (D) s.addOnce(s.current.d, D.value);

  if (has('G4')) dwell(s, block);
  else if (has('G10')) {
    s.warn('OFFSET_WRITTEN', line, 'The program writes offsets itself: what was entered before is replaced');
    // The zero may lie elsewhere from here on: the tool has not moved, and where it is from there is not known.
    s.lose(AXES);
  } else move(s, block, codes, foreign);
  if (m.includes(5)) s.spindle = null;
  return m.includes(2) || m.includes(30);
}

function dwell(s: ReaderState, block: Block): void {
  const time = block.words.find((w) => w.letter === 'P') ?? block.words.find((w) => w.letter === 'X');
  if (time) s.current.dwell_s += Math.max(0, time.value);
  else s.notUnderstood(block.line, block.source.slice(0, 80), 'a dwell without P or X', true);
}

function move(s: ReaderState, block: Block, codes: string[], foreign: readonly string[]): void {
  const { line, words } = block;
  const mm = lengths(s, block);
  const named: Axis[] = AXES.filter((axis) => mm(axis) !== null);
  const target: Target = { ...s.position };
  // Named are the axes with a value.
  for (const axis of named) target[axis] = s.absolute ? mm(axis)! : s.position[axis] + mm(axis)!;

  if (codes.includes('G28') || codes.includes('G30')) {
    if (named.length) rapid(s, line, target, named);
    s.lose(named.length ? named : AXES);
    return;
  }
  if (codes.includes('G53')) return s.lose(named);
  if (codes.includes('G80')) {
    if (s.unreadCycle) s.lose(AXES);
    s.cycle = null;
    s.motion = null;
    s.unreadCycle = false;
  }
  const commanded = codes.find((code) => code in MOTIONS);
  if (commanded) {
    // Found among them.
    const motion = MOTIONS[commanded]!;
    const drills = motion === 'G81' || motion === 'G83';
    if (drills && !s.cycle) s.cycle = { R: null, Z: null, Q: null, initialZ: s.position.Z };
    if (!drills) s.cycle = null;
    s.motion = motion;
    s.unreadCycle = false;
  } else if (foreign.some(isUnreadCycle)) {
    // A cycle that is not read: its holes are lost, and where it leaves the tool is not known.
    s.motion = null;
    s.cycle = null;
    s.unreadCycle = true;
    return s.lose(AXES);
  }
  // Axis words beside a code that is not read are that code's: whether they move, and to where, is not known.
  if (foreign.length || codes.some((code) => ENDS.has(code))) return s.lose(named);
  if (!named.length && !commanded) return;

  switch (s.motion) {
    case 'G0':
      if (named.length) rapid(s, line, target, named);
      return;
    case 'G1':
      if (named.length) feedLine(s, line, target, named);
      return;
    case 'G2':
    case 'G3': {
      const offsets: Partial<Record<'I' | 'J' | 'K', number>> = {};
      for (const letter of ['I', 'J', 'K'] as const) {
        const value = mm(letter);
        if (value !== null) offsets[letter] = value;
      }
      const R = mm('R');
      if (named.length || R !== null || Object.keys(offsets).length)
        feedArc(s, line, target, named, offsets, R);
      return;
    }
    case 'G81':
    case 'G83':
      cycle(s, block, s.motion, mm, named);
      return;
    default:
      if (!named.length) return;
      if (s.unreadCycle) {
        s.current.lower_bound = true;
        return s.lose(AXES);
      }
      s.notUnderstood(
        line,
        words.length ? block.source.slice(0, 80) : '',
        'axis words without a motion in force',
        true,
      );
      s.lose(named);
  }
}

/** Lengths of a block in mm, as this control takes numbers without a point. */
function lengths(s: ReaderState, block: Block): (letter: string) => number | null {
  const scale = s.inch ? 25.4 : 1;
  const { withoutPoint } = s.options;
  return (letter) => {
    const w = block.words.find((word) => word.letter === letter);
    if (!w) return null;
    if (w.value === 0 || w.text.includes('.') || !SCALED.has(letter)) return w.value * scale;
    if (withoutPoint === 'least increment') return w.value * (s.inch ? 25.4 / 10_000 : 1 / 1000);
    if (withoutPoint === null)
      s.warn(
        'NO_POINT',
        block.line,
        `${letter}${w.text} has no decimal point: read as ${w.value} ${s.inch ? 'in' : 'mm'}; some controls take it as least increments`,
      );
    return w.value * scale;
  };
}

function cycle(
  s: ReaderState,
  block: Block,
  code: 'G81' | 'G83',
  mm: (letter: string) => number | null,
  named: readonly Axis[],
): void {
  // Called while a cycle is on.
  const held = s.cycle!;
  const { line } = block;
  if (s.plane !== 'G17')
    return s.notUnderstood(line, block.source.slice(0, 80), 'drilling cycle outside G17', true);
  const R = mm('R');
  const Z = mm('Z');
  if (R !== null) held.R = s.absolute ? R : s.position.Z + R;
  if (Z !== null) held.Z = s.absolute ? Z : (held.R ?? s.position.Z) + Z;
  held.Q = mm('Q') ?? held.Q;
  if (held.R === null || held.Z === null)
    return s.notUnderstood(line, block.source.slice(0, 80), 'drilling cycle without R and Z', true);
  if (held.Z > held.R)
    return s.notUnderstood(line, block.source.slice(0, 80), 'drilling cycle with its depth above R', true);
  if (code === 'G83' && (held.Q === null || held.Q <= 0))
    s.notUnderstood(line, block.source.slice(0, 80), 'G83 without a peck Q: read as one feed', false);
  const pecks = code === 'G83' && held.Q ? (held.R - held.Z) / held.Q : 1;
  const word = block.words.find((w) => w.letter === 'L') ?? block.words.find((w) => w.letter === 'K');
  const repeats = word ? Math.trunc(word.value) : 1;
  if (repeats * pecks > MOST_REPEATS)
    return s.notUnderstood(line, block.source.slice(0, 80), 'too many holes or pecks in one block', true);
  s.repeats += Math.max(0, Math.ceil(repeats * pecks));
  for (let i = 0; i < repeats; i += 1) {
    const at = { ...s.position };
    for (const axis of named)
      // Named are the axes with a value.
      if (axis !== 'Z') at[axis] = s.absolute ? mm(axis)! : s.position[axis] + mm(axis)!;
    drillHole(s, line, code, at, held.R, held.Z, held.Q);
  }
}
