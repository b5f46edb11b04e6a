/** A sister tool: another edge of the same cutter, on which the machine goes on when its counter says so. */
export interface Sister {
  usedMinutes: number | null;
  /** Nothing is left in it, or it must not run there. */
  worn: boolean;
  /** Parts it does before the counter goes on to the next. */
  until: number;
}

/** One tool of a run that nobody watches. */
export interface UnwatchedTool {
  t: number;
  /** Share of fresh edges that has not failed after some minutes; null: cannot say, no life and nothing assumed. */
  survival: ((minutes: number) => number) | null;
  /** Minutes of its life that are gone, in this material; null: cannot say. */
  usedMinutes: number | null;
  /** Nothing is left in it: its wear is at the criterion. */
  worn: boolean;
  /** Minutes in the cut that a part asks of it. */
  minutesPerPart: number;
  /** What is thrown away by changing it now: minutes of its life that are left, and what they cost; null: not known. */
  leftMinutes: number | null;
  leftCost: number | null;
  /**
   * Its sisters in the order in which they come, with the parts that this edge still does, and a fresh one in its place would
   * do, until the machine's counter goes on to the first; left out: it has none, or nothing is counted.
   */
  counted?: { until: number; fresh: number; sisters: readonly Sister[] };
}

/** The chance of one tool, and whether to change it before leaving. */
export interface UnwatchedChance {
  t: number;
  /** That this edge lasts the run; null: cannot say. */
  chance: number | null;
  /** That a fresh one does; null: cannot say. */
  fresh: number | null;
  change: boolean;
}

export interface UnwatchedRun {
  tools: UnwatchedChance[];
  /** Tools of which nothing can be said. */
  unknown: number[];
  /** That every edge lasts, as they stand and after the changes, of the tools of which it can be said; each by itself. */
  now: number;
  after: number;
  /** It is reached after the changes; false also where a tool is not known. */
  reached: boolean;
  /**
   * Most parts for which it is reached with the edges as they stand but for the worn ones, which are changed in any case, and
   * with every edge fresh; of the tools that are known.
   */
  goesFor: { asItStands: number; fresh: number };
  /** What the changes throw away; cost null: that of one of them is not known. */
  thrown: { minutes: number; cost: number | null };
}

/** Chance that an edge which has lasted so long lasts so many minutes more. Example: half gone at 10, a quarter left at 20: 0.5. */
export function lastsOn(survival: (minutes: number) => number, used: number, more: number): number {
  const now = survival(used);
  return now > 0 ? Math.min(1, survival(used + more) / now) : 0;
}

/**
 * Whether a run may be left alone: the chance of each edge, of all together (each fails by itself), and which to change
 * before leaving so that `wanted` is reached while little is thrown away; none where even fresh edges do not reach it, for
 * then it is fewer parts that help. What is worn is changed in any case. The changes are those that bring the most for what
 * they throw away, one after the other; then each that is not needed after all is left in. Common practice of reliability in
 * series; the choice is a good one, not always the cheapest of all. Linear but for the order of the tools.
 * Example: edges that last with 0.9 and 0.5, fresh ones with 0.95, wanted 0.8: the second is changed.
 */
export function unwatchedRun(tools: readonly UnwatchedTool[], parts: number, wanted: number): UnwatchedRun {
  const said = tools.map((tool) => {
    const chance = chanceOf(tool, parts, false);
    return { tool, chance, fresh: chance === null ? null : chanceOf(tool, parts, true), change: tool.worn };
  });
  // A worn one is known not to last; of the fresh one in its place nothing may be known all the same.
  const product = (changed: boolean) =>
    said.reduce((p, s) => p * (s.chance === null ? 1 : changed && s.change ? (s.fresh ?? 1) : s.chance), 1);
  const enough = () => product(true) >= wanted;
  const thrownBy = (s: (typeof said)[number]) =>
    s.tool.worn ? 0 : (s.tool.leftCost ?? s.tool.leftMinutes ?? 1);
  const gain = (s: (typeof said)[number]) => Math.log((s.fresh ?? 0) / Math.max(s.chance ?? 1, 1e-9));
  const helped = said
    .filter((s) => !s.change && s.chance !== null && (s.fresh ?? 0) > s.chance)
    .sort((a, b) => gain(b) / (thrownBy(b) + 1e-6) - gain(a) / (thrownBy(a) + 1e-6));
  const withAll = said.reduce(
    (p, s) => p * (s.chance === null ? 1 : Math.max(s.chance, s.fresh ?? (s.tool.worn ? 1 : 0))),
    1,
  );
  for (const s of helped) {
    if (enough() || withAll < wanted) break;
    s.change = true;
  }
  // What was taken first may not be needed beside what came after it: the dearest first.
  for (const s of helped.filter((h) => h.change).sort((a, b) => thrownBy(b) - thrownBy(a))) {
    s.change = false;
    if (!enough()) s.change = true;
  }
  const changed = said.filter((s) => s.change && !s.tool.worn);
  const unknown = said
    .filter((s) => s.chance === null || (s.change && s.fresh === null))
    .map((s) => s.tool.t);
  return {
    tools: said.map(({ tool, chance, fresh, change }) => ({ t: tool.t, chance, fresh, change })),
    unknown,
    now: product(false),
    after: product(true),
    reached: enough() && unknown.length === 0,
    goesFor: { asItStands: mostParts(tools, wanted, false), fresh: mostParts(tools, wanted, true) },
    thrown: {
      minutes: changed.reduce((sum, s) => sum + Math.max(0, s.tool.leftMinutes ?? 0), 0),
      cost: changed.some((s) => s.tool.leftCost === null)
        ? null
        : changed.reduce((sum, s) => sum + Math.max(0, s.tool.leftCost ?? 0), 0),
    },
  };
}

/**
 * Of one T over so many parts, its edge as it stands or a fresh one in its place; null: cannot say. With sisters each edge has
 * its own share of the parts and must last that: the counter goes on whether an edge would have lasted or not, and knows
 * nothing of one that broke. The last takes what is left.
 */
function chanceOf(tool: UnwatchedTool, parts: number, fresh: boolean): number | null {
  const { survival, minutesPerPart, counted } = tool;
  const of = (edge: Pick<Sister, 'usedMinutes' | 'worn'>, share: number): number | null => {
    if (share <= 0) return 1;
    if (edge.worn) return 0;
    if (survival === null || edge.usedMinutes === null) return null;
    return lastsOn(survival, edge.usedMinutes, share * minutesPerPart);
  };
  const own = fresh ? { usedMinutes: 0, worn: false } : tool;
  const sisters = counted?.sisters ?? [];
  const first = sisters.length && counted ? Math.min(parts, fresh ? counted.fresh : counted.until) : parts;
  let chance = of(own, first);
  let rest = parts - first;
  for (const [i, sister] of sisters.entries()) {
    const share = i === sisters.length - 1 ? rest : Math.min(rest, sister.until);
    const its = of(sister, share);
    // What is worn does not last, whatever is known of the others.
    chance = chance === 0 || its === 0 ? 0 : chance === null || its === null ? null : chance * its;
    rest -= share;
  }
  return chance;
}

/** Nobody leaves a machine for more. */
export const MOST_UNWATCHED_PARTS = 10_000;

/** By halving: a longer run never has the better chance. */
function mostParts(tools: readonly UnwatchedTool[], wanted: number, fresh: boolean): number {
  const goes = (parts: number) =>
    tools.reduce((p, tool) => p * (chanceOf(tool, parts, fresh || tool.worn) ?? 1), 1) >= wanted;
  let [least, most] = [0, MOST_UNWATCHED_PARTS];
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (goes(middle)) least = middle;
    else most = middle - 1;
  }
  return least;
}
