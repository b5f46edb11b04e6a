/** What of jstat is used here; the package ships no types. */
declare module 'jstat' {
  interface Distribution {
    cdf(x: number, ...parameters: number[]): number;
    inv(p: number, ...parameters: number[]): number;
  }
  const jstat: {
    jStat: {
      normal: Distribution;
      studentt: Distribution;
      chisquare: Distribution;
      gammaln(x: number): number;
      lowRegGamma(a: number, x: number): number;
    };
  };
  export default jstat;
}
