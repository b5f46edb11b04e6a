/**
 * Where a function of one sign at `from` and the other at `to` is 0, by halving and secants in turn (regula falsi in
 * the Illinois form, Dowell and Jarratt 1971), to `within` in x. It asks at most 200 times.
 * Throws RangeError where both ends have one sign. Example: rootOf((x) => x * x - 2, 0, 2) = 1.41421.
 */
export function rootOf(f: (x: number) => number, from: number, to: number, within = 1e-12): number {
  let [a, b] = [from, to];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError(`no change of sign between ${from} and ${to}`);
  for (let i = 0; i < 200 && Math.abs(b - a) > within * Math.max(1, Math.abs(a)); i += 1) {
    const secant = (a * fb - b * fa) / (fb - fa);
    // Every third step halves: a curve that is flat at one end would else come down slowly.
    const x = i % 3 === 2 || !(secant > Math.min(a, b) && secant < Math.max(a, b)) ? (a + b) / 2 : secant;
    const fx = f(x);
    if (fx === 0) return x;
    if (fa * fx < 0) {
      [b, fb] = [x, fx];
      fa /= 2;
    } else {
      [a, fa] = [x, fx];
      fb /= 2;
    }
  }
  return (a + b) / 2;
}
