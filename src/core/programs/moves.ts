import { arcThrough, lowestOnArc } from './arc';
import type { ToolReport } from './report';
import { AXES, PLANES, type Axis, type ReaderState } from './state';

export type Target = Record<Axis, number>;

/**
 * Books a feed length: time by F, spindle and feed in force, warnings where either is missing. `lowest`: null where the
 * depth is not known.
 */
export function bookFeed(s: ReaderState, line: number, length: number, lowest: number | null): void {
  const tool = s.current;
  // Under a scale or another kind of coordinates what is written is no length.
  const booked = s.scaled ? 0 : length;
  tool.cutting_mm += booked;
  if (!s.F) {
    s.warn('FEED_MISSING', line, 'Feed move without a feed: its length counts, its time does not');
    tool.lower_bound = true;
  } else bookTime(s, tool, booked, s.F);
  if (s.spindle === null || (!s.S && !s.speedLost))
    s.warn('SPINDLE_OFF_FEED', line, 'Feed move with the spindle off');
  if (s.spindle !== null) s.addOnce(tool.spindle_dir, s.spindle);
  if (s.spindle !== null && s.S) s.addOnce(tool.spindle, s.S);
  s.addOnce(s.report.work_offsets_while_feeding, s.offset);
  if (lowest !== null) noteDepth(s, line, lowest, true);
}

const FEED_UNITS = {
  G93: ['1/min', '1/min'],
  G94: ['mm/min', 'inch/min'],
  G95: ['mm/rev', 'inch/rev'],
} as const;

/** Time of a feed move: length / F; G95: length / (F × S), at a speed that is known; G93: 1 / F minutes for the block. */
function bookTime(s: ReaderState, tool: ToolReport, length: number, F: number): void {
  const mode = s.feedMode;
  const unit = FEED_UNITS[mode][s.inch ? 1 : 0];
  s.addOnce(tool.feeds, { f: F, mode, unit }, `${F} ${unit}`);
  if (mode === 'G93') {
    // An inverse time is the time of its own block, whatever its length; the next needs its own.
    tool.cutting_s += 60 / F;
    tool.highest_feed_mm_min = Math.max(tool.highest_feed_mm_min ?? 0, length * F);
    s.F = null;
    return;
  }
  const turns = s.spindle === null ? 0 : (s.S ?? 0);
  const perMinute = F * (s.inch ? 25.4 : 1) * (mode === 'G95' ? turns : 1);
  if (perMinute <= 0) {
    tool.lower_bound = true;
    return;
  }
  tool.cutting_s += (length / perMinute) * 60;
  tool.highest_feed_mm_min = Math.max(tool.highest_feed_mm_min ?? 0, perMinute);
}

function noteDepth(s: ReaderState, line: number, z: number, feeding: boolean): void {
  // Measured from another zero than the one that the operation has.
  if (s.shifted) return;
  const tool = s.current;
  tool.lowest_z_mm = Math.min(tool.lowest_z_mm ?? Infinity, z);
  if (feeding) tool.lowest_feed_z_mm = Math.min(tool.lowest_feed_z_mm ?? Infinity, z);
  const limit = s.options.zLimitMm;
  if (limit !== null && z < limit - 1e-9)
    s.warn(
      feeding ? 'Z_BELOW_LIMIT' : 'Z_BELOW_LIMIT_RAPID',
      line,
      `${feeding ? 'Feeds' : 'Rapid'} below Z ${limit}`,
    );
}

const lengthTo = (s: ReaderState, target: Target, axes: readonly Axis[]): number =>
  Math.hypot(...axes.map((axis) => target[axis] - s.position[axis]));

/** A rapid, straight in space. Axes whose place was unknown are left out of the known length. */
export function rapid(
  s: ReaderState,
  line: number,
  target: Target,
  named: readonly Axis[],
  depth = true,
): void {
  s.current.rapid_mm += lengthTo(s, target, AXES);
  s.current.rapid_known_mm += lengthTo(
    s,
    target,
    AXES.filter((axis) => s.known[axis]),
  );
  arrive(s, target, named);
  if (depth && s.known.Z) noteDepth(s, line, s.position.Z, false);
}

/** A straight feed move. Along an axis whose place is lost the way is not known and not counted. */
export function feedLine(s: ReaderState, line: number, target: Target, named: readonly Axis[]): void {
  const from = AXES.filter((axis) => !s.lost[axis]);
  if (named.some((axis) => s.lost[axis])) s.current.lower_bound = true;
  const length = lengthTo(s, target, from);
  const startZ = s.known.Z ? s.position.Z : Infinity;
  arrive(s, target, named);
  const lowest = Math.min(startZ, s.known.Z ? s.position.Z : Infinity);
  bookFeed(s, line, length, Number.isFinite(lowest) ? lowest : null);
}

/** An arc or helix at feed; after a bad one the program goes on from its programmed end, without length. */
export function feedArc(
  s: ReaderState,
  line: number,
  target: Target,
  named: readonly Axis[],
  offsets: Partial<Record<'I' | 'J' | 'K', number>>,
  R: number | null,
): void {
  const [first, second, third] = PLANES[s.plane];
  const letter = { X: 'I', Y: 'J', Z: 'K' } as const;
  if (s.lost[first] || s.lost[second] || (s.lost[third] && named.includes(third))) {
    // From where it turns is not known.
    s.current.lower_bound = true;
    arrive(s, target, named);
    return bookFeed(s, line, 0, null);
  }
  const given = letter[first] in offsets || letter[second] in offsets;
  const arc = arcThrough({
    start: [s.position[first], s.position[second]],
    end: [target[first], target[second]],
    centre: given ? [offsets[letter[first]] ?? 0, offsets[letter[second]] ?? 0] : null,
    R,
    clockwise: s.motion === 'G2',
    endGiven: named.includes(first) || named.includes(second),
  });
  if (typeof arc === 'string') {
    const words = {
      ARC_RADIUS_MISMATCH: 'Start and end of the arc lie at different distances from its centre',
      ARC_RADIUS_TOO_SMALL: 'R is less than half the way from start to end',
      ARC_NO_CENTER: 'Arc without a centre or radius',
    };
    s.warn(arc, line, words[arc]);
    s.current.lower_bound = true;
    arrive(s, target, named);
    return;
  }
  const rise = target[third] - s.position[third];
  const length = Math.hypot(arc.radius * arc.turn, rise);
  const startZ = s.position.Z;
  const zKnown = s.known.Z || named.includes('Z');
  arrive(s, target, named);
  const inPlane =
    first === 'Z'
      ? lowestOnArc(arc, 0)
      : second === 'Z'
        ? lowestOnArc(arc, 1)
        : Math.min(startZ, s.position.Z);
  bookFeed(s, line, length, zKnown ? inPlane : null);
}

function arrive(s: ReaderState, target: Target, named: readonly Axis[]): void {
  s.position = { ...target };
  // In G91 a word moves from an unknown place to an unknown place.
  for (const axis of named)
    if (s.absolute) {
      s.known[axis] = true;
      s.lost[axis] = false;
    }
}
