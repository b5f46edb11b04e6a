import { createHash, randomBytes } from 'node:crypto';

/** A new secret of 256 bits: a session's token, a key. Given out once; kept is its digest only. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

// Without the letters that are misread on paper, and with no word in it.
const CODE_SIGNS = '23456789BCDFGHJKMNPQRTVWXYZ';
/** A code to be typed or scanned: 16 signs of 27, 76 bits. Example: 'B7KD-…'. */
export function newCode(): string {
  // 27 signs: the last 13 of 256 values are thrown again, so that each is as likely.
  const signs: string[] = [];
  while (signs.length < 16)
    for (const byte of randomBytes(16))
      if (byte < 243 && signs.length < 16) signs.push(CODE_SIGNS.charAt(byte % 27));
  return signs.join('').replace(/(.{4})(?=.)/g, '$1-');
}

/** What is kept of a secret of many bits, which nobody guesses: its SHA-256, to find it by. */
export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('base64url');

/** A code as it is compared: however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^0-9A-Z]/g, '');
