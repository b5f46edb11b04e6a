import { type Figure, mm } from '../../because';
import { DEFAULTS } from '../../defaults';

const { flankWearMm, flankWearOfDiameter, cornerWearMm } = DEFAULTS;

/** Wear that was said of a T, mm, and of which: 'T7 of J-0650'. */
interface Said {
  mm: number;
  of: string;
}

/** Wear at which a cutter counts as worn where it runs, as somebody said; null: as usual. */
export interface WornHere {
  flank: Said | null;
  corner: Said | null;
}

const said = ({ mm: value, of }: Said, usual: number): Figure => ({
  value,
  because: {
    words: `Said of ${of}: it is worn there at ${mm(value)}, as usual at ${mm(usual)}.`,
    values: [{ name: 'worn at', value: mm(value), source: of }],
  },
  assumed: [],
});

/**
 * Flank wear at which an end mill counts as worn, mm: what was said of the T it runs on (a finisher is changed sooner than a
 * rougher, common practice), else the lesser of 0.3 mm (uniform flank wear, ISO 8688-2, from memory) and 0.02 DC (common
 * practice for small cutters). Example: DC 10 -> 0.2; DC 20 -> 0.3; DC 20 on a T of which 0.1 was said -> 0.1.
 */
export function wearLimit(DC: number, here: WornHere | null = null): Figure {
  const usual = Math.min(flankWearMm, flankWearOfDiameter * DC);
  if (here?.flank) return said(here.flank, usual);
  return {
    value: usual,
    because: {
      words: `The lesser of ${flankWearMm} mm (ISO 8688-2) and ${flankWearOfDiameter * 100} % of DC (practice).`,
      formula: `min(${flankWearMm} mm, ${flankWearOfDiameter} DC)`,
      values: [{ name: 'DC', value: `${DC} mm` }],
    },
    assumed: [],
  };
}

/**
 * Wear of a corner or at one spot at which an end mill counts as worn, mm: what was said of the T it runs on, else 0.5 mm
 * (localised flank wear, ISO 8688-2, from memory), for small cutters in the same proportion less (practice).
 * Example: DC 10 -> 0.333; DC 20 -> 0.5.
 */
export function cornerLimit(DC: number, here: WornHere | null = null): Figure {
  const share = (flankWearOfDiameter * cornerWearMm) / flankWearMm;
  const usual = Math.min(cornerWearMm, share * DC);
  if (here?.corner) return said(here.corner, usual);
  return {
    value: usual,
    because: {
      words: `The lesser of ${cornerWearMm} mm (ISO 8688-2, localised) and ${(share * 100).toFixed(1)} % of DC (practice).`,
      formula: `min(${cornerWearMm} mm, ${share.toFixed(4)} DC)`,
      values: [{ name: 'DC', value: `${DC} mm` }],
    },
    assumed: [],
  };
}

/**
 * What counts of an edge that runs on several T: the least wear of any, said or usual, since it must be good for each.
 * Example: DC 10 on one T at 0.1 and one as usual (0.2) -> 0.1; on one at 0.3 and one as usual -> as usual, null.
 */
export function strictestHere(all: readonly (WornHere | null)[], DC: number): WornHere | null {
  const least = (of: 'flank' | 'corner', limit: typeof wearLimit) =>
    all.toSorted((a, b) => limit(DC, a).value - limit(DC, b).value)[0]?.[of] ?? null;
  const [flank, corner] = [least('flank', wearLimit), least('corner', cornerLimit)];
  return flank || corner ? { flank, corner } : null;
}
