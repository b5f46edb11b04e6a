import type { DiameterSchool, Register } from './schools';

/**
 * Diameter register for a cutter of true diameter D, mm. The 'true minus programmed' schools need the size the
 * program was made for, since the program already contains it; without it the answer says so. The wrong school
 * misses by a whole radius. Common practice.
 * Example: D 9.988, radius school: 4.994; wear-radius with a programmed 10: −0.006.
 */
export function diameterRegister(school: DiameterSchool, D: number, programmed: number | null): Register {
  switch (school) {
    case 'diameter':
      return { value: D };
    case 'radius':
      return { value: D / 2 };
    case 'wear-diameter':
      return programmed === null ? { needs: 'the programmed diameter' } : { value: D - programmed };
    case 'wear-radius':
      return programmed === null ? { needs: 'the programmed diameter' } : { value: (D - programmed) / 2 };
  }
}
