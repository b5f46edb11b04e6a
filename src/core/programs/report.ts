/** What reading one NC program says. Lengths mm, times seconds, whatever the program's units; S and F as programmed. */
export interface ProgramReport {
  units: ('mm' | 'inch')[];
  units_assumed: 'mm' | null;
  work_offsets: string[];
  work_offsets_while_feeding: string[];
  tool_changes: number;
  tool_sequence: number[];
  program_stops: number;
  before_first_tool: Omit<ToolReport, 't' | 'changes'> | null;
  tools: ToolReport[];
  warnings: ProgramWarning[];
  not_understood: { line: number; text: string; why: string }[];
}

interface FeedInForce {
  f: number;
  mode: 'G93' | 'G94' | 'G95';
  unit: 'mm/min' | 'inch/min' | '1/min' | 'mm/rev' | 'inch/rev';
}

export interface ToolReport {
  t: number;
  /** 0: it is named, and nothing changes to it. */
  changes: number;
  /** What the program's comments call it; null: nothing. */
  name: string | null;
  h: number[];
  d: number[];
  spindle: number[];
  spindle_dir: ('M3' | 'M4')[];
  s_words: number[];
  feeds: FeedInForce[];
  f_words: number[];
  cutting_mm: number;
  cutting_s: number;
  rapid_mm: number;
  rapid_known_mm: number;
  dwell_s: number;
  /** null: this tool never feeds, so there is no such depth. */
  lowest_feed_z_mm: number | null;
  lowest_z_mm: number | null;
  holes: number;
  /** The longest way a drilling cycle feeds, R to depth; null: it drills none that is read. */
  deepest_hole_mm: number | null;
  /** Highest feed, mm/min, by whatever mode; null: it never feeds with a feed that is known. */
  highest_feed_mm_min: number | null;
  cycles: Record<string, number>;
  /**
   * true: something that was not understood touches this tool: lengths, times and depths are at least so much, as far as
   * they are known at all.
   */
  lower_bound: boolean;
  /** What the program is warned of while it is in the spindle. */
  warned: WarningCode[];
}

export type WarningCode =
  | 'H_DIFFERS_FROM_T'
  | 'SPINDLE_OFF_FEED'
  | 'FEED_MISSING'
  | 'Z_BELOW_LIMIT'
  | 'Z_BELOW_LIMIT_RAPID'
  | 'ARC_RADIUS_MISMATCH'
  | 'ARC_RADIUS_TOO_SMALL'
  | 'ARC_NO_CENTER'
  | 'NO_POINT'
  | 'T_WITHOUT_CHANGE'
  | 'OFFSET_WRITTEN';

/** How a control takes a number without a decimal point: as it is written, or in its least increment. */
export const POINTS = ['as written', 'least increment'] as const;
export type Points = (typeof POINTS)[number];

export interface ProgramWarning {
  code: WarningCode;
  t: number | null;
  lines: number[];
  /** How many more lines it is so of than are named; left out: none. */
  more_lines?: number;
  message: string;
}

export interface ReadOptions {
  /** Work-coordinate Z below which feeding or rapid moves are reported, mm; null: not checked. */
  zLimitMm: number | null;
  /** true leaves '/' blocks out. */
  blockDelete: boolean;
  /**
   * What X10 means on this machine: 10 mm, or 10 least increments (0.001 mm, 0.0001 in); null: not known, so it is read
   * as written and asked about.
   */
  withoutPoint: Points | null;
}

export const READ_DEFAULTS: ReadOptions = { zLimitMm: null, blockDelete: false, withoutPoint: 'as written' };
