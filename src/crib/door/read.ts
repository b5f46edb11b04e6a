import { sure } from '@/core/sure';
import { parseLength, parseNumber, enteredText, type Length } from '@/core/units';
import { Problem } from './problem';

/** A length that passed the door: its mm and its text as entered. */
export function toLength(value: string | number): Length & { entered: string } {
  const length =
    typeof value === 'number'
      ? { mm: value, text: String(value), unit: 'mm' as const }
      : sure(parseLength(value), 'a length that passed the door');
  return { ...length, entered: enteredText(length) };
}

export const maybeLength = (value: string | number | undefined) =>
  value === undefined ? null : toLength(value);

/** A number that passed the door. */
export const toNumber = (value: string | number): number =>
  typeof value === 'number' ? value : sure(parseNumber(value), 'a number that passed the door');
export const maybeNumber = (value: string | number | undefined): number | null =>
  value === undefined ? null : toNumber(value);

/** The thing found, or a Problem that names the field and what was looked for. */
export function found<T>(thing: T | null, field: string, value: unknown, what: string): T {
  if (thing !== null) return thing;
  throw new Problem('NOT_FOUND', `${field}: no ${what} ${String(value)} here`, {
    field,
    value,
    limit: `an existing ${what}`,
    wayOut: `Check the ${what}, or add it first.`,
  });
}

/** The thing found, which must be in use: nothing new is written with one that is not. */
export function foundInUse<T extends { inUse: boolean }>(
  thing: T | null,
  field: string,
  value: unknown,
  what: string,
): T {
  const it = found(thing, field, value, what);
  if (it.inUse) return it;
  throw new Problem('REFUSED', `${field}: ${what} ${String(value)} is out of use`, {
    field,
    value,
    limit: `a ${what} in use`,
    wayOut: `Choose another ${what}, or say on Machines that it is in use again.`,
  });
}

/** Refuses a day that is past, naming what to enter instead. Both days as YYYY-MM-DD. */
export function notPast(field: string, day: string, today: string, wayOut: string): void {
  if (day >= today) return;
  throw new Problem('INVALID_INPUT', `${field}: ${day} is past`, {
    field,
    value: day,
    limit: 'today or later',
    wayOut,
  });
}
