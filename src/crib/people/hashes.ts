import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';

/** Argon2id with 19 MiB, two passes, one lane (OWASP Password Storage Cheat Sheet, its first choice of parameters). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** What is kept of a password or PIN. Same letters written by another keyboard are the same (RFC 8265: NFC). */
export const hashSecret = (secret: string): Promise<string> => hash(secret.normalize('NFC'), COST);

let nobodys: Promise<string> | undefined;
/** Whether it is this secret. Where there is none it takes as long, so that nobody learns who has one. */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  nobodys ??= hashSecret('nobody’s');
  const right = await verify(kept ?? (await nobodys), secret.normalize('NFC'));
  return kept !== null && right;
}

let mostUsed: ReadonlySet<string> | undefined;
/** Whether it is among the 49,000 most used ones, in small letters. */
export function isMostUsed(password: string): boolean {
  mostUsed ??= new Set(dictionary['passwords-common'].map(String));
  return mostUsed.has(password);
}
