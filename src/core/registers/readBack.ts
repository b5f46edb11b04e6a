import { type AsForm, digitsOf } from '../measuring';
import { parseNumber } from '../units';

/** Half of a register's last digit, in its own unit: what is typed to fewer digits than that is another figure. */
export const halfDigit = (form: AsForm): number => 0.5 * 10 ** -digitsOf(form);

/** A register's text as a number; the minus of print counts as one. null: it is none. */
export const registerNumber = (text: string): number | null => parseNumber(text.trim().replace('−', '-'));

/**
 * Why a figure read back from a control is not the one that was to be entered; null: it is. The commonest slips are named:
 * two digits swapped, the sign, the point, inches for millimetres, the figure of another register. Common practice.
 * Example: -347.648 for -347.684: two digits are swapped.
 */
export function whyOther(
  read: string,
  wanted: string,
  form: AsForm,
  others: readonly { name: string; text: string }[] = [],
): string | null {
  const [a, b] = [registerNumber(read), registerNumber(wanted)];
  if (a === null || b === null) return 'it is no number';
  const near = (x: number, y: number) => Math.abs(x - y) < halfDigit(form);
  if (near(a, b)) return null;
  const other = others.find((o) => {
    const n = registerNumber(o.text);
    return n !== null && near(a, n);
  });
  if (other) return `that is ${other.name}`;
  if (near(a, -b)) return 'the sign is the other one';
  if (near(a, b * 10) || near(a, b / 10) || near(a, b * 1000) || near(a, b / 1000))
    return 'the point is elsewhere';
  if (Math.abs(a * 25.4 - b) < 0.002 || Math.abs(a / 25.4 - b) < 0.0002) return 'it is in the other unit';
  return isSwapped(read, wanted) ? 'two digits are swapped' : 'it is another figure';
}

const digits = (text: string): string => text.replace(/\D/g, '');
function isSwapped(read: string, wanted: string): boolean {
  const [a, b] = [digits(read), digits(wanted)];
  if (a.length !== b.length) return false;
  const off = [...a].flatMap((c, i) => (c === b[i] ? [] : [i]));
  const [i = -1, j = -1] = off;
  return off.length === 2 && j === i + 1 && a[i] === b[j] && a[j] === b[i];
}
