import type { Arc } from '../arc';
import type { Extent } from '../extent';
import { ALL_AXES, Place, X, Z } from '../place';
import { chordsOf, type PathListener } from './path';

/** How far a program's path reaches and how long it takes, as a picture of it needs to know first. */
export interface PathExtents {
  /** By axis X, Y and Z, of what is fed, or of the rapids where nothing is; null: no place of it is known. */
  feed: readonly [Extent, Extent, Extent] | null;
  /** Z of feeds and rapids. */
  z: Extent | null;
  /** Feeding by F, and waiting. */
  seconds: number;
  /** Rapid, mm, as far as its ends are known. */
  rapidMm: number;
}

const NOWHERE = (): Extent => ({ least: Infinity, most: -Infinity });
/** Chords of an arc reach this near to its outermost point, mm. */
const WITHIN = 0.01;

/** Gathers the extents of a path while it is read. Example: G0 X0 Y0 Z5, G1 Z-5 F60, X10: X 0 to 10, Z −5 to 5, 20 s. */
export class Extents implements PathListener {
  private readonly fed = [NOWHERE(), NOWHERE(), NOWHERE()] as const;
  private readonly moved = [NOWHERE(), NOWHERE(), NOWHERE()] as const;
  private seconds = 0;
  private rapidMm = 0;
  private readonly place = new Place();

  change(): void {
    // A change goes nowhere in the work's coordinates.
  }
  wait(_line: number, seconds: number): void {
    this.seconds += seconds;
  }
  rapid(_line: number, _from: Place, to: Place, axes: number, length: number): void {
    this.rapidMm += length;
    reach(this.moved, to, axes);
  }
  feed(_line: number, from: Place, to: Place, axes: number, _length: number, seconds: number): void {
    this.seconds += seconds;
    if (axes !== ALL_AXES) return;
    reach(this.fed, from, axes);
    reach(this.fed, to, axes);
  }
  arc(
    line: number,
    arc: Arc,
    plane: 17 | 18 | 19,
    from: Place,
    to: Place,
    axes: number,
    length: number,
    seconds: number,
  ): void {
    this.feed(line, from, to, axes, length, seconds);
    if (axes === ALL_AXES)
      chordsOf(arc, plane, from, to, WITHIN, this.place, () => reach(this.fed, this.place, axes));
  }

  get extents(): PathExtents {
    const { fed, moved, seconds, rapidMm } = this;
    const known = [fed, moved].find((e) => e.every(isSomewhere)) ?? null;
    const z = { least: Math.min(fed[Z].least, moved[Z].least), most: Math.max(fed[Z].most, moved[Z].most) };
    return { feed: known, z: isSomewhere(z) ? z : null, seconds, rapidMm };
  }
}

const isSomewhere = (extent: Extent): boolean => extent.least <= extent.most;
function reach(extents: readonly [Extent, Extent, Extent], place: Place, axes: number): void {
  for (let axis = X; axis <= Z; axis += 1) {
    const extent = extents[axis];
    if (!extent || !(axes & (1 << axis))) continue;
    const at = place.of(axis);
    if (at < extent.least) extent.least = at;
    if (at > extent.most) extent.most = at;
  }
}
