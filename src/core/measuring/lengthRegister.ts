import type { MachineLengths, Register } from './schools';

/**
 * Length register H for a tool of gauge length L on a machine, mm. h = part zero above the machine's datum
 * surface, wanted by the touched-off school alone: without it the answer says what is needed.
 * gauge: L · datum: L − K · common-stand: L − K0 · master: L − Lm · touched-off: h + L − K.
 * Source: rigid geometry of Z at home, tip = K − L above the datum surface; schools are common practice.
 * Example: K 490, L 142.316: datum register −347.684.
 */
export function lengthRegister(m: MachineLengths, L: number, h: number | null): Register {
  switch (m.school) {
    case 'gauge':
      return { value: L };
    case 'datum':
      return { value: L - m.K };
    case 'common-stand':
      return m.K0 === null ? { needs: "the stand's constant K0" } : { value: L - m.K0 };
    case 'master':
      return m.Lm === null ? { needs: 'the length of the master tool' } : { value: L - m.Lm };
    case 'touched-off':
      return h === null ? { needs: 'part zero' } : { value: h + L - m.K };
  }
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
      return { value: h - m.K };
    case 'datum':
    case 'common-stand':
      return { value: h };
    case 'master':
      return m.Lm === null ? { needs: 'the length of the master tool' } : { value: h + m.Lm - m.K };
  }
}

/** The common (external) Z offset of a machine, mm: K0 − K where one stand serves many machines, else 0. */
export function commonOffset(m: MachineLengths): Register {
  if (m.school !== 'common-stand') return { value: 0 };
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
