import { PASSWORD, passwordFault, PIN_DIGITS, pinFault } from '@/core/people';
import { Problem } from '@/crib/door';
import { isMostUsed } from './hashes';

/** Fields of the acts. Limits of length alone: what a password must be is said in words by the core. */
export const passwordField = {
  type: 'string',
  minLength: 1,
  maxLength: PASSWORD.most * 4,
  description: `${PASSWORD.least} characters or more, any of them; not among the most used ones`,
} as const;
export const pinField = {
  type: 'string',
  pattern: `^[0-9]{${PIN_DIGITS}}$`,
  description: `${PIN_DIGITS} digits`,
} as const;
export const codeField = { type: 'string', minLength: 16, maxLength: 40 } as const;

/** Refuses a password that can't be one. */
export function mustBePassword(password: string, about: { initials: string; name: string }): void {
  const fault = passwordFault(password, about, isMostUsed);
  if (fault === null) return;
  // Never the value: problems are shown, logged and sent on.
  throw new Problem('INVALID_INPUT', `password: ${fault}`, {
    field: 'password',
    limit: `${PASSWORD.least} to ${PASSWORD.most} characters, not among the most used`,
    wayOut: 'Take a sentence or four words that only you would put together; blanks are welcome.',
  });
}
export function mustBePin(pin: string): void {
  const fault = pinFault(pin);
  if (fault !== null)
    throw new Problem('INVALID_INPUT', `pin: ${fault}`, {
      field: 'pin',
      limit: `${PIN_DIGITS} digits`,
      wayOut: 'Choose other digits.',
    });
}
