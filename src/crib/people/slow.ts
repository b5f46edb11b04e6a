import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from '@/crib/door';

/** Misses before it is slowed, of one person and from one address, in a quarter of an hour. */
const OF_PERSON = { points: 5, duration: 900, blockDuration: 900 };
const OF_ADDRESS = { points: 30, duration: 900, blockDuration: 900 };

/** Slows who guesses. It forgets when the server starts anew, which whoever guesses can't bring about. */
export class Slow {
  private readonly people = new RateLimiterMemory(OF_PERSON);
  private readonly addresses = new RateLimiterMemory(OF_ADDRESS);

  /**
   * Refuses before anything is compared where too many tries missed; a right one is refused too. `person` is null for a
   * code or a badge: nobody guesses those, and one that is worn must not keep others out.
   */
  async mayTry(person: string | null, address: string): Promise<void> {
    // Counted before the answer is known: many tries at once are many.
    const of: [RateLimiterMemory, string][] = [[this.addresses, address]];
    if (person !== null) of.push([this.people, person]);
    for (const [limiter, key] of of)
      await limiter.consume(key).catch((refused: unknown) => {
        if (!(refused instanceof RateLimiterRes)) throw refused;
        const minutes = Math.max(1, Math.ceil(refused.msBeforeNext / 60_000));
        throw new Problem('TOO_OFTEN', `Too many tries missed`, {
          field: 'who',
          limit: `${limiter.points} in 15 minutes`,
          wayOut: `Wait ${minutes} minute${minutes === 1 ? '' : 's'}. An owner can give you a code to set your password anew.`,
        });
      });
  }

  /** A try that was right counts for nothing. */
  async wasRight(person: string | null, address: string): Promise<void> {
    if (person !== null) await this.people.delete(person);
    await this.addresses.reward(address);
  }
}
