import type { Because } from '../because';
import { namesOf } from '../names';
import { LENGTH_SCHOOLS, type LengthSchool, type MachineLengths, type Register } from './schools';

/**
 * Length register H for a tool of gauge length L on a machine, mm. h = part zero above the machine's datum
 * surface, wanted by the touched-off school alone: without it the answer says what is needed.
 * gauge: L · datum: L − K · common-stand: L − K0 · master: L − Lm · touched-off: h + L − K.
 * Source: rigid geometry of Z at home, tip = K − L above the datum surface; schools are common practice.
 * Example: K 490, L 142.316: datum register −347.684.
 */
export const lengthRegister = (m: MachineLengths, L: number, h: number | null): Register =>
  SCHOOL[m.school].of(m, L, h);

/** Said where K is wanted and was never measured. */
const NO_K = { needs: 'K of the machine' } as const;

/** How each school writes H, and what it needs for it. */
const SCHOOL: Record<
  LengthSchool,
  {
    formula: string;
    /** The figure of the machine without which there is no H. */
    asks?: 'K' | 'K0' | 'Lm';
    of(m: MachineLengths, L: number, h: number | null): Register;
  }
> = {
  gauge: { formula: 'H = L', of: (_, L) => ({ value: L }) },
  datum: {
    formula: 'H = L − K',
    asks: 'K',
    of: (m, L) => (m.K === null ? NO_K : { value: L - m.K }),
  },
  'common-stand': {
    formula: 'H = L − K0',
    asks: 'K0',
    of: (m, L) => (m.K0 === null ? { needs: "the stand's constant K0" } : { value: L - m.K0 }),
  },
  master: {
    formula: 'H = L − Lm',
    asks: 'Lm',
    of: (m, L) => (m.Lm === null ? { needs: 'the length of the master tool' } : { value: L - m.Lm }),
  },
  'touched-off': {
    formula: 'H = h + L − K',
    asks: 'K',
    of: (m, L, h) => {
      if (m.K === null) return NO_K;
      return h === null ? { needs: 'part zero' } : { value: h + L - m.K };
    },
  },
};

/** The figure of a machine without which a school writes no H; null: the gauge length alone does. Example: 'datum' -> 'K'. */
export const figureNeeded = (school: LengthSchool): 'K' | 'K0' | 'Lm' | null => SCHOOL[school].asks ?? null;

/**
 * Why H is what it is: the machine's school, its formula, and what goes into it that is known, each from whom or where.
 */
export function lengthReason(
  machine: string,
  m: MachineLengths,
  L: number,
  h: number | null,
  sources: Partial<Record<'L' | 'K' | 'h', string>>,
): Because {
  const known = { L, K: m.K, K0: m.K0, Lm: m.Lm, h };
  return {
    words: `${machine} works with ${LENGTH_SCHOOLS[m.school]}.`,
    formula: SCHOOL[m.school].formula,
    values: namesOf(known).flatMap((name) => {
      const value = known[name];
      const source = name === 'L' || name === 'K' || name === 'h' ? sources[name] : undefined;
      return value === null ? [] : [{ name, value: `${value.toFixed(3)} mm`, source }];
    }),
  };
}

/**
 * Work offset Z that belongs to the register, mm: with both, every school puts any tool's tip at part zero at the
 * same machine place. gauge: h − K · datum: h · common-stand: h, with the machine's common offset K0 − K beside
 * it (see commonOffset) · master: h + Lm − K · touched-off: 0.
 * Example: K 490, h 60, gauge: −430.
 */
export function workOffset(m: MachineLengths, h: number | null): Register {
  if (m.school === 'touched-off') return { value: 0 };
  if (h === null) return { needs: 'part zero' };
  switch (m.school) {
    case 'gauge':
      return m.K === null ? NO_K : { value: h - m.K };
    case 'datum':
    case 'common-stand':
      return { value: h };
    case 'master':
      if (m.K === null) return NO_K;
      return m.Lm === null ? { needs: 'the length of the master tool' } : { value: h + m.Lm - m.K };
  }
}

/** The common (external) Z offset of a machine, mm: K0 − K where one stand serves many machines, else 0. */
export function commonOffset(m: MachineLengths): Register {
  if (m.school !== 'common-stand') return { value: 0 };
  if (m.K === null) return NO_K;
  return m.K0 === null ? { needs: "the stand's constant K0" } : { value: m.K0 - m.K };
}

/**
 * Machine Z at which the tip stands at part zero: register + work offset + common offset, mm. The quantity in
 * which all schools agree: h + L − K.
 */
export function machineZAtPartZero(m: MachineLengths, L: number, h: number): Register {
  const parts = [lengthRegister(m, L, h), workOffset(m, h), commonOffset(m)];
  const missing = parts.find((p) => 'needs' in p);
  if (missing) return missing;
  return { value: parts.reduce((sum, p) => sum + ('value' in p ? p.value : 0), 0) };
}
