import { CAUSE_NAMES, CAUSES, type Cause } from './causes';
import { type Seen, SEEN_NAMES } from './seen';

/** What was seen where a cutter ended, and what was looked for and not there. */
export interface Scene {
  seen: readonly Seen[];
  /** Looked for, and not so; what is in neither was not looked at. */
  notSeen?: readonly Seen[];
}

/** A case of this shop whose cause somebody confirmed. */
export interface ConfirmedCase extends Scene {
  cause: Cause;
}

/** A cause with how likely it is here and what speaks for it. */
export interface RankedCause {
  cause: Cause;
  words: string;
  /** Beside the other causes that are known; they add up to 1. */
  chance: number;
  /** Signs seen that go with it, and what speaks against it: seen though they do not go with it, or looked for and not there. */
  for: readonly Seen[];
  against: readonly Seen[];
  next: readonly string[];
  /** Confirmed cases of this shop with this cause, by their place in the list that was given. */
  cases: readonly number[];
}

/** How often a sign is seen with a cause, before a shop has cases: mostly, sometimes, hardly ever (practice). */
const SHARE = { mostly: 0.75, sometimes: 0.3, hardly: 0.06 } as const;
/** As how many cases of a cause its starting shares count, and as how many cases the usual causes (practice). */
const COUNTS_AS = { signs: 8, causes: 20 } as const;

const started = (cause: Cause, sign: Seen): number => {
  const { mostly, sometimes } = CAUSES[cause];
  return mostly.includes(sign) ? SHARE.mostly : sometimes.includes(sign) ? SHARE.sometimes : SHARE.hardly;
};
const USUAL_IN_ALL = CAUSE_NAMES.reduce((sum, c) => sum + CAUSES[c].usual, 0);

/**
 * Likely causes of a broken cutter, the likeliest first: each sign speaks for and against every cause by how often it is seen
 * with it (naive Bayes), and each confirmed case of the shop is counted beside the starting shares, which count as 8 cases of
 * a cause and 20 in all, so that ten cases of one kind are felt and one is not believed at once.
 * Sources: signs and causes are common practice; counting on a prior as in any text of Bayesian estimation.
 * One pass over the cases. Example: 'longer' and 'bright rings on the shank': pulled out of its holder first.
 */
export function rankCauses(scene: Scene, confirmed: readonly ConfirmedCase[] = []): RankedCause[] {
  const of = new Map(
    CAUSE_NAMES.map((c) => [c, { cases: new Array<number>(), seen: new Map<Seen, number>() }]),
  );
  confirmed.forEach((one, i) => {
    const kept = of.get(one.cause);
    kept?.cases.push(i);
    for (const sign of new Set(one.seen)) kept?.seen.set(sign, (kept.seen.get(sign) ?? 0) + 1);
  });
  const seen = SEEN_NAMES.filter((s) => scene.seen.includes(s));
  const notSeen = SEEN_NAMES.filter((s) => scene.notSeen?.includes(s) && !seen.includes(s));
  const scored = CAUSE_NAMES.map((cause) => {
    const { cases = [], seen: counts = null } = of.get(cause) ?? {};
    const share = (sign: Seen) =>
      (COUNTS_AS.signs * started(cause, sign) + (counts?.get(sign) ?? 0)) / (COUNTS_AS.signs + cases.length);
    const prior =
      (COUNTS_AS.causes * (CAUSES[cause].usual / USUAL_IN_ALL) + cases.length) /
      (COUNTS_AS.causes + confirmed.length);
    const log =
      Math.log(prior) +
      seen.reduce((sum, s) => sum + Math.log(share(s)), 0) +
      notSeen.reduce((sum, s) => sum + Math.log(1 - share(s)), 0);
    return { cause, cases, log, share };
  });
  const top = scored.reduce((most, s) => Math.max(most, s.log), -Infinity);
  const total = scored.reduce((sum, s) => sum + Math.exp(s.log - top), 0);
  return scored
    .map(({ cause, cases, log, share }) => ({
      cause,
      words: CAUSES[cause].words,
      chance: Math.exp(log - top) / total,
      for: seen.filter((s) => share(s) >= SHARE.sometimes - 0.05),
      against: [
        ...seen.filter((s) => share(s) < SHARE.sometimes - 0.05),
        ...notSeen.filter((s) => share(s) >= SHARE.mostly - 0.15),
      ],
      next: CAUSES[cause].next,
      cases,
    }))
    .sort((a, b) => b.chance - a.chance);
}
