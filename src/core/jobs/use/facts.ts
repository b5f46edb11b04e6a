import type { Grade, Judgement } from '../../because';
import type { CutterGeometry } from '../../cutters';
import type { Recipe } from '../../cutting';
import type { Gauge } from '../../life';
import type { Takes } from '../../registers';
import type { ChangeAt, CutSoFar } from './changeAt';
import type { EdgesNeeded } from './edgesNeeded';
import type { Extent, InForce, Tapping, WarningCode } from '../../programs';

/** What a program asks of one T. Lengths mm in work coordinates, feeds mm/min; null: not known, or none. */
export interface ToolAsks {
  t: number;
  h: readonly number[];
  d: readonly number[];
  /** Speeds in force while it feeds. */
  spindle: readonly number[];
  highestFeed: number | null;
  lowestFeedZ: number | null;
  /** The longest way a drilling cycle feeds, R to depth. */
  deepestHole: number | null;
  minutesPerPart: number;
  /** Something of it was not understood: it goes at least so deep, and takes at least so long. */
  atLeast: boolean;
  warned: readonly WarningCode[];
  /** What of its machine's control was taken otherwise when it was read, in words; left out: nothing. */
  readOtherwise?: readonly string[];
  /** Lines of the program on which what is asked stands; left out, or null: not known. */
  lines?: {
    lowestFeedZ: number | null;
    deepestHole: number | null;
    warned: Partial<Record<WarningCode, number>>;
  };
  /** Pairs of feed and speed; tapping cycles; ways straight down and the steepest slope. Left out: not read. */
  inForce?: readonly InForce[];
  taps?: readonly Tapping[];
  plunges?: { lowest: number | null; line: number } | null;
  /** How far the middle of the tool goes in Y while feeding; left out or null: not read. */
  reachY?: Extent | null;
  ramp?: { degrees: number; line: number } | null;
  /** Where Z goes first after each change; `h` null: without a length. Left out: not read. */
  firstZ?: readonly { z: number; h: number | null; line: number }[];
}

/** A vise that holds the stock in Y: how high its jaws stand in the program's Z, and where the stock between them lies; mm. */
export interface Jaws {
  vise: string;
  /** null: nobody said how high they are, or what is under the part. */
  top: number | null;
  stock: Extent;
}

/** How cutters are run in what is cut here: what a T's planner named, or what is kept for cutters that stand. */
export interface RecipesHere {
  /** What is cut, by its code. */
  material: string;
  named: Recipe | null;
  /** Of this material, where none is named. */
  recipes: readonly Recipe[];
}

/** What is known of the operation beside its program. */
export interface AskedHere {
  /** Highest thing beside the cut: part top or jaw. */
  highestBeside: number | null;
  /** Depth of one pass, where the planner gave it. */
  passDepth: number | null;
  /** The stock's bottom in the program's Z and what height is under it, by the setup sheet; left out or null: not stated. */
  stock?: { bottom: number; parallels: number | null } | null;
  /** What holds the stock at its near and far side, by its setup sheet; left out or null: not known. */
  jaws?: Jaws | null;
  /** Part zero above the machine's datum surface; left out or null: not known. */
  partZero?: number | null;
  /** Left out or null: none are kept. */
  recipes?: RecipesHere | null;
  /** After how many parts its cutter is changed; left out or null: when a sign shows. */
  changeAt?: ChangeAt | null;
  /** The T on which a cutter broke of whose fragments nobody said what became; left out or null: none. */
  fragmentsOfT?: number | null;
}

export interface UseMachine {
  code: string;
  taper: string;
  hEqualsT: boolean;
  rpmMax: number | null;
  feedMax: number | null;
  /** Coolant through its spindle, bar; 0: none; null or left out: not known. */
  coolantBar?: number | null;
  /** Speeds between which its spindle hunts, rev/min; null or left out: none is known. */
  hunts?: { from: number; to: number } | null;
  /** Gauge line above the datum surface with Z at home, and how far Z travels down from there; mm; null or left out: not known. */
  k?: number | null;
  travelZ?: number | null;
}

/** The figures of a build that what is asked is held against; one that is only planned has them too. */
export interface UseBuild {
  /** What it is called in reasons: its tag, or 'this build'. */
  name: string;
  /** Code of its cutter; left out: not asked. */
  itemCode?: string;
  cutter: CutterGeometry;
  /** A body carries inserts and has a speed limit of its own. */
  body: { rpmMax: number | null } | null;
  stickout: number;
  holder: { taper: string | null; rpmMax: number | null };
  /** What its cutter is beside its shape; left out: not asked. */
  cuts?: { centreCutting: boolean | null; pitch: number | null; body: boolean };
  /** Its cutter takes coolant through its shank; left out: not asked. */
  coolantThrough?: boolean | null;
  /** Extensions on the holder, each with its own limit; left out: none. */
  extensions?: readonly { code: string; rpmMax: number | null }[];
}

/** What became of an assembly since it was built. */
export interface UseState {
  /** What was judged of the build itself: a stop stands until the build is changed. */
  build: readonly Judgement[];
  measured: 'not measured' | 'in question' | 'measured';
  /** Why its length is in question. */
  question: string | null;
  /** The length that counts; null or left out: none. */
  gaugeLength?: number | null;
  diameterMeasured: boolean;
  /** Its cutter against what its T is planned to be; null or left out: nothing is planned. */
  planned?: Judgement | null;
  /** Measured runout, mm; null: not measured. */
  runout: number | null;
  /** What its H still needs on this machine, such as a part zero. */
  registerNeeds: string | null;
  /** The pocket it is in under its T, with its H and D; null or left out: it is in none, or under another T. */
  pocket?: { pocket: number; h: number | null; d: number | null; takes: Takes | null } | null;
  /** The device it was measured with was off at its check. */
  deviceDoubt?: boolean;
  /** Of a machine that measures its tools itself: whether it did, and was read back; left out: it does not. */
  setThere?: 'read' | 'not read';
  /** What its edges have cut so far, as far as a planned change counts it; left out: nothing. */
  cutSoFar?: CutSoFar;
  /** What speaks against its holder and what is between, of those with a mark of their own; left out: nothing. */
  holders?: readonly Judgement[];
  /** Why its cutter is held back until somebody looked at it; null or left out: it is not. */
  heldBack?: string | null;
  /** The torque wrench it was tightened with last, where that was found off since; null or left out: it was not. */
  offWrench?: string | null;
  /** This machine reckons H with other figures than when it was measured. */
  figuresChanged: boolean;
  /** Of a body: its seats, the inserts in it, seats that are damaged. */
  inserts: { seats: number | null; mounted: number; damaged: number } | null;
  /** What the readings of its edge say; null: none was taken. */
  wear: {
    /** Flank wear and its criterion, mm; null: it was not read. */
    reading: number | null;
    limit: number;
    /** The T of which that criterion was said; null or left out: it is the usual one. */
    limitOf?: string | null;
    worn: boolean;
    /** Wear of the corner and its criterion, mm; null or left out: it was not read. */
    corner?: { reading: number; limit: number } | null;
    /** What the gauge said of what it made last; null or left out: nothing was gauged. */
    gauge?: Gauge | null;
    /** Minutes until it is worn by its own readings, and with one chance in twenty before; null or left out: cannot say. */
    left?: { minutes: number; cautious: number | null } | null;
    /** What was seen that somebody should judge before it runs; null or left out: nothing. */
    asks?: string | null;
  } | null;
  life: {
    used: number | null;
    leftMinutes: number | null;
    fresh: boolean;
    /** Expected life of fresh edges in this material; null or left out: not known. */
    freshMinutes?: number | null;
    /**
     * It counts as worn here at another wear than its lives were counted to: they say nothing of what is left, and this is the share of
     * the usual life that it has used; null: not known. Left out: it counts as worn as usual.
     */
    usualUsed?: number | null;
  };
}

/** One T of an operation on its machine, with what is tied to it. */
export interface Use {
  asks: ToolAsks;
  here: AskedHere;
  machine: UseMachine;
  partsLeft: number;
  /** null: nothing is tied to it; then `was` may name what was taken down. */
  assembly: (UseBuild & UseState) | null;
  was: string | null;
}

/** The one answer. */
export interface UseJudgement {
  /** good: it may run; stop: it must not; question: somebody must say; not judged: a fact is missing. */
  grade: Grade;
  judgements: Judgement[];
  /** The words of the worst; null where all are good. */
  why: string | null;
  /** Parts it is expected to last for, or until it is changed where that comes first; 0 where it is worn; null: cannot say. */
  goodFor: number | null;
  /** Fresh edge sets for the parts that are left; null: cannot say. */
  edges: (EdgesNeeded & { words: string }) | null;
}
