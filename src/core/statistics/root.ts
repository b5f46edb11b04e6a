/**
 * Where a function of one sign at `from` and the other at `to` is 0, to `within` in x (over 1, in parts of it): inverse
 * quadratic interpolation where the last three places lie so that it can be trusted, else halving; each step closes the
 * bracket by no less than what is asked for. It asks at most 200 times, of a smooth function about ten.
 * Source: Chandrupatla, Adv. Eng. Softw. 28 (1997) 145-149, from memory.
 * Throws RangeError where both ends have one sign. Example: rootOf((x) => x * x - 2, 0, 2) = 1.41421.
 */
export function rootOf(f: (x: number) => number, from: number, to: number, within = 1e-12): number {
  // a and b hold the root between them, a the newest; c is the place before.
  let [a, b] = [to, from];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError(`no change of sign between ${from} and ${to}`);
  let step = 0.5;
  for (let i = 0; i < 200; i += 1) {
    const x = a + step * (b - a);
    const fx = f(x);
    let [c, fc] = [a, fa];
    if (fx * fa < 0) {
      [c, fc] = [b, fb];
      [b, fb] = [a, fa];
    }
    [a, fa] = [x, fx];
    const best = Math.abs(fa) < Math.abs(fb) ? a : b;
    const least = (within * Math.max(1, Math.abs(best))) / 2 / Math.abs(b - a);
    if (fa === 0 || !(least < 0.5)) return best;
    const xi = (a - b) / (c - b);
    const phi = (fa - fb) / (fc - fb);
    step =
      1 - Math.sqrt(1 - xi) < phi && phi < Math.sqrt(xi)
        ? ((fa / (fb - fa)) * fc) / (fb - fc) + ((((c - a) / (b - a)) * fa) / (fc - fa)) * (fb / (fc - fb))
        : 0.5;
    step = Math.min(1 - least, Math.max(least, step));
  }
  return (a + b) / 2;
}
