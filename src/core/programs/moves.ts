import { arcThrough, lowestOnArc, reachOfArc, type Arc } from './arc';
import { ALL_AXES, PLANES, SIDEWAYS, Z, Z_BIT } from './place';
import type { ReaderState } from './state';
import type { Tally } from './tally';

/**
 * Books a feed length: time by F, spindle and feed in force, warnings where either is missing. `lowest`: NaN where the
 * depth is not known. `s.took` is then what it takes, seconds; 0: that is not known.
 */
export function bookFeed(s: ReaderState, line: number, length: number, lowest: number): void {
  const tool = s.current;
  let seconds = 0;
  // Under a scale or another kind of coordinates what is written is no length.
  const booked = s.scaled ? 0 : length;
  const { pair, secondsAMm } = s.booking(line);
  tool.cuttingMm += booked;
  if (pair) {
    // An inverse time is the time of its own block, whatever its length; the next needs its own.
    const inverse = s.feedMode === 'G93';
    seconds = inverse ? 60 / pair.f : booked * secondsAMm;
    tool.cuttingS += seconds;
    pair.cutting_mm += booked;
    pair.cutting_s += seconds;
    if (inverse) {
      tool.highestFeed = Math.max(tool.highestFeed, booked * pair.f);
      s.F = null;
      s.refresh();
    }
  } else {
    tool.lowerBound = true;
    if (!s.F) s.warn('FEED_MISSING', line, 'Feed move without a feed: its length counts, its time does not');
  }
  if (s.spindle === null || (!s.S && !s.speedLost))
    s.warn('SPINDLE_OFF_FEED', line, 'Feed move with the spindle off');
  s.took = seconds;
  noteDepth(s, line, lowest, true);
}

function noteDepth(s: ReaderState, line: number, z: number, feeding: boolean): void {
  // Measured from another zero than the one that the operation has.
  if (s.shifted || Number.isNaN(z)) return;
  const tool = s.current;
  if (z < tool.lowestZ) {
    tool.lowestZ = z;
    tool.lowestZLine = line;
  }
  if (feeding && z < tool.lowestFeedZ) {
    tool.lowestFeedZ = z;
    tool.lowestFeedZLine = line;
  }
  const limit = s.options.zLimitMm;
  if (limit !== null && z < limit - 1e-9)
    s.warn(
      feeding ? 'Z_BELOW_LIMIT' : 'Z_BELOW_LIMIT_RAPID',
      line,
      `${feeding ? 'Feeds' : 'Rapid'} below Z ${limit}`,
    );
}

/** Length from where the tool is to where it goes, along a set of axes. */
function wayAlong(s: ReaderState, axes: number): number {
  const { at, to } = s;
  const dx = axes & 1 ? to.x - at.x : 0;
  const dy = axes & 2 ? to.y - at.y : 0;
  const dz = axes & 4 ? to.z - at.z : 0;
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}

/** A rapid to `s.to`, straight in space. Axes whose place was unknown are left out of the known length. */
export function rapid(s: ReaderState, line: number, named: number): void {
  const tool = s.current;
  s.used();
  const way = wayAlong(s, ALL_AXES);
  const wayKnown = s.known === ALL_AXES ? way : wayAlong(s, s.known);
  tool.rapidMm += way;
  tool.rapidKnownMm += wayKnown;
  s.feeds = false;
  const before = leave(s);
  arrive(s, named);
  s.path?.rapid(line, s.was, s.at, s.placed(before), s.scaled ? 0 : wayKnown);
  if (s.known & Z_BIT) noteDepth(s, line, s.at.z, false);
  if (s.awaitsZ && named & Z_BIT) s.nameZ(line, s.at.z);
}

/** A straight feed move to `s.to`. Along an axis whose place is lost the way is not known and not counted. */
export function feedLine(s: ReaderState, line: number, named: number): void {
  const { at, to, lost } = s;
  if (named & lost) s.current.lowerBound = true;
  const startZ = s.known & Z_BIT ? at.z : NaN;
  const dx = lost & 1 ? 0 : to.x - at.x;
  const dy = lost & 2 ? 0 : to.y - at.y;
  const dz = lost & 4 ? 0 : to.z - at.z;
  const sideways = dx * dx + dy * dy;
  if (lost === 0 && !s.shifted && startZ === startZ) noteSlope(s.current, line, startZ, -dz, sideways);
  const before = leave(s);
  arrive(s, named);
  noteReach(s, before);
  const endZ = s.known & Z_BIT ? at.z : NaN;
  // Of a way from where nobody knows, or to there, the other end counts.
  const lowest = startZ < endZ || endZ !== endZ ? startZ : endZ;
  const length = Math.sqrt(sideways + dz * dz);
  bookFeed(s, line, length, lowest);
  s.path?.feed(line, s.was, s.at, s.placed(before), s.scaled ? 0 : length, s.took);
  if (s.awaitsZ && named & Z_BIT) s.nameZ(line, at.z);
}

/** Both ends of a way at feed, where they are known in the operation's own frame. */
function noteReach(s: ReaderState, before: number): void {
  const isPlaced = (s.placed(before) & SIDEWAYS) === SIDEWAYS;
  if (isPlaced) {
    // Where the piece before ended it has been already.
    if (!s.feeds) s.current.reach(s.was);
    s.current.reach(s.at);
  }
  s.feeds = isPlaced;
}

/** Whether it feeds straight down, sideways at one height, or down a slope; `sideways`: the square of that way. */
function noteSlope(tool: Tally, line: number, z: number, down: number, sideways: number): void {
  if (down === 0) {
    if (sideways > 0) tool.level(z);
  } else if (down > 0) {
    // A millionth of the way is the noise of the post-processor.
    if (sideways < 1e-12 * down * down) notePlunge(tool, line, z - down);
    else if (down * down > tool.steepest * tool.steepest * sideways) {
      tool.steepest = down / Math.sqrt(sideways);
      tool.steepestLine = line;
    }
  }
}
function notePlunge(tool: Tally, line: number, z: number): void {
  tool.plunges += 1;
  if (z >= tool.plungeLowest) return;
  tool.plungeLowest = z;
  tool.plungeLine = line;
}

const ARC_FAULTS = {
  ARC_RADIUS_MISMATCH: 'Start and end of the arc lie at different distances from its centre',
  ARC_RADIUS_TOO_SMALL: 'R is less than half the way from start to end',
  ARC_NO_CENTER: 'Arc without a centre or radius',
};

/**
 * An arc or helix at feed to `s.to` about `s.centre`; after a bad one the program goes on from its programmed end, without
 * length. `centred`: which of I, J and K are written, as a set of axes.
 */
export function feedArc(
  s: ReaderState,
  line: number,
  named: number,
  centred: number,
  R: number | null,
): void {
  const [first, second, third] = PLANES[s.plane];
  const inPlane = (1 << first) | (1 << second);
  if (s.lost & inPlane || s.lost & named & (1 << third)) {
    // From where it turns is not known.
    s.used();
    s.current.lowerBound = true;
    arrive(s, named);
    bookFeed(s, line, 0, NaN);
    return;
  }
  const arc = arcThrough({
    start: [s.at.of(first), s.at.of(second)],
    end: [s.to.of(first), s.to.of(second)],
    centre: centred & inPlane ? [s.centre.of(first), s.centre.of(second)] : null,
    R,
    clockwise: s.motion === 2,
    endGiven: (named & inPlane) !== 0,
  });
  if (typeof arc === 'string') {
    s.warn(arc, line, ARC_FAULTS[arc]);
    // The next piece begins at its end, where nothing was yet.
    s.feeds = false;
    s.used();
    s.current.lowerBound = true;
    return arrive(s, named);
  }
  const rise = s.to.of(third) - s.at.of(third);
  const around = Math.abs(arc.radius * arc.turn);
  const startZ = s.at.z;
  const zKnown = (s.known | named) & Z_BIT;
  if (third === Z && s.known & Z_BIT && !s.shifted)
    noteSlope(s.current, line, startZ, -rise, around * around);
  const before = leave(s);
  arrive(s, named);
  noteReach(s, before);
  if (third === Z && (s.placed(before) & SIDEWAYS) === SIDEWAYS) {
    const [across, along] = reachOfArc(arc);
    s.to.x = across.least;
    s.to.y = along.least;
    s.current.reach(s.to);
    s.to.x = across.most;
    s.to.y = along.most;
    s.current.reach(s.to);
  }
  const lowest = lowestZOf(arc, first, second, Math.min(startZ, s.at.z));
  const length = Math.sqrt(around * around + rise * rise);
  bookFeed(s, line, length, zKnown ? lowest : NaN);
  s.path?.arc(line, arc, s.plane, s.was, s.at, s.placed(before), s.scaled ? 0 : length, s.took);
  if (s.awaitsZ && named & Z_BIT) s.nameZ(line, s.at.z);
}
const lowestZOf = (arc: Arc, first: number, second: number, ends: number): number =>
  first === Z ? lowestOnArc(arc, 0) : second === Z ? lowestOnArc(arc, 1) : ends;

/** Keeps where a piece begins; returns the axes whose place is known there. */
function leave(s: ReaderState): number {
  if (s.path || !s.feeds) s.was.take(s.at);
  return s.known;
}
function arrive(s: ReaderState, named: number): void {
  s.at.take(s.to);
  // In G91 a word moves from an unknown place to an unknown place.
  if (!s.absolute) return;
  s.known |= named;
  s.lost &= ~named;
}
