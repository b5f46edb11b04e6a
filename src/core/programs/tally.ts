import { LIMITS } from '../limits';
import type { RunSeconds } from './path/machineClock';
import type { Place } from './place';
import type { FeedMode, FeedUnit, FirstZ, InForce, Tapping, ToolReport, WarningCode } from './report';

/** Heights that are told apart, mm: below this it is the noise of the post-processor. */
const SAME_LEVEL = 0.001;

/** Different values in order of first sight, no more than a report names. */
export class Values<T> {
  private readonly seen = new Set<T>();
  /** There were more. */
  cut = false;
  add(value: T): void {
    if (this.seen.size < LIMITS.programValues.most) this.seen.add(value);
    else if (!this.cut && !this.seen.has(value)) this.cut = true;
  }
  get list(): T[] {
    return [...this.seen];
  }
}

/** What one tool does, as it is summed up while reading. `toReport` says it in the report's words. */
export class Tally {
  changes = 0;
  name: string | null = null;
  readonly lines: [number, number][] = [];
  readonly h = new Values<number>();
  readonly d = new Values<number>();
  readonly spindle = new Values<number>();
  readonly spindleDir = new Values<'M3' | 'M4'>();
  readonly sWords = new Values<number>();
  readonly fWords = new Values<number>();
  highestSpindle = -Infinity;
  highestFeed = -Infinity;
  cuttingMm = 0;
  cuttingS = 0;
  rapidMm = 0;
  rapidKnownMm = 0;
  dwellS = 0;
  lowestFeedZ = Infinity;
  lowestFeedZLine = 0;
  lowestZ = Infinity;
  lowestZLine = 0;
  /** How far it goes sideways while feeding. */
  private leastX = Infinity;
  private mostX = -Infinity;
  private leastY = Infinity;
  private mostY = -Infinity;
  readonly firstZ: FirstZ[] = [];
  private readonly levels = new Values<number>();
  private lastLevel = NaN;
  plunges = 0;
  plungeLowest = Infinity;
  plungeLine = 0;
  /** Steepest way down, as its fall by its length sideways. */
  steepest = 0;
  steepestLine = 0;
  holes = 0;
  deepestHole = -Infinity;
  deepestHoleLine = 0;
  private readonly taps = new Map<string, Tapping>();
  readonly cycles: Record<string, number> = {};
  lowerBound = false;
  /** First line of each warning. */
  readonly warned = new Map<WarningCode, number>();
  /** Pairs of feed and speed by what else is in force: programs of adaptive paths name a feed a block. */
  private readonly pairs = new Map<string, Map<number, InForce>>();
  private last: (Pick<InForce, 'unit' | 's' | 'dir'> & { key: string; byFeed: Map<number, InForce> }) | null =
    null;
  private readonly pairList: InForce[] = [];
  private pairsCut = false;

  constructor(readonly t: number) {}

  /**
   * The pair of feed and speed that lengths and times go to. Where there are more of them than a report names, one that is
   * not told of.
   */
  pairOf(
    line: number,
    f: number,
    mode: FeedMode,
    unit: FeedUnit,
    s: number | null,
    dir: 'M3' | 'M4' | null,
  ): InForce {
    // Most pairs differ from the one before in nothing but their feed.
    const { last } = this;
    const isAsLast = last !== null && last.unit === unit && last.s === s && last.dir === dir;
    const key = isAsLast ? last.key : `${unit} ${s} ${dir}`;
    let byFeed = isAsLast ? last.byFeed : this.pairs.get(key);
    if (byFeed && !isAsLast) this.last = { unit, s, dir, key, byFeed };
    const known = byFeed?.get(f);
    if (known) return known;
    const pair: InForce = { s, dir, f, mode, unit, line, cutting_mm: 0, cutting_s: 0 };
    if (this.pairList.length >= LIMITS.programValues.most) {
      this.pairsCut = true;
      return pair;
    }
    if (!byFeed) this.pairs.set(key, (byFeed = new Map()));
    byFeed.set(f, pair);
    if (!isAsLast) this.last = { unit, s, dir, key, byFeed };
    this.pairList.push(pair);
    return pair;
  }

  /** It was here while feeding. */
  reach({ x, y }: Place): void {
    if (x < this.leastX) this.leastX = x;
    if (x > this.mostX) this.mostX = x;
    if (y < this.leastY) this.leastY = y;
    if (y > this.mostY) this.mostY = y;
  }

  /** It fed sideways at this height. */
  level(z: number): void {
    if (Math.abs(z - this.lastLevel) < SAME_LEVEL / 2) return;
    this.lastLevel = z;
    this.levels.add(Math.round(z / SAME_LEVEL) * SAME_LEVEL);
  }

  /** The next tool comes in: its lines end here. */
  leave(line: number): void {
    const span = this.lines.at(-1);
    if (span) span[1] = Math.max(span[0], line);
  }

  /** A tapping cycle: each different one once. */
  tap(tapping: Tapping): void {
    const { line: _line, ...said } = tapping;
    const key = JSON.stringify(said);
    if (!this.taps.has(key) && this.taps.size < LIMITS.programValues.most) this.taps.set(key, tapping);
  }

  toReport(run: RunSeconds | null): ToolReport {
    const finite = (value: number) => (Number.isFinite(value) ? value : null);
    const line = (value: number, at: number) => (Number.isFinite(value) ? at : null);
    const feeds = new Map(this.pairList.map(({ f, mode, unit }) => [`${f} ${unit}`, { f, mode, unit }]));
    const cut = Object.entries({
      h: this.h.cut,
      d: this.d.cut,
      spindle: this.spindle.cut,
      s_words: this.sWords.cut,
      f_words: this.fWords.cut,
      feeds: this.pairsCut,
      in_force: this.pairsCut,
      levels_mm: this.levels.cut,
    }).flatMap(([list, isCut]) => (isCut ? [list] : []));
    return {
      t: this.t,
      changes: this.changes,
      name: this.name,
      lines: this.lines,
      h: this.h.list,
      d: this.d.list,
      spindle: this.spindle.list,
      spindle_dir: this.spindleDir.list,
      s_words: this.sWords.list,
      highest_spindle: finite(this.highestSpindle),
      feeds: [...feeds.values()],
      f_words: this.fWords.list,
      in_force: this.pairList,
      cutting_mm: this.cuttingMm,
      cutting_s: this.cuttingS,
      rapid_mm: this.rapidMm,
      rapid_known_mm: this.rapidKnownMm,
      dwell_s: this.dwellS,
      run_s: run && { feed: run.feed, rapid: run.rapid },
      lowest_feed_z_mm: finite(this.lowestFeedZ),
      lowest_feed_z_line: line(this.lowestFeedZ, this.lowestFeedZLine),
      lowest_z_mm: finite(this.lowestZ),
      lowest_z_line: line(this.lowestZ, this.lowestZLine),
      reach_mm:
        this.leastX <= this.mostX
          ? { x: { least: this.leastX, most: this.mostX }, y: { least: this.leastY, most: this.mostY } }
          : null,
      first_z: this.firstZ,
      levels_mm: this.levels.list.sort((a, b) => b - a).map((z) => Number(z.toFixed(3))),
      plunges: this.plunges
        ? { count: this.plunges, lowest_z_mm: finite(this.plungeLowest), line: this.plungeLine }
        : null,
      steepest_ramp:
        this.steepest > 0
          ? { degrees: (Math.atan(this.steepest) * 180) / Math.PI, line: this.steepestLine }
          : null,
      holes: this.holes,
      deepest_hole_mm: finite(this.deepestHole),
      deepest_hole_line: line(this.deepestHole, this.deepestHoleLine),
      taps: [...this.taps.values()],
      highest_feed_mm_min: finite(this.highestFeed),
      cycles: this.cycles,
      lower_bound: this.lowerBound,
      warned: [...this.warned.keys()],
      warned_at: Object.fromEntries(this.warned),
      ...(cut.length ? { cut_short: cut } : {}),
    };
  }
}
