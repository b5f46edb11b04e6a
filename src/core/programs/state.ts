import { LIMITS } from '../limits';
import { FIRST_ZERO, type Motion, type Unread } from './codes';
import type { ProgramReport, ProgramWarning, ReadOptions, ToolReport, WarningCode } from './report';

export type Axis = 'X' | 'Y' | 'Z';
export const AXES: Axis[] = ['X', 'Y', 'Z'];
/** First and second axis of each plane, seen from the positive end of the third (RS-274/NGC 3.5.3). */
export const PLANES = { G17: ['X', 'Y', 'Z'], G18: ['Z', 'X', 'Y'], G19: ['Y', 'Z', 'X'] } as const;

interface Cycle {
  R: number | null;
  Z: number | null;
  Q: number | null;
  /** Z before the series. */
  initialZ: number;
}

/** The machine as the program has set it: modal groups, position, and the report being filled. */
export class ReaderState {
  position: Record<Axis, number> = { X: 0, Y: 0, Z: 0 };
  /** Whether an axis' place is known: not before it was first moved to, nor after a home leg or G53. */
  known: Record<Axis, boolean> = { X: false, Y: false, Z: false };
  /** Whether something that is not read, or a way home, left the tool where we don't know. */
  lost: Record<Axis, boolean> = { X: false, Y: false, Z: false };
  motion: Motion | null = null;
  absolute = true;
  plane: keyof typeof PLANES = 'G17';
  inch = false;
  unitStated = false;
  returnToInitial = true;
  /** What F means: inverse time, a minute, a turn. */
  feedMode: 'G93' | 'G94' | 'G95' = 'G94';
  F: number | null = null;
  S: number | null = null;
  /** The last S was one that cannot be read: turning, but nobody can tell how fast. */
  speedLost = false;
  spindle: 'M3' | 'M4' | null = null;
  offset = 'G54';
  selected: number | null = null;
  /** A T word since the last change, for programs that change without M6. */
  fresh = false;
  cycle: Cycle | null = null;
  /** A cycle that is not read is in force: each place it names loses a hole. */
  unreadCycle = false;
  /** Codes in force that are not read. */
  private readonly modes = new Map<string, Unread>();
  private readonly shiftedAxes = new Set<Axis>();
  /** Under them no depth is known; under them no length is. */
  shifted = false;
  scaled = false;
  /** What comments call each T, where they do: 'T8 TAP M8'. */
  private readonly names = new Map<number, string>();
  /** Line and comment of each T that was selected and not changed to since. */
  private readonly unchanged = new Map<number, { line: number; name: string | null }>();
  tool: ToolReport | null = null;
  readonly before: ToolReport;
  private used = false;
  /** Something was read that is more than a comment. */
  begun = false;
  readonly report: ProgramReport;
  private readonly warned = new Map<string, ProgramWarning>();
  private readonly byT = new Map<number, ToolReport>();
  /** What was added to each list of the report: a program may name a hundred thousand feeds. */
  private readonly seen = new WeakMap<object, Set<unknown>>();
  /** Repeats of drilling cycles, each hole and peck: one short block may ask for thousands. */
  repeats = 0;

  constructor(readonly options: ReadOptions) {
    this.before = emptyTool(-1);
    this.report = {
      units: [],
      units_assumed: null,
      work_offsets: [],
      work_offsets_while_feeding: [],
      tool_changes: 0,
      tool_sequence: [],
      program_stops: 0,
      before_first_tool: null,
      tools: [],
      warnings: [],
      not_understood: [],
    };
  }

  /** The tool that figures go to: the one in the spindle, or the entry before the first tool. */
  get current(): ToolReport {
    if (!this.tool) this.used = true;
    return this.tool ?? this.before;
  }

  /** A T word: what is to come into the spindle. */
  select(t: number, line: number, name: string | null): void {
    this.selected = t;
    this.fresh = true;
    if (!this.byT.has(t) && !this.unchanged.has(t)) this.unchanged.set(t, { line, name });
  }

  /** What a comment says of tools: 'T8 TAP M8', 'T8: TAP M8'. The first that names a T counts. */
  hear(comment: string): void {
    const [, t, name] = /^T(\d{1,5})\b[\s:=.,-]*(\S.*)$/i.exec(comment) ?? [];
    if (t !== undefined && name !== undefined && !this.names.has(Number(t))) this.names.set(Number(t), name);
  }

  change(t: number, name: string | null = null): void {
    this.report.tool_changes += 1;
    const selected = this.unchanged.get(t);
    this.unchanged.delete(t);
    this.report.tool_sequence.push(t);
    this.tool = this.byT.get(t) ?? this.add(emptyTool(t));
    this.tool.changes += 1;
    this.tool.name ??= bareName(t, name ?? selected?.name ?? null);
    if (this.modes.size) this.tool.lower_bound = true;
    this.spindle = null;
    this.fresh = false;
  }

  private add(tool: ToolReport): ToolReport {
    this.report.tools.push(tool);
    this.byT.set(tool.t, tool);
    return tool;
  }
  /** How many tools it calls, changed to or not. */
  get toolsCalled(): number {
    return this.byT.size + this.unchanged.size;
  }

  /** Adds a value to a list of the report in order of first sight; `as`: what makes it the same. */
  addOnce<T>(list: T[], value: T, as: unknown = value): void {
    let known = this.seen.get(list);
    if (!known) this.seen.set(list, (known = new Set()));
    if (known.has(as)) return;
    known.add(as);
    list.push(value);
  }

  /** Something that is not read comes into force: it marks every tool until it is ended. */
  begin(code: string, what: Unread): void {
    if (what.endedBy !== null) this.modes.set(code, what);
    if (what.wanders || what.shifts) this.lose(AXES);
    this.weigh();
  }
  /** A code that may end what is not read; the place in the frame from then on is not known either. */
  end(code: string): void {
    for (const [name, mode] of this.modes)
      if (mode.endedBy?.includes(code)) {
        this.modes.delete(name);
        if (mode.shifts) this.lose(AXES);
      }
    this.weigh();
  }
  /** G52: each axis it names lies so far from its first zero; with all back at 0 it is over. */
  shift(words: readonly { letter: string; value: number }[], what: Unread): void {
    for (const axis of AXES) {
      const w = words.find((x) => x.letter === axis);
      if (w && w.value !== 0) this.shiftedAxes.add(axis);
      else if (w) this.shiftedAxes.delete(axis);
    }
    if (this.shiftedAxes.size) this.begin('G52', what);
    else this.end(FIRST_ZERO);
  }
  private weigh(): void {
    const modes = [...this.modes.values()];
    this.shifted = modes.some((m) => m.shifts);
    this.scaled = modes.some((m) => m.scales);
  }
  lose(axes: readonly Axis[]): void {
    for (const axis of axes) {
      this.lost[axis] = true;
      this.known[axis] = false;
    }
  }

  warn(code: WarningCode, line: number, message: string, t = this.tool?.t ?? null): void {
    const warning = this.warned.get(`${code} ${t}`);
    if (warning) {
      if (warning.lines.at(-1) === line) return;
      if (warning.lines.length < LIMITS.warningLines.most) warning.lines.push(line);
      else warning.more_lines = (warning.more_lines ?? 0) + 1;
      return;
    }
    const fresh: ProgramWarning = { code, t, lines: [line], message };
    this.warned.set(`${code} ${t}`, fresh);
    this.report.warnings.push(fresh);
  }

  /** Something on this line was not read; the current tool's figures become a lower bound if it may move. */
  notUnderstood(line: number, text: string, why: string, moves: boolean): void {
    this.report.not_understood.push({ line, text, why });
    if (moves) this.current.lower_bound = true;
  }

  finish(): ProgramReport {
    if (!this.unitStated) this.report.units_assumed = 'mm';
    for (const [t, { line, name }] of this.unchanged) {
      this.add({ ...emptyTool(t), name: bareName(t, name), lower_bound: true });
      this.warn('T_WITHOUT_CHANGE', line, `T${t} is called and nothing changes to it`, t);
    }
    for (const tool of this.report.tools) tool.name ??= this.names.get(tool.t) ?? null;
    for (const w of this.report.warnings) if (w.t !== null) this.byT.get(w.t)?.warned.push(w.code);
    if (this.used) {
      const { t: _t, changes: _changes, ...rest } = this.before;
      this.report.before_first_tool = rest;
    }
    return this.report;
  }
}

/** What a comment calls a tool, without the T it stands beside. Example: 'T8 TAP M8' of T8 -> 'TAP M8'. */
const bareName = (t: number, comment: string | null): string | null => {
  const [, own, name] = comment === null ? [] : (/^T(\d{1,5})\b[\s:=.,-]*(\S.*)$/i.exec(comment) ?? []);
  return Number(own) === t && name !== undefined ? name : comment;
};

function emptyTool(t: number): ToolReport {
  return {
    t,
    changes: 0,
    name: null,
    h: [],
    d: [],
    spindle: [],
    spindle_dir: [],
    s_words: [],
    feeds: [],
    f_words: [],
    cutting_mm: 0,
    cutting_s: 0,
    rapid_mm: 0,
    rapid_known_mm: 0,
    dwell_s: 0,
    lowest_feed_z_mm: null,
    lowest_z_mm: null,
    holes: 0,
    deepest_hole_mm: null,
    highest_feed_mm_min: null,
    cycles: {},
    lower_bound: false,
    warned: [],
  };
}
