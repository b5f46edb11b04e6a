import type { Figure } from '../../because';
import { DEFAULTS } from '../../defaults';

const { flankWearMm, flankWearOfDiameter, cornerWearMm } = DEFAULTS;

/**
 * Flank wear at which an end mill counts as worn, mm: the lesser of 0.3 mm (uniform flank wear, ISO 8688-2, from
 * memory) and 0.02 DC (common practice for small cutters). Example: DC 10 -> 0.2; DC 20 -> 0.3.
 */
export const wearLimit = (DC: number): Figure => ({
  value: Math.min(flankWearMm, flankWearOfDiameter * DC),
  because: {
    words: `The lesser of ${flankWearMm} mm (ISO 8688-2) and ${flankWearOfDiameter * 100} % of DC (practice).`,
    formula: `min(${flankWearMm} mm, ${flankWearOfDiameter} DC)`,
    values: [{ name: 'DC', value: `${DC} mm` }],
  },
  assumed: [],
});

/**
 * Wear of a corner or at one spot at which an end mill counts as worn, mm: 0.5 mm (localised flank wear, ISO 8688-2, from
 * memory), for small cutters in the same proportion less (practice). Example: DC 10 -> 0.333; DC 20 -> 0.5.
 */
export const cornerLimit = (DC: number): Figure => {
  const share = (flankWearOfDiameter * cornerWearMm) / flankWearMm;
  return {
    value: Math.min(cornerWearMm, share * DC),
    because: {
      words: `The lesser of ${cornerWearMm} mm (ISO 8688-2, localised) and ${(share * 100).toFixed(1)} % of DC (practice).`,
      formula: `min(${cornerWearMm} mm, ${share.toFixed(4)} DC)`,
      values: [{ name: 'DC', value: `${DC} mm` }],
    },
    assumed: [],
  };
};
