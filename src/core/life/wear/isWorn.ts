import { wearLimit } from './wearLimit';

/**
 * Whether flank wear is at the criterion, so that the cutter counts as worn; null (not known) without a reading.
 * Both in mm. A reading at the limit is worn: 1e-9 mm absorbs the rounding of inch readings.
 * Example: DC 10, reading 0.2: true.
 */
export const isWorn = (flankWear: number | null, DC: number): boolean | null =>
  flankWear === null ? null : flankWear >= wearLimit(DC).value - 1e-9;
