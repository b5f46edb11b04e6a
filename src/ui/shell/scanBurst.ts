/** Keys as a keyboard wedge sends them: fast characters and Enter. Times in ms. */
interface Burst {
  text: string;
  last: number;
}
export const NO_BURST: Burst = { text: '', last: -Infinity };

/** A burst is under 50 ms a character; hands are slower. */
const FASTEST_HAND_MS = 50;
const SHORTEST_SCAN = 4;

/**
 * The next state of the burst after a key, and the scan it completes, if any. A slower character starts anew; a key
 * that is no character (Tab, arrows) ends it; Enter completes it when it came as fast as the rest.
 */
export function nextBurst(burst: Burst, key: string, at: number): { burst: Burst; scan: string | null } {
  const fast = at - burst.last < FASTEST_HAND_MS;
  if (key === 'Enter')
    return { burst: NO_BURST, scan: fast && burst.text.length >= SHORTEST_SCAN ? burst.text : null };
  if (key === 'Shift') return { burst, scan: null };
  if ([...key].length !== 1) return { burst: NO_BURST, scan: null };
  return { burst: { text: fast ? burst.text + key : key, last: at }, scan: null };
}
