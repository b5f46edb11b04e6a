/** How a T gets through the parts that are left: fresh edge sets beside the one that is in, and when each goes in. */
export interface EdgesNeeded {
  /** Fresh edge sets, whole ones. */
  fresh: number;
  /** Parts until the first change; all that are left where there is none. */
  first: number;
  /** Parts from one change to the next; null: there is no second. */
  every: number | null;
}

/**
 * Fresh edge sets for the parts that are left, changed between parts, never within one. `goodFor`: parts the edges that are in
 * it are still expected to do; null where that cannot be said. `freshMinutes`: expected life of fresh ones in this
 * material; null where it is not known. A mean: about half end earlier. null: cannot say.
 * Example: 105 left, good for 9, 2 min a part, 66 min a life: 3 fresh ones, the first after 9 parts, then every 33.
 */
export function edgesNeeded(
  partsLeft: number,
  goodFor: number | null,
  minutesPerPart: number,
  freshMinutes: number | null,
  /** Parts after which each is changed; null: when a sign shows. */
  changedAfter: number | null = null,
): EdgesNeeded | null {
  if (goodFor === null || minutesPerPart <= 0) return null;
  if (goodFor >= partsLeft) return { fresh: 0, first: partsLeft, every: null };
  if (freshMinutes === null && changedAfter === null) return null;
  const lasts = freshMinutes === null ? Infinity : Math.floor(freshMinutes / minutesPerPart + 1e-9);
  const each = Math.min(lasts, changedAfter ?? Infinity);
  // A life that does not last one part would be changed within it.
  if (each < 1) return null;
  const fresh = Math.ceil((partsLeft - goodFor) / each);
  return { fresh, first: goodFor, every: fresh > 1 ? each : null };
}

/** In words. Example: '3 fresh ones: after 9 parts, then every 33'. */
export const edgesWords = ({ fresh, first, every }: EdgesNeeded): string =>
  fresh === 0
    ? 'what is in lasts for all'
    : `${fresh} fresh ${fresh === 1 ? 'one' : 'ones'}: ${first === 0 ? 'at once' : `after ${first} ${first === 1 ? 'part' : 'parts'}`}${every === null ? '' : `, then every ${every}`}`;

/** What an edge or its sister is expected to do: parts, null: cannot say; one that must not run does none. */
export type GoodFor = number | null;

/**
 * The same with its sisters in the machine, on which it goes on before a fresh one is needed; `first` is what all of them do.
 * null: cannot say, as where nobody knows how long a sister lasts and the others do not last for all.
 * Example: 105 left, good for 33, a sister for 120: none fresh.
 */
export function edgesWithSisters(
  partsLeft: number,
  own: GoodFor,
  sisters: readonly GoodFor[],
  fresh: { minutesPerPart: number; minutes: number | null; changedAfter: number | null },
): (EdgesNeeded & { words: string }) | null {
  if (own === null) return null;
  const all = sisters.reduce<number>((sum, s) => sum + (s ?? 0), own);
  if (all < partsLeft && sisters.includes(null)) return null;
  const needed = edgesNeeded(partsLeft, all, fresh.minutesPerPart, fresh.minutes, fresh.changedAfter);
  if (!needed) return null;
  const ones = sisters.length === 1 ? 'its sister' : 'its sisters';
  return {
    ...needed,
    words:
      own >= partsLeft || sisters.length === 0
        ? edgesWords(needed)
        : needed.fresh === 0
          ? `what is in and ${ones} last for all`
          : `with ${ones} ${edgesWords(needed)}`,
  };
}
