import type { ProgramReport, ProgramWarning, ReadOptions, ToolReport, WarningCode } from './report';

export type Axis = 'X' | 'Y' | 'Z';
export const AXES: Axis[] = ['X', 'Y', 'Z'];
export type Motion = 'G0' | 'G1' | 'G2' | 'G3' | 'G81' | 'G83';
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
  motion: Motion | null = null;
  absolute = true;
  plane: keyof typeof PLANES = 'G17';
  inch = false;
  unitStated = false;
  returnToInitial = true;
  /** false while G93 or G95, which are not read, make F mean something else. */
  feedPerMinute = true;
  F: number | null = null;
  S: number | null = null;
  spindle: 'M3' | 'M4' | null = null;
  offset = 'G54';
  selected: number | null = null;
  /** A T word since the last change, for programs that change without M6. */
  fresh = false;
  cycle: Cycle | null = null;
  /** A cycle that is not read is in force: each place it names loses a hole. */
  unreadCycle = false;
  tool: ToolReport | null = null;
  readonly before: ToolReport;
  private used = false;
  readonly report: ProgramReport;
  private readonly warned = new Map<string, ProgramWarning>();

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

  change(t: number): void {
    this.report.tool_changes += 1;
    this.report.tool_sequence.push(t);
    this.tool = this.report.tools.find((tool) => tool.t === t) ?? null;
    if (!this.tool) this.report.tools.push((this.tool = emptyTool(t)));
    this.tool.changes += 1;
    this.spindle = null;
    this.fresh = false;
  }

  warn(code: WarningCode, line: number, message: string): void {
    const t = this.tool?.t ?? null;
    const warning = this.warned.get(`${code} ${t}`);
    if (warning) {
      if (warning.lines.at(-1) !== line) warning.lines.push(line);
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
    if (this.used) {
      const { t: _t, changes: _changes, ...rest } = this.before;
      this.report.before_first_tool = rest;
    }
    return this.report;
  }
}

function emptyTool(t: number): ToolReport {
  return {
    t,
    changes: 0,
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
    cycles: {},
    lower_bound: false,
  };
}

/** Adds a value to a list in order of first sight. */
export function addOnce<T>(list: T[], value: T): void {
  if (!list.includes(value)) list.push(value);
}
