import { DEFAULTS } from '../defaults';

/**
 * Flank wear at which an end mill counts as worn, mm: the lesser of 0.3 mm (uniform flank wear, ISO 8688-2, from
 * memory) and 0.02 DC (common practice for small cutters). Example: DC 10 -> 0.2; DC 20 -> 0.3.
 */
export const wearLimit = (DC: number): number =>
  Math.min(DEFAULTS.flankWearMm, DEFAULTS.flankWearOfDiameter * DC);
