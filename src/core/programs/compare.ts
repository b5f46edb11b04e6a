import { namesOf } from '../names';
import type { ToolReport } from './report';

/** What is held of a tool against what an earlier program said of it. */
export const COMPARED = {
  minutes: 'min in the cut',
  lowestFeedZ: 'lowest feeding Z',
  holes: 'holes',
  deepestHole: 'longest feed of a cycle',
  highestSpindle: 'highest S',
  highestFeed: 'highest F',
  h: 'H',
  d: 'D',
} as const;
export type Compared = keyof typeof COMPARED;

export interface Change {
  what: Compared;
  /** null: it had none, or it was not known. */
  before: number | string | null;
  now: number | string | null;
}
/** How a tool of a program differs from the same T of the one before: it is new, gone, or what of it has changed. */
export interface ToolChange {
  t: number;
  kind: 'new' | 'gone' | 'changed';
  changes: Change[];
}

/** Differences below these are the rounding of a post-processor. */
const SAME: Partial<Record<Compared, number>> = {
  minutes: 0.005,
  lowestFeedZ: 5e-4,
  deepestHole: 5e-4,
  highestFeed: 0.05,
};

/** undefined: a report of an earlier version does not say it, so that nobody can tell whether it has changed. */
const valuesOf = (tool: ToolReport): Record<Compared, number | string | null | undefined> => ({
  minutes: tool.cutting_s / 60,
  lowestFeedZ: tool.lowest_feed_z_mm,
  holes: tool.holes,
  deepestHole: tool.deepest_hole_mm ?? (tool.holes > 0 ? undefined : null),
  highestSpindle: tool.highest_spindle ?? (tool.spindle.length > 0 ? Math.max(...tool.spindle) : null),
  highestFeed: tool.highest_feed_mm_min ?? (tool.feeds.length > 0 ? undefined : null),
  h: tool.h.join(', ') || null,
  d: tool.d.join(', ') || null,
});

/**
 * What has changed from one reading of a program to the next, tool by tool: those of the new one in its order, then those
 * that are gone. A T that is alike in all that is compared is left out. mm, minutes, S and F as `COMPARED` names them.
 * Example: T3 went to Z-8 and goes to Z-9 -> [{ t: 3, kind: 'changed', changes: [lowestFeedZ -8, -9] }].
 */
export function compareTools(before: readonly ToolReport[], now: readonly ToolReport[]): ToolChange[] {
  const earlier = new Map(before.map((tool) => [tool.t, tool]));
  const later = new Set(now.map((tool) => tool.t));
  return [
    ...now.flatMap((tool): ToolChange[] => {
      const was = earlier.get(tool.t);
      if (!was) return [{ t: tool.t, kind: 'new', changes: [] }];
      const changes = changesOf(was, tool);
      return changes.length ? [{ t: tool.t, kind: 'changed', changes }] : [];
    }),
    ...before.flatMap((tool): ToolChange[] =>
      later.has(tool.t) ? [] : [{ t: tool.t, kind: 'gone', changes: [] }],
    ),
  ];
}

function changesOf(was: ToolReport, tool: ToolReport): Change[] {
  const [old, fresh] = [valuesOf(was), valuesOf(tool)];
  return namesOf(COMPARED).flatMap((what): Change[] => {
    const [a, b] = [old[what], fresh[what]];
    if (a === undefined || b === undefined) return [];
    const alike =
      typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= (SAME[what] ?? 0) : a === b;
    return alike ? [] : [{ what, before: a, now: b }];
  });
}
