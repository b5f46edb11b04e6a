import { formatLength, type LengthUnit } from '../units';
import type { Register } from './schools';

/** How a machine shows its registers: its unit, and the digits after the point; null: the usual 3 of a mm, 4 of an inch. */
export interface RegisterForm {
  units: LengthUnit;
  digits: number | null;
}
/** A unit alone has its usual digits. */
export type AsForm = RegisterForm | LengthUnit;

/** The digits after the point of a form. Example: 'inch' -> 4. */
export const digitsOf = (form: AsForm): number =>
  typeof form === 'string' ? (form === 'mm' ? 3 : 4) : (form.digits ?? (form.units === 'mm' ? 3 : 4));
export const unitOf = (form: AsForm): LengthUnit => (typeof form === 'string' ? form : form.units);

/**
 * What is typed into a machine's register, in the machine's own unit and digits. null where there is none yet. The same on
 * screen, sheet and label. Example: { value: -347.684 } in mm -> '−347.684'; with 4 digits '−347.6840'.
 */
export const registerText = (register: Register, form: AsForm): string | null => {
  if ('needs' in register) return null;
  const unit = unitOf(form);
  // An inch has one digit more than a mm for as much.
  return formatLength(register.value, unit, digitsOf(form) - (unit === 'mm' ? 0 : 1));
};
