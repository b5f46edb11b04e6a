import type { Block } from './block';
import { CYCLES, type CycleKind } from './codes';
import { bookFeed, rapid } from './moves';
import { SIDEWAYS, Z_BIT } from './place';
import type { ReaderState, Series } from './state';

interface Hole {
  /** Level it is drilled from, and its depth, mm. */
  R: number;
  depth: number;
  /** A peck, mm; null: none. */
  Q: number | null;
  /** At the bottom, seconds; null: none. */
  dwell: number | null;
  /** Level it comes out to, mm. */
  out: number;
}
/** A last peck below this, mm, is none. */
const NO_PECK = 1e-9;
/** Largest number of holes or pecks one block may ask for: guards against 'L9999999' in noise. */
const MOST_REPEATS = 10_000;

/**
 * Drills what a block of a cycle says, by what is held of its series: a hole at `s.to`, `repeats` times; with G91 each a
 * way further. `sideways`: which of X and Y the block names.
 */
export function drillSeries(
  s: ReaderState,
  block: Block,
  series: Series,
  sideways: number,
  repeats: number,
): void {
  const { line } = block;
  const cannot = (why: string, moves = true) => s.notUnderstood(line, block.text.slice(0, 80), why, moves);
  const g = s.motion ?? NaN;
  const kind = CYCLES.get(g);
  if (!kind) return cannot('no drilling cycle is on');
  const { R, Z: depth, Q, dwell } = series;
  if (s.plane !== 17) return cannot('drilling cycle outside G17');
  if (R === null || depth === null) return cannot('drilling cycle without R and Z');
  if (depth > R) return cannot('drilling cycle with its depth above R');
  if (kind.pecks && (Q === null || Q <= 0)) cannot(`G${g} without a peck Q: read as one feed`, false);
  const out = s.returnToInitial ? Math.max(series.initialZ, R) : R;
  const hole = { R, depth, Q, dwell, out };
  const pecks = pecksOf(kind, hole);
  if (repeats * pecks > MOST_REPEATS) return cannot('too many holes or pecks in one block');
  if (repeats <= 0) return;
  s.repeats += repeats * pecks;
  if (kind.taps) noteTap(s, line, g, dwell);
  const [dx, dy] = s.absolute ? [0, 0] : [s.to.x - s.at.x, s.to.y - s.at.y];
  const [x, y] = [s.to.x, s.to.y];
  for (let i = 0; i < repeats; i += 1) {
    drillHole(s, line, kind, hole, x + i * dx, y + i * dy, sideways);
    s.current.cycles[`G${g}`] = (s.current.cycles[`G${g}`] ?? 0) + 1;
  }
}

/** How many pecks a hole takes. Example: 10 deep by 4 -> 3, by 5 -> 2. */
const pecksOf = (kind: CycleKind, { R, depth, Q }: Hole): number =>
  kind.pecks && Q !== null && Q > 0 ? Math.max(1, Math.ceil((R - depth - NO_PECK) / Q)) : 1;

function noteTap(s: ReaderState, line: number, g: number, dwell: number | null): void {
  const s_ = s.spindle === null ? null : s.S;
  s.used();
  s.current.tap({
    cycle: `G${g}`,
    f: s.F,
    mode: s.feedMode,
    unit: s.feedUnit,
    s: s_,
    dwell_s: dwell,
    line,
  });
}

/**
 * One hole of a canned cycle in G17: rapid to X Y, rapid to R, the hole, out to the return level. Feed length is R to
 * depth, and as much again where the cycle comes out at feed. A G83 goes out to R after each peck and back to the depth
 * reached; a G73 only breaks the chip. Return level: G98 Z before the series, or R if higher; G99 R. RS-274/NGC
 * (NISTIR 6556), 3.5.16.
 */
function drillHole(
  s: ReaderState,
  line: number,
  kind: CycleKind,
  hole: Hole,
  x: number,
  y: number,
  sideways: number,
): void {
  const { R, depth } = hole;
  // From a place that is not known the depth is none either; the way from R is what it is.
  const depthKnown = s.absolute || !(s.lost & Z_BIT);
  const { at, to } = s;
  const zTo = (z: number) => {
    to.take(at);
    to.z = z;
    rapid(s, line, Z_BIT);
  };
  if (at.z < R) zTo(R);
  to.x = x;
  to.y = y;
  to.z = at.z;
  rapid(s, line, sideways);
  zTo(R);
  peckOut(s, line, kind, hole);
  s.known = depthKnown ? s.known | Z_BIT : s.known & ~Z_BIT;
  const lowest = depthKnown ? depth : NaN;
  feedTo(s, line, depth, R - depth, lowest);
  if (hole.dwell) s.wait(line, hole.dwell);
  if (kind.feedsOut) feedTo(s, line, R, R - depth, lowest);
  zTo(hole.out);
  const tool = s.current;
  tool.holes += 1;
  if (s.scaled || R - depth <= tool.deepestHole) return;
  tool.deepestHole = R - depth;
  tool.deepestHoleLine = line;
}

/** Feeds along Z, so far as `length` says. */
function feedTo(s: ReaderState, line: number, z: number, length: number, lowest: number): void {
  const { at, was } = s;
  was.take(at);
  at.z = z;
  if ((s.placed(s.known) & SIDEWAYS) === SIDEWAYS) s.current.reach(at);
  bookFeed(s, line, length, lowest);
  s.path?.feed(line, was, at, s.placed(s.known), s.scaled ? 0 : length, s.took);
}

/**
 * The rapids between the pecks of a G83, to R and back: a peck deeper each time. With a clearance above the depth reached
 * that way is shorter at rapid, and longer at feed.
 */
function peckOut(s: ReaderState, line: number, kind: CycleKind, hole: Hole): void {
  const pecks = pecksOf(kind, hole);
  if (kind.pecks !== 'out' || pecks < 2 || hole.Q === null) return;
  const clear = Math.min(s.options.peckClearanceMm, hole.Q);
  const returns = pecks - 1;
  // Out by q, 2q, 3q …, and back by as much less the clearance.
  const out = (hole.Q * returns * pecks) / 2;
  const rapids = 2 * out - returns * clear;
  s.current.rapidMm += rapids;
  if (s.known & Z_BIT) s.current.rapidKnownMm += rapids;
  if (clear > 0) bookFeed(s, line, returns * clear, NaN);
  if (s.path) for (let i = 1; i <= returns; i += 1) hearPeck(s, line, hole.R, hole.R - i * hole.Q, clear);
}
/** Tells who hears the path of one peck: out to R, and back to so far above the depth reached. */
function hearPeck(s: ReaderState, line: number, R: number, reached: number, clear: number): void {
  const { was, to } = s;
  const axes = s.placed(s.known);
  was.take(s.at);
  to.take(s.at);
  was.z = reached;
  s.path?.rapid(line, was, to, axes, R - reached);
  was.z = R;
  to.z = reached + clear;
  s.path?.rapid(line, was, to, axes, R - reached - clear);
}
