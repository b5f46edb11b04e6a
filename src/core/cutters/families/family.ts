import type { CutterFigures, CutterSymbol } from '../figures';
import type { FactSymbol } from '../symbols';

/** What a cutter can be asked to cut. */
export type Work =
  | 'side'
  | 'slot'
  | 'pocket'
  | 'face'
  | 'floor'
  | 'hole'
  | 'thread'
  | 'chamfer'
  | 'undercut'
  | 'dovetail'
  | 'rounding'
  | 'engraving'
  | 'centre';

/** Its part in making a hole or a thread. */
export type HoleWork =
  'begins' | 'drills' | 'drills a step' | 'reams' | 'bores' | 'taps' | 'mills a thread' | 'breaks its edge';

/** A point of a half outline: z above the tip, r from the axis, mm. */
export interface OutlinePoint {
  z: number;
  r: number;
}

/** Draws with a figure, or with a rule of thumb where it is not known, which is then named: 'as 2.5 DC'. */
export type Known = (symbol: Exclude<CutterSymbol, 'DC'>, fallback: number, drawn: string) => number;

/** A figure that is not known, and what was drawn instead. */
export interface Assumed {
  symbol: CutterSymbol;
  words: string;
}

/** Says that a figure breaks a rule, or is unlikely: which, its limit, and why. */
export type Say = (field: CutterSymbol, limit: string, words: string) => void;

/** A result, and the facts of an item it needs: without one of them it is not had, or rests on a rule of thumb. */
export interface Need {
  result: string;
  facts: readonly FactSymbol[];
}

/** Facts in words as far as a family judges them: a number (mm, degrees, count), or words; null is 'not known'. */
interface FactsRead {
  number: (symbol: FactSymbol) => number | null;
  words: (symbol: FactSymbol) => string | null;
}

/** Something an item's facts can't be together. */
export interface ItemFault {
  field: string;
  value: number | string;
  limit: string;
  words: string;
}

/**
 * Everything that is known of one family of cutters, in its own file: what it is called, its reference points, its
 * facts, its shape, what it must and what it seldom breaks, and what it can cut. mm and degrees; plane geometry.
 */
export interface FamilySpec {
  words: string;
  /** The shape of its end. */
  tip: 'flat' | 'ball' | 'cone' | 'shallow arc';
  /** What a gauge length is measured to. */
  lengthTo: string;
  /** What DC says. */
  diameterAt: string;
  /** Facts beyond those every cutter has, in the order its form asks for them. */
  facts: readonly FactSymbol[];
  /** The fact its diameter follows from, where it isn't DC that is stated. */
  sizedBy?: 'TDZ';
  /** Cuts walls or floors sideways. */
  mills: boolean;
  /** Its life is counted in holes, not in minutes; common practice. */
  countsHoles?: true;
  /** Carries along its axis: its length bends it little. */
  axial?: true;
  /** Indexable bodies of it exist. */
  body?: true;

  /** The cutting part from the tip up. */
  outline: (c: CutterFigures, known: Known) => OutlinePoint[];
  /** What `outline` asks for beyond DC and DMM. */
  drawnFrom: readonly FactSymbol[];
  /** The widest it may be drawn at a height, where that is not DC/2. */
  widest?: (c: CutterFigures, z: number) => number;
  /** Diameter where a neck would begin; left out: DC. null where a fact for it is missing. */
  neckAt?: (c: CutterFigures) => number | null;
  /** Depth it reaches beside a wall, where that is not its flutes (and a neck thinner than DC). */
  reach?: { mm: (c: CutterFigures) => number | null; needs: readonly FactSymbol[] };
  /** Depth one pass can have, where that is not APMX or the flutes. */
  onePass?: (c: CutterFigures) => number | null;
  /** A disc that cuts slots on its edge: as wide as its teeth. */
  onEdge?: true;
  /** How high its head is, where that is not the flutes: what must not be gripped, and goes in under a wall. */
  head?: { height: (c: CutterFigures) => number | null; needs: readonly FactSymbol[] };

  /** Rules its figures must keep, beyond those of every cutter. */
  mustHold: (c: CutterFigures, fault: Say) => void;
  /** Rules its facts in words must keep. */
  factsMustHold?: (facts: FactsRead) => ItemFault[];
  /** Figures that are seldom true, asked about. */
  seldom?: (c: CutterFigures, ask: Say) => void;
  /** What is seldom true of other cutters and usual for it. */
  usual?: readonly ('short flutes' | 'thin shank' | 'short')[];
  /** What speaks against regrinding any of it. */
  againstRegrind?: string;

  /** It mills a flat floor: the radius of its corner, and the angle of its flank from the axis. */
  floor?: {
    corner: (c: CutterFigures) => number | null;
    flank?: (c: CutterFigures) => number | null;
    needs: readonly FactSymbol[];
  };
  /** It leaves an inside corner of DC/2 between walls. */
  cornersWalls?: true;
  /** The kinds of work it does. */
  cuts: readonly Work[];
  /** Work that is done with it before anything else: common practice. */
  first?: readonly Work[];
  hole?: HoleWork;
  /** Results of its own that need facts. */
  needs?: readonly Need[];
  /** Its size as people say it, where that is not the usual: diameter, radius, width, angle. */
  sizeWords?: (c: CutterFigures, size: string, more: { TDZ?: string; TCHA?: string }) => string;
}

/** A figure as it is said: at most three decimals. */
export const short = (n: number): string => String(Math.round(n * 1000) / 1000);
const EPS = 1e-9;

/** The rule of most: a corner's radius is at most half the diameter. */
export const cornerWithinHalf: FamilySpec['mustHold'] = (c, fault) => {
  if (c.RE !== null && c.RE > c.DC / 2 + EPS)
    fault('RE', `at most DC/2 = ${c.DC / 2}`, 'a corner radius cannot exceed half the diameter');
};
