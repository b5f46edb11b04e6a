import jstat from 'jstat';

const { normal, studentt, chisquare, gammaln, lowRegGamma } = jstat.jStat;

/** z that a standard normal value stays below with chance p (0 < p < 1). Example: normalQuantile(0.975) = 1.95996. */
export const normalQuantile = (p: number): number => normal.inv(p, 0, 1);

/** The same of Student's t with so many degrees of freedom (1 or more). Example: tQuantile(0.975, 4) = 2.77645. */
export const tQuantile = (p: number, degrees: number): number => studentt.inv(p, degrees);

/** The same of chi-square. Example: chiSquareQuantile(0.95, 1) = 3.84146. */
export const chiSquareQuantile = (p: number, degrees: number): number => chisquare.inv(p, degrees);

/** Chance of a chi-square value of one degree of freedom as large as this or larger. Example: 3.84146 gives 0.05. */
export const chiSquareBeyond = (value: number): number =>
  2 * normal.cdf(-Math.sqrt(Math.max(0, value)), 0, 1);

/** ln Γ(x) for x > 0. Example: logGamma(5) = ln 24. */
export const logGamma = (x: number): number => gammaln(x);

/** Γ(x) for x > 0. Example: gamma(1.5) = 0.886227. */
export const gamma = (x: number): number => Math.exp(gammaln(x));

/** Lower incomplete gamma function γ(a, x), not regularised; a > 0, x >= 0. Example: lowerGamma(1, 1) = 1 − 1/e. */
export const lowerGamma = (a: number, x: number): number => lowRegGamma(a, x) * gamma(a);
