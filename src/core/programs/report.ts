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
  mode: 'G94';
  unit: 'mm/min' | 'inch/min';
}

export interface ToolReport {
  t: number;
  changes: number;
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
  cycles: Record<string, number>;
  /** true: something that was not understood touches this tool, so lengths and times are at least so much. */
  lower_bound: boolean;
}

export type WarningCode =
  | 'H_DIFFERS_FROM_T'
  | 'SPINDLE_OFF_FEED'
  | 'FEED_MISSING'
  | 'Z_BELOW_LIMIT'
  | 'Z_BELOW_LIMIT_RAPID'
  | 'ARC_RADIUS_MISMATCH'
  | 'ARC_RADIUS_TOO_SMALL'
  | 'ARC_NO_CENTER';

export interface ProgramWarning {
  code: WarningCode;
  t: number | null;
  lines: number[];
  message: string;
}

export interface ReadOptions {
  /** Work-coordinate Z below which feeding or rapid moves are reported, mm; null: not checked. */
  zLimitMm: number | null;
  /** true leaves '/' blocks out. */
  blockDelete: boolean;
}

export const READ_DEFAULTS: ReadOptions = { zLimitMm: null, blockDelete: false };
