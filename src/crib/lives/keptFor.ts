import { LRUCache } from 'lru-cache';

/** Answers that are kept for one thing: what is told beside it takes few values at a time, and what it was before is of no use. */
const KEPT = 3;

/**
 * A function that is asked again and again of the same things, which never change: it keeps its latest answers for as long as
 * the thing itself is kept. What is told beside it is plain data, by which its answers are told apart.
 * Example: keptFor(exponentOf) looks for the law of some lives once, however many screens ask.
 */
export function keptFor<Of extends object, Beside extends readonly unknown[], Answer>(
  compute: (of: Of, ...beside: Beside) => Answer,
): (of: Of, ...beside: Beside) => Answer {
  const kept = new WeakMap<Of, LRUCache<string, { answer: Answer }>>();
  return (of, ...beside) => {
    let own = kept.get(of);
    if (!own) kept.set(of, (own = new LRUCache<string, { answer: Answer }>({ max: KEPT })));
    const key = JSON.stringify(beside);
    const known = own.get(key) ?? { answer: compute(of, ...beside) };
    own.set(key, known);
    return known.answer;
  };
}
