import { type Exponent, livesBySpeed, type LifeBySpeeds, usualExponent } from '@/core/life';

/** Laws that were looked for, by the lives they were looked for in: screens ask of the same lives again and again. */
const looked = new Map<string, Exponent | null>();
const REMEMBERED = 500;

/** Taylor's exponent as the lives themselves tell it, else as is usual; null: no usual one is known, and none is taken anywhere. */
export function exponentOf(lives: readonly LifeBySpeeds[], substrate: string | null): Exponent | null {
  const key = lives.map((l) => `${l.speed} ${l.life.minutes} ${l.life.failed}`).join();
  let told = looked.get(key);
  if (told === undefined) {
    const { law } = livesBySpeed(lives);
    told = law && { n: law.n.value, origin: 'as its lives here tell it' };
    if (looked.size >= REMEMBERED) looked.clear();
    looked.set(key, told);
  }
  return told ?? usualExponent(substrate);
}
