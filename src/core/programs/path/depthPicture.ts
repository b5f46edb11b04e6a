import type { Arc } from '../arc';
import { Place, Z_BIT } from '../place';
import { chordsOf, type PathListener } from './path';

/** When a tool is in the spindle, seconds of the program's own time. */
export interface ToolSpan {
  /** null: no tool yet. */
  t: number | null;
  from: number;
  to: number;
}

/** Chords of an arc outside the plane stay this near to it, mm. */
const WITHIN = 0.05;

/**
 * Z over time: of each column of the picture the highest and lowest Z at feed and at rapid, and the line that goes lowest at
 * feed, or at rapid where nothing feeds in it. Time is length / feed, and length / rapid rate where the machine's is known:
 * else rapids take none. Pieces whose Z is not known take their time and leave a gap.
 */
export class DepthPicture implements PathListener {
  readonly feedLow: Float32Array;
  readonly feedHigh: Float32Array;
  readonly rapidLow: Float32Array;
  readonly rapidHigh: Float32Array;
  readonly lines: Uint32Array;
  readonly spans: ToolSpan[] = [];
  private at = 0;
  private readonly aColumn: number;
  private readonly before = new Place();
  private readonly place = new Place();

  /** `seconds`: of the whole program, as `Extents` gathers them; `rapidMmS`: mm/s; null: not known. */
  constructor(
    seconds: number,
    readonly columns: number,
    private readonly rapidMmS: number | null,
  ) {
    this.aColumn = seconds > 0 ? seconds / columns : 1;
    this.feedLow = new Float32Array(columns).fill(Infinity);
    this.feedHigh = new Float32Array(columns).fill(-Infinity);
    this.rapidLow = new Float32Array(columns).fill(Infinity);
    this.rapidHigh = new Float32Array(columns).fill(-Infinity);
    this.lines = new Uint32Array(columns);
    this.spans.push({ t: null, from: 0, to: 0 });
  }

  change(t: number): void {
    const last = this.spans.at(-1);
    if (last && last.t === t) return;
    // One that is no column wide is not seen: so there are never more of them than columns.
    if (last && last.to - last.from < this.aColumn) last.t = t;
    else this.spans.push({ t, from: this.at, to: this.at });
  }
  wait(_line: number, seconds: number): void {
    this.pass(seconds);
  }
  rapid(line: number, from: Place, to: Place, axes: number, length: number): void {
    const seconds = this.rapidMmS ? length / this.rapidMmS : 0;
    this.piece(line, from.z, to.z, axes, seconds, false);
  }
  feed(line: number, from: Place, to: Place, axes: number, _length: number, seconds: number): void {
    this.piece(line, from.z, to.z, axes, seconds, true);
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
    // In the plane a helix rises evenly.
    if (plane === 17) return this.feed(line, from, to, axes, length, seconds);
    const { before, place } = this;
    before.take(from);
    let was = 0;
    chordsOf(arc, plane, from, to, WITHIN, place, (share) => {
      this.piece(line, before.z, place.z, axes, seconds * (share - was), true);
      before.take(place);
      was = share;
    });
  }

  private piece(line: number, z0: number, z1: number, axes: number, seconds: number, feeds: boolean): void {
    const start = this.at;
    this.pass(seconds);
    if (!(axes & Z_BIT)) return;
    const first = this.columnOf(start);
    const last = this.columnOf(this.at);
    for (let column = first; column <= last; column += 1) {
      const from = column === first ? 0 : (column * this.aColumn - start) / seconds;
      const to = column === last ? 1 : ((column + 1) * this.aColumn - start) / seconds;
      this.reach(column, z0 + (z1 - z0) * from, z0 + (z1 - z0) * to, line, feeds);
    }
  }
  private pass(seconds: number): void {
    this.at += seconds;
    const span = this.spans.at(-1);
    if (span) span.to = this.at;
  }
  private columnOf(second: number): number {
    return Math.min(this.columns - 1, Math.floor(second / this.aColumn));
  }
  private reach(column: number, a: number, b: number, line: number, feeds: boolean): void {
    const [low, high] = feeds ? [this.feedLow, this.feedHigh] : [this.rapidLow, this.rapidHigh];
    const lowest = Math.min(a, b);
    const fedAlready = (this.feedLow[column] ?? Infinity) < Infinity;
    if (lowest < (low[column] ?? Infinity)) {
      low[column] = lowest;
      if (feeds || !fedAlready) this.lines[column] = line;
    }
    high[column] = Math.max(high[column] ?? -Infinity, a, b);
  }
}
