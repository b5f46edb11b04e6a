import type { Because } from '../because';
import { sure } from '../sure';
/** Upper ends of the steps of nominal sizes, mm: over the one before, up to and including this one. ISO 286-1. */
const STEPS = [3, 6, 10, 18, 30, 50, 80, 120] as const;
/** Standard tolerances in micrometres, by grade and step. ISO 286-1, table, from memory. */
const IT: Record<number, readonly number[]> = {
  5: [4, 5, 6, 8, 9, 11, 13, 15],
  6: [6, 8, 9, 11, 13, 16, 19, 22],
  7: [10, 12, 15, 18, 21, 25, 30, 35],
  8: [14, 18, 22, 27, 33, 39, 46, 54],
  9: [25, 30, 36, 43, 52, 62, 74, 87],
  10: [40, 48, 58, 70, 84, 100, 120, 140],
  11: [60, 75, 90, 110, 130, 160, 190, 220],
  12: [100, 120, 150, 180, 210, 250, 300, 350],
};
/** Lower deviations of holes in micrometres, by letter and step. ISO 286-1, from memory. */
const LOWER: Record<string, readonly number[]> = {
  D: [20, 30, 40, 50, 65, 80, 100, 120],
  E: [14, 20, 25, 32, 40, 50, 60, 72],
  F: [6, 10, 13, 16, 20, 25, 30, 36],
  G: [2, 4, 5, 6, 7, 9, 10, 12],
  H: [0, 0, 0, 0, 0, 0, 0, 0],
};
export const HOLE_LETTERS = [...Object.keys(LOWER), 'JS'];

/** Upper deviations of J holes in micrometres, by grade and step. ISO 286-1, table, from memory. */
const J_UPPER: Record<number, readonly number[]> = {
  6: [2, 5, 5, 6, 8, 10, 13, 16],
  7: [4, 6, 8, 10, 12, 14, 18, 22],
  8: [6, 10, 12, 15, 20, 24, 28, 34],
};
/** Lower deviations of the shafts whose letters tighter holes share, in micrometres, by step. ISO 286-1, from memory. */
const TIGHT: Record<string, readonly number[]> = {
  K: [0, 1, 1, 1, 2, 2, 2, 3],
  M: [2, 4, 6, 7, 8, 9, 11, 13],
  N: [4, 8, 10, 12, 15, 17, 20, 23],
  P: [6, 12, 15, 18, 22, 26, 32, 37],
};
/** The finest grade above which K to N (8) and P (7) have no rule of their own here. */
const TIGHT_TO: Record<string, number> = { K: 8, M: 8, N: 8, P: 7 };

/**
 * Upper deviation of a J, K, M, N or P hole, micrometres; null where it has none here. ISO 286-1: −(lower deviation of
 * the shaft) + (IT n − IT n−1) above 3 mm for K, M, N to IT8 and P to IT7; from memory. Example: 20 K7 -> +6; 20 N7 -> −7.
 */
function tightUpper(letter: string, grade: number, at: number): number | null {
  if (letter === 'J') return J_UPPER[grade]?.[at] ?? null;
  const shaft = TIGHT[letter]?.[at];
  if (shaft === undefined) return null;
  if (grade > (TIGHT_TO[letter] ?? 0)) return letter === 'P' ? -shaft : null;
  const [own, finer] = [IT[grade]?.[at], IT[grade - 1]?.[at]];
  if (own === undefined || finer === undefined) return null;
  return -shaft + (at === 0 ? 0 : own - finer);
}

/**
 * Limits of a hole that are stated outright: two sizes ('8.010..8.028'), or two deviations ('+0.010/+0.028'), mm; null
 * where the text is neither. A hole is no further from its nominal size than a tenth of it.
 */
function statedLimits(nominal: number, text: string): HoleLimits | null {
  const number = String.raw`([+-−]?\d+(?:[.,]\d+)?)`;
  const m = new RegExp(`^${number}\\s*(?:\\.\\.|/|–)\\s*${number}$`).exec(text.trim());
  if (!m) return null;
  const signed = /^[+−-]/.test(m[1] ?? '') || /^[+−-]/.test(m[2] ?? '');
  const [a = NaN, b = NaN] = [m[1], m[2]].map(
    (x) => Number((x ?? '').replace('−', '-').replace(',', '.')) + (signed ? nominal : 0),
  );
  const [lower, upper] = [Math.min(a, b), Math.max(a, b)];
  if (
    !(upper > lower) ||
    Math.abs(lower - nominal) > nominal / 10 ||
    Math.abs(upper - nominal) > nominal / 10
  )
    return null;
  return { nominal, lower, upper, it: Math.round((upper - lower) * 1e6) / 1000 };
}
export const HOLE_GRADES = Object.keys(IT).map(Number);

const step = (nominal: number): number | null => {
  if (!(nominal > 0)) return null;
  const at = STEPS.findIndex((s) => nominal <= s);
  return at === -1 ? null : at;
};

/**
 * Standard tolerance of a grade for a nominal size, micrometres; null outside 0..120 mm or IT5..IT12.
 * ISO 286-1, table from memory. Example: toleranceGrade(20, 7) = 21.
 */
export function toleranceGrade(nominal: number, grade: number): number | null {
  const at = step(nominal);
  return at === null ? null : (IT[grade]?.[at] ?? null);
}

/** Limits of a hole, mm. */
interface HoleLimits {
  nominal: number;
  lower: number;
  upper: number;
  /** Width of the tolerance, micrometres. */
  it: number;
}

/**
 * Limits of a hole by its class, such as 'H7', 'F8', 'JS9', 'N7', or as they are stated, '+0.010/+0.028'; null where the
 * class or size is not in the tables. ISO 286-1 and -2, from memory. Example: holeLimits(20, 'H7') = 20.000 to 20.021.
 */
export function holeLimits(nominal: number, cls: string): HoleLimits | null {
  const stated = statedLimits(nominal, cls);
  if (stated) return stated;
  const m = /^(JS|[DEFGHJKMNP])\s?(\d{1,2})$/i.exec(cls.trim());
  const at = step(nominal);
  const it = m ? toleranceGrade(nominal, Number(m[2])) : null;
  if (!m || at === null || it === null) return null;
  const letter = (m[1] ?? '').toUpperCase();
  if (/^[JKMNP]$/.test(letter)) {
    const up = tightUpper(letter, Number(m[2]), at);
    return up === null
      ? null
      : { nominal, lower: nominal + (up - it) / 1000, upper: nominal + up / 1000, it };
  }
  const low = letter === 'JS' ? -it / 2 : sure(LOWER[letter]?.[at], `ISO 286 deviation ${letter}`);
  return { nominal, lower: nominal + low / 1000, upper: nominal + (low + it) / 1000, it };
}

/** Limits a reamer is made to for a hole, mm; `worn` is where it would cut below the hole. */
interface ReamerLimits extends HoleLimits {
  largest: number;
  smallest: number;
  because: Because;
}
/** Shares of the hole's tolerance, per cent: what a new reamer keeps off its upper limit, and its own tolerance. */
const [OFF, OWN] = [15, 35];

/**
 * Limits of a reamer for a hole: largest = upper limit − 15 % of the tolerance, smallest when new 35 % below that, both
 * shares rounded up to whole micrometres. Worn out when it would cut below the hole's lower limit. null where the class
 * is not in the tables. ISO 522, DIN 1420 (rule from memory). Example: 20 H7 -> 20.017 and 20.009.
 */
export function reamerLimits(nominal: number, cls: string): ReamerLimits | null {
  const hole = holeLimits(nominal, cls);
  if (!hole) return null;
  const um = (share: number) => Math.ceil((hole.it * share) / 100 - 1e-9);
  const largest = hole.upper - um(OFF) / 1000;
  return {
    ...hole,
    largest,
    smallest: largest - um(OWN) / 1000,
    because: {
      words: `ISO 522 and DIN 1420: ${OFF} % and ${OWN} % of the tolerance, rounded up to whole micrometres; worn out below the hole’s lower limit.`,
      formula: `largest = upper − ${OFF} % · IT; smallest = largest − ${OWN} % · IT`,
      values: [{ name: 'IT', value: `${hole.it} µm` }],
    },
  };
}

type ReamerState = 'too large' | 'new' | 'in use' | 'worn out';

/** Where a measured reamer stands for one hole. Example: 20.012 for 20 H7 -> 'new'; 20.004 -> 'in use'; 19.999 -> 'worn out'. */
export function reamerState(limits: ReamerLimits, measured: number): ReamerState {
  const EPS = 1e-7;
  if (measured > limits.largest + EPS) return 'too large';
  if (measured >= limits.smallest - EPS) return 'new';
  return measured >= limits.lower - EPS ? 'in use' : 'worn out';
}

/**
 * Classes a reamer of a measured diameter still cuts, finest first: those whose largest reamer is not exceeded and whose
 * lower limit is not undercut. A reamer cuts a little larger than it is: the 15 % are left for that. mm.
 * Example: an 8 H7 reamer measured at 8.004 still makes H7 and H6, not H5.
 */
export function classesLeft(nominal: number, measured: number): { cls: string; state: ReamerState }[] {
  return HOLE_LETTERS.flatMap((letter) => HOLE_GRADES.map((grade) => `${letter}${grade}`))
    .flatMap((cls) => {
      const limits = reamerLimits(nominal, cls);
      return limits ? [{ cls, limits, state: reamerState(limits, measured) }] : [];
    })
    .filter((x) => x.state === 'new' || x.state === 'in use')
    .sort((a, b) => a.limits.it - b.limits.it)
    .map(({ cls, state }) => ({ cls, state }));
}
