/** A result that could not be had, or leans on a guess: of which item, which fact, and what is booked on it. */
export interface Blocked {
  item: string;
  symbol: string;
  state: 'not known' | 'guess';
  /** What is blocked, in words: 'whether the shank fits'. */
  result: string;
  /** The assembly or job it is blocked for. */
  of: string;
  /** Minutes in the cut that are booked on it. */
  minutes: number;
}

/** One fact that is missing or guessed, with everything it blocks. */
export interface MissingFact {
  item: string;
  symbol: string;
  state: Blocked['state'];
  results: string[];
  of: string[];
  minutes: number;
}

/**
 * Facts to be found out, the worst first: what is not known before what is guessed, then by the minutes in the cut that
 * are booked on it, then by how much it blocks. Minutes of one assembly or job count once a fact. Common practice.
 * Example: LCF of EM8 unknown in A-0001, for which 40 min are booked, stands before a guess with 90 min.
 */
export function missingFacts(blocked: readonly Blocked[]): MissingFact[] {
  const found = new Map<string, MissingFact & { counted: Set<string> }>();
  for (const b of blocked) {
    const key = `${b.item} ${b.symbol}`;
    const fact = found.get(key) ?? {
      item: b.item,
      symbol: b.symbol,
      state: b.state,
      results: [],
      of: [],
      minutes: 0,
      counted: new Set<string>(),
    };
    found.set(key, fact);
    if (b.state === 'not known') fact.state = 'not known';
    if (!fact.results.includes(b.result)) fact.results.push(b.result);
    if (!fact.counted.has(b.of)) {
      fact.counted.add(b.of);
      fact.of.push(b.of);
      fact.minutes += b.minutes;
    }
  }
  return [...found.values()]
    .map(({ counted: _counted, ...fact }) => fact)
    .sort(
      (a, b) =>
        Number(a.state === 'guess') - Number(b.state === 'guess') ||
        b.minutes - a.minutes ||
        b.results.length - a.results.length ||
        a.item.localeCompare(b.item, 'en', { numeric: true }),
    );
}
