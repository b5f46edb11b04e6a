/** A straight line through points by ordinary least squares, and what its doubts are reckoned from. */
export interface Line {
  n: number;
  intercept: number;
  slope: number;
  meanX: number;
  meanY: number;
  /** Sum of squares of x about its mean. */
  sxx: number;
  /** Share of the spread of y that the line takes up; 1 where y does not vary. */
  r2: number;
  /** Standard deviation about the line with divisor n − 2; null of two points. */
  s: number | null;
  slopeSe: number | null;
}

/**
 * y = intercept + slope x by ordinary least squares; null where fewer than two different x are given. One pass for the
 * means and one for the sums. Source: any text of regression, e.g. Draper and Smith. Example: (0, 1), (1, 3): 1 + 2 x.
 */
export function lineThrough(points: readonly (readonly [x: number, y: number])[]): Line | null {
  const n = points.length;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let [sxx, sxy, syy] = [0, 0, 0];
  for (const [x, y] of points) {
    sxx += (x - meanX) ** 2;
    sxy += (x - meanX) * (y - meanY);
    syy += (y - meanY) ** 2;
  }
  if (n < 2 || !(sxx > 0)) return null;
  const slope = sxy / sxx;
  const intercept = meanY - slope * meanX;
  const left = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
  const s = n > 2 ? Math.sqrt(left / (n - 2)) : null;
  return {
    n,
    intercept,
    slope,
    meanX,
    meanY,
    sxx,
    r2: syy > 0 ? 1 - left / syy : 1,
    s,
    slopeSe: s === null ? null : s / Math.sqrt(sxx),
  };
}
