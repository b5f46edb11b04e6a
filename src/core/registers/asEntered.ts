import { type AsForm, registerText, unitOf } from '../measuring';
import { registerNumber } from './readBack';

const mmIn = (form: AsForm): number => (unitOf(form) === 'mm' ? 1 : 25.4);

/** A figure read from a control as it is kept: with that unit's digits and sign. null: it is no number. Example: '-395.9' -> '−395.900'. */
export const asRead = (text: string, form: AsForm): string | null => {
  const n = registerNumber(text);
  return n === null ? null : registerText({ value: n * mmIn(form) }, form);
};

/**
 * A change as it goes into a register: with that register's digits, as mm of exactly those digits, and what the control shows
 * afterwards, where it is known what it showed before. Example: -0.03004 mm after '-395.888': '−0.030', '−395.918'.
 */
export function asEntered(
  changeMm: number,
  before: string | null,
  form: AsForm,
): { added: string; addedMm: number; after: string | null } {
  const added = registerText({ value: changeMm }, form) ?? '0';
  const addedMm = (registerNumber(added) ?? 0) * mmIn(form);
  const was = before === null ? null : registerNumber(before);
  return {
    added,
    addedMm,
    after: was === null ? null : registerText({ value: was * mmIn(form) + addedMm }, form),
  };
}
