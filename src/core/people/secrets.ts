/**
 * Lengths of what people sign in with. A password that stands alone has 15 characters or more, and at least 64 are taken
 * (NIST SP 800-63B-4, 3.1.1.2); no rule asks for signs or digits. A PIN signs at a screen that somebody with a password
 * set up, and is slowed after five misses: six digits (800-63B-4, 3.1.1.2: 4 or more for what is verified with a second
 * factor; here the screen itself is the other).
 */
export const PASSWORD = { least: 15, most: 128 } as const;
export const PIN_DIGITS = 6;

/** Why a password can't be one; null: it can. `isMostUsed` knows the list of those tried first by whoever guesses. */
export function passwordFault(
  password: string,
  about: { initials: string; name: string },
  isMostUsed: (password: string) => boolean,
): string | null {
  // Each character counts once, however many bytes it has (800-63B-4, 3.1.1.2).
  const length = Array.from(password.normalize('NFC')).length;
  if (length < PASSWORD.least)
    return `it has ${length} characters, and ${PASSWORD.least} or more are needed: three or four words do`;
  if (length > PASSWORD.most) return `it has ${length} characters, and ${PASSWORD.most} at most are taken`;
  const bare = password
    .normalize('NFC')
    .toLowerCase()
    .replaceAll(/[\s.,_-]/g, '');
  const own = [about.name, 'stable', 'toolcrib'].map((w) => w.toLowerCase().replaceAll(/\s/g, ''));
  const rest = own.reduce((left, w) => (w.length > 3 ? left.replaceAll(w, '') : left), bare);
  if (new Set(rest).size < 5) return 'it is made of too few different characters, or of your own name';
  if (isMostUsed(bare) || isMostUsed(rest)) return 'it is among the most used ones, which are tried first';
  return null;
}

/** Why a PIN can't be one; null: it can. */
export function pinFault(pin: string): string | null {
  if (!/^\d+$/.test(pin) || pin.length !== PIN_DIGITS) return `a PIN has ${PIN_DIGITS} digits`;
  const steps = new Set([...pin].slice(1).map((d, i) => (Number(d) - Number(pin[i]) + 10) % 10));
  if (steps.size === 1) return 'its digits only repeat or count';
  return /^(..)\1\1$|^(...)\2$/.test(pin) ? 'its digits only repeat' : null;
}
