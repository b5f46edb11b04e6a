import { LIMITS } from '../limits';
import { FIRST_ZERO, type Unread } from './codes';
import type { MachineClock } from './path/machineClock';
import type { PathListener } from './path/path';
import { ALL_AXES, Place } from './place';
import type { ReadOptions } from './options';
import { readAs } from './readAs';
import type { FeedMode, FeedUnit, InForce, ProgramReport, WarningCode } from './report';
import { Tally, Values } from './tally';
import { Tools } from './tools';
import { Warnings } from './warnings';

/** A drilling cycle in force, with the words it holds. */
export interface Series {
  R: number | null;
  Z: number | null;
  Q: number | null;
  /** At the bottom, seconds; null: none. */
  dwell: number | null;
  /** Z before the series. */
  initialZ: number;
}

const UNITS: Record<FeedMode, readonly [mm: FeedUnit, inch: FeedUnit]> = {
  G93: ['1/min', '1/min'],
  G94: ['mm/min', 'inch/min'],
  G95: ['mm/rev', 'inch/rev'],
};

/** The machine as the program has set it: modal groups, position, and the report being filled. */
export class ReaderState {
  /** Where the tool is, mm, by axis; and where a move leads. */
  readonly at = new Place();
  readonly to = new Place();
  /** What the last piece at feed takes, seconds; 0: not known. A field, since it is millions of numbers. */
  took = NaN;
  /** Where the last piece of the path began, and whether it was one at feed whose ends are known. */
  readonly was = new Place();
  feeds = false;
  /** From where an arc starts to its centre, mm, by axis. */
  readonly centre = new Place();
  /** Axes whose place is known, as a set: not before it was first moved to, nor after a home leg or G53. */
  known = 0;
  /** Axes of which something that is not read, or a way home, left the tool where we don't know. */
  lost = 0;
  /** G number of the motion in force; null: none. */
  motion: number | null = null;
  absolute = true;
  plane: 17 | 18 | 19 = 17;
  inch = false;
  /** Millimetres of the unit in force. */
  scale = 1;
  /** Every number is what it says, with a point or without. */
  readonly asWritten: boolean;
  private unitStated = false;
  returnToInitial = true;
  /** What F means: inverse time, a minute, a turn. */
  feedMode: FeedMode = 'G94';
  F: number | null = null;
  S: number | null = null;
  /** The last S was one that cannot be read: turning, but nobody can tell how fast. */
  speedLost = false;
  spindle: 'M3' | 'M4' | null = null;
  offset = 'G54';
  /** H in force by G43; null: none. */
  length: number | null = null;
  selected: number | null = null;
  /** A T word since the last change, for programs that change without M6. */
  fresh = false;
  series: Series | null = null;
  /** A cycle that is not read is in force: each place it names loses a hole. */
  unreadCycle = false;
  /** Codes in force that are not read. */
  private readonly modes = new Map<string, Unread>();
  private shiftedAxes = 0;
  /** Under them no depth is known; under them no length is. */
  shifted = false;
  scaled = false;
  private readonly tools = new Tools();
  private readonly before = new Tally(-1);
  /** The tool that figures go to: the one in the spindle, or what stands before the first tool. */
  current: Tally = this.before;
  /** The T in the spindle; null: none yet. */
  t: number | null = null;
  /** Figures went to what stands before the first tool. */
  private usedBefore = false;
  /** No Z was named yet since the last change. */
  awaitsZ = false;
  /** Something was read that is more than a comment. */
  begun = false;
  readonly report: ProgramReport;
  private readonly warnings = new Warnings();
  private readonly units = new Values<'mm' | 'inch'>();
  private readonly offsets = new Values<string>();
  private readonly feedingOffsets = new Values<string>();
  /** Repeats of drilling cycles, each hole and peck: one short block may ask for thousands. */
  repeats = 0;
  /** Line of the block that was read last. */
  lastLine = 0;
  /** Bytes that were read in called subprograms, each time anew. */
  called = 0;
  /** What a feed move goes to and how long it takes a mm; null: something it depends on has changed. */
  private cut: { pair: InForce | null; secondsAMm: number } | null = null;

  /** `path`: hears each piece of the way; null: nobody does. */
  constructor(
    readonly options: ReadOptions,
    readonly path: PathListener | null = null,
  ) {
    this.asWritten = options.withoutPoint === 'as written';
    this.report = {
      read_as: readAs(options),
      units: [],
      units_assumed: null,
      work_offsets: [],
      work_offsets_while_feeding: [],
      tool_changes: 0,
      tool_sequence: [],
      program_stops: 0,
      before_first_tool: null,
      tools: [],
      warnings: this.warnings.list,
      not_understood: [],
    };
  }

  /** What a feed move is booked by has changed: feed, speed, tool, unit or offset. */
  refresh(): void {
    this.cut = null;
  }
  /**
   * What a feed move is booked by: the pair of feed and speed it goes to and what a mm of it takes, seconds; no pair where
   * the time is not known. G93 has no time a mm: the caller books the block's own.
   */
  booking(line: number): { pair: InForce | null; secondsAMm: number } {
    return (this.cut ??= this.newBooking(line));
  }
  private newBooking(line: number): { pair: InForce | null; secondsAMm: number } {
    const tool = this.current;
    this.used();
    const turns = this.spindle !== null && this.S ? this.S : null;
    if (this.spindle !== null) tool.spindleDir.add(this.spindle);
    if (turns !== null) {
      tool.spindle.add(turns);
      tool.highestSpindle = Math.max(tool.highestSpindle, turns);
    }
    this.feedingOffsets.add(this.offset);
    if (!this.F) return { pair: null, secondsAMm: 0 };
    const pair = tool.pairOf(line, this.F, this.feedMode, this.feedUnit, turns, this.spindle);
    if (this.feedMode === 'G93') return { pair, secondsAMm: 0 };
    const aMinute = this.F * this.scale * (this.feedMode === 'G95' ? (turns ?? 0) : 1);
    if (aMinute <= 0) return { pair: null, secondsAMm: 0 };
    tool.highestFeed = Math.max(tool.highestFeed, aMinute);
    return { pair, secondsAMm: 60 / aMinute };
  }

  get feedUnit(): FeedUnit {
    return UNITS[this.feedMode][this.inch ? 1 : 0];
  }

  /** Figures go to the current tool. */
  used(): void {
    if (this.t === null) this.usedBefore = true;
  }

  stateUnit(inch: boolean): void {
    this.inch = inch;
    this.scale = inch ? 25.4 : 1;
    this.unitStated = true;
    this.units.add(inch ? 'inch' : 'mm');
    this.refresh();
  }
  useOffset(offset: string): void {
    this.offset = offset;
    this.offsets.add(offset);
    this.refresh();
  }

  /** A T word: what is to come into the spindle. */
  select(t: number, line: number, name: string | null): void {
    this.selected = t;
    this.fresh = true;
    this.tools.select(t, line, name);
  }
  /** What a comment says of tools. */
  hear(comment: string): void {
    this.tools.hear(comment);
  }
  change(t: number, line: number, name: string | null = null): void {
    this.report.tool_changes += 1;
    if (this.report.tool_sequence.length < LIMITS.programTools.most) this.report.tool_sequence.push(t);
    this.current.leave(this.lastLine);
    this.current = this.tools.change(t, line, name);
    this.t = t;
    this.feeds = false;
    this.path?.change(t, line);
    if (this.modes.size) this.current.lowerBound = true;
    this.spindle = null;
    this.fresh = false;
    this.awaitsZ = true;
    this.refresh();
  }
  /** The program named a Z, to which the tool goes. */
  nameZ(line: number, z: number): void {
    this.awaitsZ = false;
    const { firstZ } = this.current;
    const { length: h, offset } = this;
    if (firstZ.length >= LIMITS.programValues.most) return;
    if (!firstZ.some((f) => f.z_mm === z && f.h === h && f.offset === offset))
      firstZ.push({ z_mm: z, h, offset, line });
  }
  /** How many tools it calls, changed to or not. */
  get toolsCalled(): number {
    return this.tools.called;
  }

  /** Something that is not read comes into force: it marks every tool until it is ended. */
  begin(code: string, what: Unread): void {
    if (what.endedBy !== null) this.modes.set(code, what);
    if (what.wanders || what.shifts) this.lose(ALL_AXES);
    this.weigh();
  }
  /** A code that may end what is not read; the place in the frame from then on is not known either. */
  end(code: string): void {
    if (!this.modes.size) return;
    for (const [name, mode] of this.modes)
      if (mode.endedBy?.includes(code)) {
        this.modes.delete(name);
        if (mode.shifts) this.lose(ALL_AXES);
      }
    this.weigh();
  }
  /** G52: each axis it names lies so far from its first zero, null: it is not named; with all back at 0 it is over. */
  shift(by: readonly (number | null)[], what: Unread): void {
    by.forEach((way, axis) => {
      if (way === null) return;
      if (way === 0) this.shiftedAxes &= ~(1 << axis);
      else this.shiftedAxes |= 1 << axis;
    });
    if (this.shiftedAxes) this.begin('G52', what);
    else this.end(FIRST_ZERO);
  }
  private weigh(): void {
    const modes = [...this.modes.values()];
    this.shifted = modes.some((m) => m.shifts);
    this.scaled = modes.some((m) => m.scales);
  }
  /** It stands: a dwell, or at the bottom of a hole. */
  wait(line: number, seconds: number): void {
    this.current.dwellS += seconds;
    this.path?.wait(line, seconds);
  }
  /** Axes whose place in the operation's own frame is known now, as far as they were at a piece's beginning. */
  placed(before: number): number {
    return this.shifted || this.scaled ? 0 : before & this.known;
  }
  lose(axes: number): void {
    this.lost |= axes;
    this.known &= ~axes;
  }

  warn(code: WarningCode, line: number, message: string, t = this.t): void {
    this.warnings.add(code, line, message, t);
  }

  /** Something on this line was not read; the current tool's figures become a lower bound if it may move. */
  notUnderstood(line: number, text: string, why: string, moves: boolean): void {
    this.report.not_understood.push({ line, text, why });
    if (!moves) return;
    this.used();
    this.current.lowerBound = true;
  }

  /** What is not read may belong to any tool. */
  markAll(): void {
    for (const tool of [this.before, ...this.tools.all]) tool.lowerBound = true;
  }

  /** `clock`: what each tool takes at the machine asked about; null: it was not asked. */
  finish(clock: MachineClock | null): ProgramReport {
    const { report } = this;
    clock?.stand();
    if (!this.unitStated) report.units_assumed = 'mm';
    report.units = this.units.list;
    report.work_offsets = this.offsets.list;
    report.work_offsets_while_feeding = this.feedingOffsets.list;
    this.current.leave(this.lastLine);
    for (const { t, line } of this.tools.end())
      this.warn('T_WITHOUT_CHANGE', line, `T${t} is called and nothing changes to it`, t);
    for (const { code, t, lines } of report.warnings)
      if (t !== null) this.tools.of(t)?.warned.set(code, lines[0] ?? 0);
    report.tools = this.tools.all.map((tool) => tool.toReport(clock?.of(tool.t) ?? null));
    if (this.usedBefore) {
      const { t: _t, changes: _changes, ...rest } = this.before.toReport(clock?.of(null) ?? null);
      report.before_first_tool = rest;
    }
    return report;
  }
}
