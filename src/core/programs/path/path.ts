import type { Arc } from '../arc';
import { PLANES, type Place } from '../place';

/**
 * Hears the way of a program while it is read, piece by piece in its order: pictures, extents and clocks are made of it.
 * Places are mm in work coordinates and are written over afterwards; `axes` is the set of axes whose place is known at both
 * ends, empty under a shifted or scaled frame; `length` is mm as far as it is known.
 */
export interface PathListener {
  /** Tool `t` comes into the spindle. */
  change(t: number, line: number): void;
  /** It stands, as a dwell or at the bottom of a hole. */
  wait(line: number, seconds: number): void;
  rapid(line: number, from: Place, to: Place, axes: number, length: number): void;
  /** Straight at feed; `seconds`: by F; 0: that is not known. */
  feed(line: number, from: Place, to: Place, axes: number, length: number, seconds: number): void;
  /** An arc or helix at feed, in the plane G17, G18 or G19. */
  arc(
    line: number,
    arc: Arc,
    plane: 17 | 18 | 19,
    from: Place,
    to: Place,
    axes: number,
    length: number,
    seconds: number,
  ): void;
}

/** Most chords of one arc: a circle drawn by them is round to the eye at any size of a screen. */
const MOST_CHORDS = 720;

/**
 * Ends of the chords that an arc or helix is drawn by, none further from it than `within` mm where no more than 720 are
 * needed. `each` hears each end and which share of the way it is at; the place is written over.
 * Source: height of a segment, r (1 − cos(angle / 2)).
 * Example: half a circle of radius 10 within 0.01 mm: 36 chords.
 */
export function chordsOf(
  arc: Arc,
  plane: 17 | 18 | 19,
  from: Place,
  to: Place,
  within: number,
  place: Place,
  each: (share: number) => void,
): void {
  const [first, second, third] = PLANES[plane];
  const step = arc.radius > within ? 2 * Math.acos(1 - within / arc.radius) : Math.PI / 2;
  const turn = Math.abs(arc.turn);
  const chords = Math.max(1, Math.min(MOST_CHORDS, Math.ceil(turn / step - 1e-9)));
  for (let i = 1; i < chords; i += 1) {
    const share = i / chords;
    const angle = arc.from + arc.turn * share;
    place.put(first, arc.centre[0] + arc.radius * Math.cos(angle));
    place.put(second, arc.centre[1] + arc.radius * Math.sin(angle));
    place.put(third, from.of(third) + (to.of(third) - from.of(third)) * share);
    each(share);
  }
  place.take(to);
  each(1);
}

/** Tells two listeners of one path. */
export const bothHear = (one: PathListener, other: PathListener): PathListener => ({
  change(...said) {
    one.change(...said);
    other.change(...said);
  },
  wait(...said) {
    one.wait(...said);
    other.wait(...said);
  },
  rapid(...said) {
    one.rapid(...said);
    other.rapid(...said);
  },
  feed(...said) {
    one.feed(...said);
    other.feed(...said);
  },
  arc(...said) {
    one.arc(...said);
    other.arc(...said);
  },
});
