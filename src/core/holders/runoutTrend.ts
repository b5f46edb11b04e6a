import { wearCrossing } from '../life';

/** A runout that was measured of a build, and at which clamping of the holder that was. */
export interface RunoutAt {
  /** 1: the first time something was clamped in it since it has its mark. */
  clamping: number;
  runoutMm: number;
}

/** How the runout at the tip went over the clampings of one holder. */
export interface RunoutTrend {
  /** The line through them: mm at clamping 0 and mm a clamping. */
  intercept: number;
  slope: number;
  /** It grows: a slope so great comes by chance once in forty times where it does not. */
  grows: boolean;
  /** Clamping at which the line comes to the limit; null: it does not grow, or is there already. */
  reaches: number | null;
  /** Where it may come to it, 95 %; null: cannot say. */
  between: readonly [number, number] | null;
}

/** So many at least: through fewer any line goes. */
const LEAST = 5;

/**
 * Whether the runout measured over a holder's clampings grows, and when it comes to its limit, mm. A cutter, its collet and
 * how far it stands out have their part in each of them, so the trend is of many or it is none. null: fewer than five.
 * Source: a line by least squares with Student's t of its slope and Fieller's limits, as `wearCrossing` has them; that a
 * worn holder shows in runout is common practice. Example: 0.002, 0.004, 0.006, 0.008, 0.010 at clampings 1 to 5: grows by
 * 0.002 each.
 */
export function runoutTrend(points: readonly RunoutAt[], limitMm: number): RunoutTrend | null {
  if (points.length < LEAST) return null;
  const crossing = wearCrossing(
    points.map((p) => ({ minutes: p.clamping, wearMm: p.runoutMm })),
    limitMm,
  );
  if (!crossing) return null;
  const { line } = crossing;
  const grows = line.slope > 0 && crossing.g !== null && crossing.g < 1;
  const latest = Math.max(...points.map((p) => p.clamping));
  const ahead = grows && crossing.minutes !== null && crossing.minutes > latest;
  return {
    intercept: line.intercept,
    slope: line.slope,
    grows,
    reaches: ahead ? crossing.minutes : null,
    between: ahead ? crossing.ofTheLine : null,
  };
}
