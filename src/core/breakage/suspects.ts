/** Parts of an operation by their number, counted in the order in which they were logged; both ends belong to it. */
export interface PartRange {
  first: number;
  last: number;
}

/** Parts that were logged at once, and whether the edges that are asked about cut them. */
export interface LoggedParts extends PartRange {
  cut: boolean;
}

/** Ranges as few as they can be, in order: those that touch or overlap become one. Example: 1-3, 4-6, 9-9: 1-6, 9-9. */
export function joined(ranges: readonly PartRange[]): PartRange[] {
  const out: PartRange[] = [];
  for (const { first, last } of ranges.toSorted((a, b) => a.first - b.first)) {
    const before = out.at(-1);
    if (before && first <= before.last + 1) before.last = Math.max(before.last, last);
    else out.push({ first, last });
  }
  return out;
}

/** What of some ranges is in none of others. Example: 1-10 without 4-5: 1-3, 6-10. */
export function without(ranges: readonly PartRange[], others: readonly PartRange[]): PartRange[] {
  const gone = joined(others);
  return joined(ranges).flatMap((range) => {
    const left: PartRange[] = [];
    let from = range.first;
    for (const g of gone) {
      if (g.last < from || g.first > range.last) continue;
      if (g.first > from) left.push({ first: from, last: g.first - 1 });
      from = g.last + 1;
    }
    return from <= range.last ? [...left, { first: from, last: range.last }] : left;
  });
}

/** How many parts some ranges that do not overlap have. */
export const partsIn = (ranges: readonly PartRange[]): number =>
  ranges.reduce((sum, r) => sum + r.last - r.first + 1, 0);

/** Ranges in words. Example: 'part 4', 'parts 4 to 9', 'parts 4 to 9 and 12'. */
export function partWords(ranges: readonly PartRange[]): string {
  const words = ranges.map((r) => (r.first === r.last ? String(r.first) : `${r.first} to ${r.last}`));
  const last = words.at(-1);
  if (last === undefined) return 'no parts';
  return `${partsIn(ranges) === 1 ? 'part' : 'parts'} ${words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${last}` : last}`;
}

/**
 * Parts that edges may have spoilt: those they cut since the last part that somebody checked and found good. Where none was
 * checked, all of them: unknown is not good. `lastGood`: its number; 0 where none was.
 * Source: common practice (hold every part since the last good measurement). One pass over what was logged.
 * Example: edges cut parts 11 to 40, 25 was good: 26 to 40.
 */
export const suspects = (logged: readonly LoggedParts[], lastGood: number): PartRange[] =>
  joined(
    logged.flatMap(({ first, last, cut }) =>
      cut && last > lastGood ? [{ first: Math.max(first, lastGood + 1), last }] : [],
    ),
  );

/** What is decided of a part that is held. */
export const PART_VERDICTS = { good: 'good', rework: 'rework', scrap: 'scrap' } as const;
export type PartVerdict = keyof typeof PART_VERDICTS;

/** What was decided of some held parts, in the order in which it was. */
export interface Decided extends PartRange {
  verdict: PartVerdict;
}

/**
 * What stands of every held part: the verdict that was given last, or null where nobody decided. In ranges of equal
 * neighbours, in order. Each part is filled once, from the last verdict back, so that it takes as long as there are parts and
 * verdicts, however often all of them were decided anew.
 */
export function standsOf<D extends Decided>(
  range: PartRange,
  decided: readonly D[],
): (PartRange & { by: D | null })[] {
  const by = new Array<D | null>(partsIn([range])).fill(null);
  // From each part on the next one that is not filled yet.
  const open = Array.from({ length: by.length + 1 }, (_, i) => i);
  const openFrom = (from: number): number => {
    let at = from;
    for (let next = open[at] ?? at; next !== at; next = open[at] ?? at) at = next;
    for (let i = from; i !== at;) {
      const next = open[i] ?? at;
      open[i] = at;
      i = next;
    }
    return at;
  };
  for (const d of decided.toReversed()) {
    const last = Math.min(d.last, range.last) - range.first;
    for (let i = openFrom(Math.max(0, d.first - range.first)); i <= last; i = openFrom(i)) {
      by[i] = d;
      open[i] = i + 1;
    }
  }
  const out: (PartRange & { by: D | null })[] = [];
  by.forEach((d, i) => {
    const before = out.at(-1);
    if (before?.by === d) before.last += 1;
    else out.push({ first: range.first + i, last: range.first + i, by: d });
  });
  return out;
}
