import type { Extent } from './extent';
import type { RunSeconds } from './path/machineClock';
import type { ReadAs } from './readAs';

/**
 * What reading one NC program says. Lengths mm, times seconds, whatever the program's units; S and F as programmed.
 * Lines are 1-based. A list of values holds at most `LIMITS.programValues` different ones; `cut_short` names those that
 * have more.
 */
export interface ProgramReport {
  /** How it was read. */
  read_as: ReadAs;
  units: ('mm' | 'inch')[];
  units_assumed: 'mm' | null;
  work_offsets: string[];
  work_offsets_while_feeding: string[];
  tool_changes: number;
  /** At most as many as there may be different values; `tool_changes` counts all. */
  tool_sequence: number[];
  program_stops: number;
  before_first_tool: Omit<ToolReport, 't' | 'changes'> | null;
  tools: ToolReport[];
  warnings: ProgramWarning[];
  not_understood: { line: number; text: string; why: string }[];
}

export type FeedMode = 'G94' | 'G93' | 'G95';
export type FeedUnit = 'mm/min' | 'inch/min' | '1/min' | 'mm/rev' | 'inch/rev';
interface FeedInForce {
  f: number;
  mode: FeedMode;
  unit: FeedUnit;
}
/** A feed and a speed that were in force together while feeding, from which line on, and how long. */
export interface InForce extends FeedInForce {
  /** Turns a minute; null: the spindle stood, or nobody can tell how fast it turned. */
  s: number | null;
  dir: 'M3' | 'M4' | null;
  line: number;
  cutting_mm: number;
  cutting_s: number;
}
/** A tapping cycle: what it must agree in with its tap. */
export interface Tapping {
  /** 'G84' cuts right-hand threads, 'G74' left-hand ones. */
  cycle: string;
  f: number | null;
  mode: FeedMode;
  unit: FeedUnit;
  s: number | null;
  /** At the bottom; null: none. */
  dwell_s: number | null;
  line: number;
}
/** Where Z goes first after a tool change, and by which length and offset. */
export interface FirstZ {
  z_mm: number;
  h: number | null;
  offset: string;
  line: number;
}

export interface ToolReport {
  t: number;
  /** 0: it is named, and nothing changes to it. */
  changes: number;
  /** What the program's comments call it; null: nothing. */
  name: string | null;
  /** Lines from each of its changes to the last before the next one. */
  lines: [from: number, to: number][];
  h: number[];
  d: number[];
  spindle: number[];
  spindle_dir: ('M3' | 'M4')[];
  s_words: number[];
  /** Highest S in force while feeding; null: it never feeds with a speed that is known. */
  highest_spindle: number | null;
  feeds: FeedInForce[];
  f_words: number[];
  /** Pairs of feed and speed, in order of first use. */
  in_force: InForce[];
  cutting_mm: number;
  cutting_s: number;
  rapid_mm: number;
  rapid_known_mm: number;
  dwell_s: number;
  /** What its feeds and rapids take at the machine asked about, seconds, with acceleration and corners; null: not asked. */
  run_s: RunSeconds | null;
  /** null: this tool never feeds, so there is no such depth. */
  lowest_feed_z_mm: number | null;
  lowest_feed_z_line: number | null;
  lowest_z_mm: number | null;
  lowest_z_line: number | null;
  /** How far the middle of the tool goes sideways while feeding, work coordinates; null: nowhere that is known. */
  reach_mm: { x: Extent; y: Extent } | null;
  first_z: FirstZ[];
  /** Heights at which it feeds sideways without rising or falling, highest first. */
  levels_mm: number[];
  /** Feeds straight down outside the cycles; null: never. */
  plunges: { count: number; lowest_z_mm: number | null; line: number } | null;
  /** The steepest way down while feeding sideways, degrees; null: none. */
  steepest_ramp: { degrees: number; line: number } | null;
  holes: number;
  /** The longest way a drilling cycle feeds, R to depth; null: it drills none that is read. */
  deepest_hole_mm: number | null;
  deepest_hole_line: number | null;
  taps: Tapping[];
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
  /** The first line of each such warning. */
  warned_at: Partial<Record<WarningCode, number>>;
  /** Lists that hold only the first of their values; left out: none. */
  cut_short?: string[];
}

export type WarningCode =
  | 'H_DIFFERS_FROM_T'
  | 'D_DIFFERS_FROM_T'
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

export interface ProgramWarning {
  code: WarningCode;
  t: number | null;
  lines: number[];
  /** How many more lines it is so of than are named; left out: none. */
  more_lines?: number;
  message: string;
}
