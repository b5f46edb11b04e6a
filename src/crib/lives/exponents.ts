import { type Exponent, livesBySpeed, type LifeBySpeeds, usualExponent } from '@/core/life';
import { keptFor } from './keptFor';

/** Taylor's exponent as the lives themselves tell it, else as is usual; null: no usual one is known, and none is taken anywhere. */
export const exponentOf = keptFor(
  (lives: readonly LifeBySpeeds[], substrate: string | null): Exponent | null => {
    const { law } = livesBySpeed(lives);
    return law ? { n: law.n.value, origin: 'as its lives here tell it' } : usualExponent(substrate);
  },
);
