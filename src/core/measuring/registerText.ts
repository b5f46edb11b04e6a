import { formatLength, type LengthUnit } from '../units';
import type { Register } from './schools';

/**
 * What is typed into a machine's register, in the machine's own unit: 3 decimals of a mm, 4 of an inch. null where
 * there is none yet. The same on screen, sheet and label. Example: { value: -347.684 } in mm -> '−347.684'.
 */
export const registerText = (register: Register, unit: LengthUnit): string | null =>
  'needs' in register ? null : formatLength(register.value, unit);
