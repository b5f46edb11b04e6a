import type { Arc } from '../arc';
import { ALL_AXES, Place, SIDEWAYS } from '../place';
import type { Extent } from '../extent';
import { chordsOf, type PathListener } from './path';

/** What a dot of the plan shows, the stronger over the weaker. */
export const PLAN_MARK = { nothing: 0, rapid: 1, otherTool: 2, cut: 3 } as const;
/** A way straight down is a place and no line: it is drawn this wide, in dots to each side. */
const HOLE_DOTS = 3;
/** A way that goes less far sideways, in dots, goes straight down. */
const STRAIGHT_DOWN = 1e-3;
/** What lies this near to the far edge, in dots, lies within it. */
const EDGE = 1e-6;

/** A part of the work's plane, drawn in dots: X to the right, Y up, both to one scale. */
export interface PlanFrame {
  /** mm at the left edge and at the upper one. */
  left: number;
  top: number;
  /** mm of a dot. */
  dot: number;
  width: number;
  height: number;
}

/**
 * The frame that holds an extent with a margin of a twentieth about it, in dots.
 * Example: 100 x 50 mm on 220 x 220 dots: 0.5 mm a dot, from X −5 and Y +80.
 */
export function planFrame(x: Extent, y: Extent, width: number, height: number): PlanFrame {
  const wide = x.most - x.least;
  const high = y.most - y.least;
  // A single hole has no extent: something of it is to be seen all the same.
  const dot = Math.max((1.1 * wide) / width, (1.1 * high) / height, 0.001);
  return {
    left: (x.least + x.most) / 2 - (width * dot) / 2,
    top: (y.least + y.most) / 2 + (height * dot) / 2,
    ...{ dot, width, height },
  };
}

/**
 * The path seen from above, as dots: however long the program, it takes the same room and each piece no more than its own
 * dots. The middle of the tool is drawn, not its width. Of each dot the lowest piece that was cut there is kept: its line and
 * its Z. Pieces whose place is not known are left out.
 * Source: digital differential analyser, one dot a step along the longer way; lines are clipped by Liang and Barsky (1984).
 */
export class PlanPicture implements PathListener {
  readonly marks: Uint8Array;
  readonly lines: Uint32Array;
  readonly lowest: Float32Array;
  private t: number | null = null;
  private readonly place = new Place();
  private readonly before = new Place();
  private mark: number;
  /** What of a way lies within the frame, as shares of it. */
  private start = 0;
  private end = 1;

  /** `only`: the tool whose cut is shown as such; null: all. */
  constructor(
    readonly frame: PlanFrame,
    private readonly only: number | null,
  ) {
    const dots = frame.width * frame.height;
    this.marks = new Uint8Array(dots);
    this.lines = new Uint32Array(dots);
    this.lowest = new Float32Array(dots).fill(Infinity);
    this.mark = this.markOf(null);
  }
  private markOf = (t: number | null): number =>
    this.only === null || this.only === t ? PLAN_MARK.cut : PLAN_MARK.otherTool;

  change(t: number): void {
    this.t = t;
    this.mark = this.markOf(t);
  }
  wait(): void {
    // Nothing is drawn where it stands.
  }
  rapid(line: number, from: Place, to: Place, axes: number): void {
    if ((axes & SIDEWAYS) !== SIDEWAYS) return;
    // Of one tool only its own rapids are of interest.
    if (this.only === null || this.only === this.t) this.draw(line, from, to, PLAN_MARK.rapid);
  }
  feed(line: number, from: Place, to: Place, axes: number): void {
    if (axes === ALL_AXES) this.draw(line, from, to, this.mark);
  }
  arc(line: number, arc: Arc, plane: 17 | 18 | 19, from: Place, to: Place, axes: number): void {
    if (axes !== ALL_AXES) return;
    const { before, place } = this;
    before.take(from);
    chordsOf(arc, plane, from, to, this.frame.dot / 2, place, () => {
      this.draw(line, before, place, this.mark);
      before.take(place);
    });
  }

  private draw(line: number, from: Place, to: Place, mark: number): void {
    const { left, top, dot, width, height } = this.frame;
    const x0 = (from.x - left) / dot;
    const y0 = (top - from.y) / dot;
    const dx = (to.x - from.x) / dot;
    const dy = (from.y - to.y) / dot;
    const steps = Math.max(Math.abs(dx), Math.abs(dy));
    if (steps < STRAIGHT_DOWN && mark !== PLAN_MARK.rapid && to.z < from.z)
      return this.hole(line, x0, y0, to.z, mark);
    // What lies outside is not walked along.
    this.start = 0;
    this.end = 1;
    if (!this.clip(-dx, x0) || !this.clip(dx, width - EDGE - x0)) return;
    if (!this.clip(-dy, y0) || !this.clip(dy, height - EDGE - y0)) return;
    const { start, end } = this;
    const dz = to.z - from.z;
    const last = Math.floor(end * steps);
    for (let i = Math.ceil(start * steps); i <= last && steps > 0; i += 1) {
      const share = i / steps;
      // Within the frame, so that what is left of the point is what Math.floor leaves.
      const at = ((y0 + dy * share) | 0) * width + ((x0 + dx * share) | 0);
      this.put(at, line, from.z + dz * share, mark);
    }
    this.put(((y0 + dy * end) | 0) * width + ((x0 + dx * end) | 0), line, from.z + dz * end, mark);
  }
  /** Leaves of a way from `start` to `end` what lies on one side of an edge (Liang and Barsky); false: nothing does. */
  private clip(p: number, q: number): boolean {
    if (p === 0) return q >= 0;
    if (p < 0) this.start = Math.max(this.start, q / p);
    else this.end = Math.min(this.end, q / p);
    return this.start <= this.end;
  }
  private hole(line: number, x: number, y: number, z: number, mark: number): void {
    for (let across = -HOLE_DOTS; across <= HOLE_DOTS; across += 1)
      for (let down = -HOLE_DOTS; down <= HOLE_DOTS; down += 1)
        if (across * across + down * down <= HOLE_DOTS * HOLE_DOTS + 1)
          this.dotAt(line, Math.floor(x) + across, Math.floor(y) + down, z, mark);
  }
  private dotAt(line: number, column: number, row: number, z: number, mark: number): void {
    const { width, height } = this.frame;
    if (column >= 0 && row >= 0 && column < width && row < height)
      this.put(row * width + column, line, z, mark);
  }
  private put(at: number, line: number, z: number, mark: number): void {
    const was = this.marks[at] ?? 0;
    // What is shown of a dot is of one piece: the lowest of the strongest kind, and the last of those at one height.
    if (mark < was || (mark === was && z > (this.lowest[at] ?? Infinity))) return;
    this.marks[at] = mark;
    this.lines[at] = line;
    this.lowest[at] = mark === PLAN_MARK.rapid ? Infinity : z;
  }
}

/** The dot nearest to one that holds a mark, by its number in the picture; null: none within so many dots. */
export function nearestDot(
  { frame: { width, height }, marks }: Pick<PlanPicture, 'frame' | 'marks'>,
  column: number,
  row: number,
  within: number,
): number | null {
  let nearest: number | null = null;
  let best = within * within;
  for (let y = Math.max(0, row - within); y <= Math.min(height - 1, row + within); y += 1)
    for (let x = Math.max(0, column - within); x <= Math.min(width - 1, column + within); x += 1) {
      const far = (x - column) ** 2 + (y - row) ** 2;
      if (!marks[y * width + x] || far > best || (far === best && nearest !== null)) continue;
      best = far;
      nearest = y * width + x;
    }
  return nearest;
}
