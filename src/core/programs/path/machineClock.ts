import type { Arc } from '../arc';
import { Place, PLANES } from '../place';
import type { PathListener } from './path';

/** How a machine moves. */
export interface MachineMotion {
  /** Rapid rate, mm/min; null: not known. */
  rapidMmMin: number | null;
  /** What its axes gain and lose of speed, mm/s². */
  accelerationMmS2: number;
  /** How far it may stay away from a programmed corner, mm: the less, the slower it goes round. */
  cornerMm: number;
}
/** What the pieces of one tool take at a machine, seconds. */
export interface RunSeconds {
  feed: number;
  /** null: the rapid rate is not known. */
  rapid: number | null;
}

/** Pieces that are looked ahead over: at the last of them it must be able to stand still, as a control must. */
const AHEAD = 256;
/** Straight ways shorter than so many corner tolerances are one way: a control smooths over the rounding of their ends. */
const SMOOTHED = 10;
const STRAIGHT = 1 - 1e-12;

/**
 * Times a path as a machine runs it that gains and loses speed evenly and slows at corners. Each piece is run with a trapezoid
 * of speed between the speeds at its ends. Those are at most the feed of both pieces; at a corner v² = a δ s / (1 − s), of the
 * circle touching both ways whose edge is δ from the corner, with s the sine of half the angle between them; and v² = a r of an
 * arc that turns as much over the shorter piece, so that a curve made of short ways is no straight line; ways shorter than ten
 * corner tolerances are run as one. An arc is run at v² ≤ a r. It stands still between rapid and feed, between two rapids, at a
 * wait and at a tool change.
 * Source: uniform acceleration, v² = u² + 2 a s, and centripetal acceleration, v² / r (any textbook of mechanics).
 * Example: 100 mm at 100 mm/s from rest to rest with 1000 mm/s²: 0.1 s + 0.9 s + 0.1 s.
 */
export class MachineClock implements PathListener {
  private readonly a: number;
  private readonly lengths = new Float64Array(AHEAD);
  /** Highest speed of a piece, and of its beginning as the corner there allows, squared. */
  private readonly most = new Float64Array(AHEAD);
  private readonly corners = new Float64Array(AHEAD);
  /** What its beginning may be run at so that it can still stand at the end of all that is held. */
  private readonly begins = new Float64Array(AHEAD + 1);
  private held = 0;
  /** Speed at the beginning of the first piece held, squared. */
  private speed = 0;
  /** Way the last piece held ends in. */
  private wasX = 0;
  private wasY = 0;
  private wasZ = 0;
  /** Straight ways that are run as one: where they begin and end, their length and seconds by F. */
  private readonly began = new Place();
  private readonly ended = new Place();
  private shortMm = 0;
  private shortS = 0;
  private readonly smoothMm: number;
  private running: RunSeconds;
  private readonly byTool = new Map<number | null, RunSeconds>();

  constructor(private readonly motion: MachineMotion) {
    this.a = motion.accelerationMmS2;
    this.smoothMm = SMOOTHED * motion.cornerMm;
    this.running = this.of(null);
  }

  /** What a tool's pieces take; T null: before the first. */
  of(t: number | null): RunSeconds {
    let run = this.byTool.get(t);
    if (!run) this.byTool.set(t, (run = { feed: 0, rapid: this.motion.rapidMmMin === null ? null : 0 }));
    return run;
  }

  change(t: number): void {
    this.stand();
    this.running = this.of(t);
  }
  wait(): void {
    this.stand();
  }
  rapid(_line: number, _from: Place, _to: Place, _axes: number, length: number): void {
    this.stand();
    const { running, motion } = this;
    if (running.rapid === null || motion.rapidMmMin === null) return;
    const most = (motion.rapidMmMin / 60) ** 2;
    running.rapid += secondsOf(length, 0, 0, most, this.a);
  }
  feed(_line: number, from: Place, to: Place, _axes: number, length: number, seconds: number): void {
    if (!this.runs(length, seconds)) return;
    if (this.shortMm === 0 || this.shortMm + length > this.smoothMm) {
      this.pushShort();
      this.began.take(from);
    }
    this.ended.take(to);
    this.shortMm += length;
    this.shortS += seconds;
  }
  private pushShort(): void {
    const { began, ended, shortMm, shortS } = this;
    if (shortMm === 0) return;
    const dx = ended.x - began.x;
    const dy = ended.y - began.y;
    const dz = ended.z - began.z;
    const way = Math.sqrt(dx * dx + dy * dy + dz * dz) || 1;
    this.push(shortMm, (shortMm / shortS) ** 2, dx / way, dy / way, dz / way);
    this.wasX = dx / way;
    this.wasY = dy / way;
    this.wasZ = dz / way;
    this.shortMm = 0;
    this.shortS = 0;
  }
  arc(
    _line: number,
    arc: Arc,
    plane: 17 | 18 | 19,
    from: Place,
    to: Place,
    _axes: number,
    length: number,
    seconds: number,
  ): void {
    if (!this.runs(length, seconds)) return;
    this.pushShort();
    const [first, second, third] = PLANES[plane];
    const way: [number, number, number] = [0, 0, 0];
    const around = (arc.radius * arc.turn) / length;
    way[third] = (to.of(third) - from.of(third)) / length;
    const along = (angle: number) => {
      way[first] = -Math.sin(angle) * around;
      way[second] = Math.cos(angle) * around;
    };
    along(arc.from);
    this.push(length, Math.min((length / seconds) ** 2, this.a * arc.radius), ...way);
    along(arc.from + arc.turn);
    [this.wasX, this.wasY, this.wasZ] = way;
  }

  /** The path is at its end. */
  stand(): void {
    this.pushShort();
    this.run(this.held);
    this.speed = 0;
  }

  /** Whether a piece can be timed; where nobody knows how fast, or how far, it goes it stands before and behind it. */
  private runs(length: number, seconds: number): boolean {
    if (length > 0 && seconds > 0) return true;
    this.stand();
    // An inverse time is the time of its block, whatever its length.
    this.running.feed += seconds;
    return false;
  }
  private push(length: number, most: number, x: number, y: number, z: number): void {
    if (this.held === AHEAD) this.run(AHEAD / 2);
    const { held } = this;
    this.lengths[held] = length;
    this.most[held] = most;
    this.corners[held] = held === 0 ? this.speed : this.corner(held, length, most, x, y, z);
    this.held = held + 1;
  }
  /** Highest speed from the last piece held into the next, squared. */
  private corner(held: number, length: number, most: number, x: number, y: number, z: number): number {
    const before = held - 1;
    const fastest = Math.min(this.most[before] ?? 0, most);
    const along = x * this.wasX + y * this.wasY + z * this.wasZ;
    if (along >= STRAIGHT) return fastest;
    const s = Math.sqrt(Math.max(0, (1 + along) / 2));
    const turn = Math.acos(Math.max(-1, along));
    const shorter = Math.min(length, this.lengths[before] ?? 0);
    return Math.min(fastest, (this.a * this.motion.cornerMm * s) / (1 - s), (this.a * shorter) / turn);
  }
  /** Runs the first `pieces` of those held, so that it could stand still at the end of all. */
  private run(pieces: number): void {
    const { held, lengths, most, corners, begins, a } = this;
    begins[held] = 0;
    for (let i = held - 1; i > 0; i -= 1)
      begins[i] = Math.min(corners[i] ?? 0, (begins[i + 1] ?? 0) + 2 * a * (lengths[i] ?? 0));
    let { speed } = this;
    for (let i = 0; i < pieces; i += 1) {
      const length = lengths[i] ?? 0;
      const end = Math.min(begins[i + 1] ?? 0, speed + 2 * a * length);
      this.running.feed += secondsOf(length, speed, end, most[i] ?? 0, a);
      speed = end;
    }
    this.speed = speed;
    lengths.copyWithin(0, pieces, held);
    most.copyWithin(0, pieces, held);
    corners.copyWithin(0, pieces, held);
    this.held = held - pieces;
  }
}

/** Seconds of one piece between two speeds, each squared, with its highest speed and acceleration. */
function secondsOf(length: number, from: number, to: number, most: number, a: number): number {
  if (length <= 0) return 0;
  const peak = Math.min(most, (2 * a * length + from + to) / 2);
  const fastest = Math.sqrt(peak);
  const even = Math.max(0, length - (2 * peak - from - to) / (2 * a));
  return (2 * fastest - Math.sqrt(from) - Math.sqrt(to)) / a + even / fastest;
}
