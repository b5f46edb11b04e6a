import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import {
  assumedWeight,
  fitWeibull,
  livesAtSpeed,
  type LifeTime,
  nextLife,
  usualExponent,
  type Weibull,
  weibullMean,
} from '../src/core/life';

/** Numbers of one seed, evenly between 0 and 1 (mulberry32), so that every run draws the same shops. */
function drawn(seed: number) {
  let s = seed >>> 0;
  const even = () => {
    s = (s + 0x6d2b79f5) >>> 0;
    let t = Math.imul(s ^ (s >>> 15), s | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  const life = ({ shape, scale }: Weibull) => scale * (-Math.log(1 - even())) ** (1 / shape);
  return { even, normal, life };
}
type Draw = ReturnType<typeof drawn>;

/** A cutter of a shop: mean lives from 5 to 200 minutes, shapes from 1.2 (nearly chance) to 5 (steady wear). */
function cutterOf({ even, normal }: Draw): Weibull & { mean: number } {
  const shape = 1.2 + 3.8 * even();
  const mean = 25 * Math.exp(normal());
  return { shape, scale: mean / weibullMean({ shape, scale: 1 }), mean };
}
/** Lives of it; some are taken out before they fail: planned, crashed, lost. */
const livesOf = (d: Draw, cutter: Weibull, count: number, takenOut: boolean): LifeTime[] =>
  Array.from({ length: count }, () => {
    const failsAt = d.life(cutter);
    const outAt = takenOut ? d.life({ shape: 2, scale: cutter.scale * 1.3 }) : Infinity;
    return { minutes: Math.min(failsAt, outAt), failed: failsAt <= outAt };
  });

const SHOPS = 500;

/** How often the interval for the next life holds it: 500 shops with 2 to 40 lives each, ten next lives each. */
function covered(d: Draw, takenOut: boolean, assumedOff: number | null): number {
  let [held, asked] = [0, 0];
  for (let shop = 0; shop < SHOPS; shop += 1) {
    const cutter = cutterOf(d);
    const lives = livesOf(d, cutter, 2 + Math.floor(39 * d.even()), takenOut);
    const assumed =
      assumedOff === null
        ? null
        : { minutes: cutter.mean * Math.exp(assumedOff * d.normal()), origin: 'maker' };
    const next = nextLife(lives, assumed);
    if (!next) continue;
    for (let i = 0; i < 10; i += 1) {
      const came = d.life(cutter);
      asked += 1;
      if (came >= next.from && came <= next.to) held += 1;
    }
  }
  return held / asked;
}

/**
 * How often the interval for the first life at another speed holds it, by lives taken there with the usual exponent, and by them
 * as they are; the exponent of a cutter is off the usual by a spread.
 */
function coveredElsewhere(d: Draw, faster: number, off: number): { taken: number; asTheyAre: number } {
  const usual = usualExponent('carbide');
  if (!usual) throw new Error('no usual exponent');
  let [taken, asTheyAre, asked] = [0, 0, 0];
  for (let shop = 0; shop < SHOPS; shop += 1) {
    const cutter = cutterOf(d);
    const lives = livesOf(d, cutter, 5 + Math.floor(20 * d.even()), true);
    const n = usual.n * Math.exp(off * d.normal());
    const slower = { ...cutter, scale: cutter.scale * faster ** (1 / n) };
    const there = livesAtSpeed(
      lives.map((life) => ({ speed: faster, parts: null, life })),
      1,
      usual,
      String,
    );
    const [by, plain] = [nextLife(there.lives, there.taken), nextLife(lives, null)];
    if (!by || !plain) continue;
    for (let i = 0; i < 10; i += 1) {
      const came = d.life(slower);
      asked += 1;
      if (came >= by.from && came <= by.to) taken += 1;
      if (came >= plain.from && came <= plain.to) asTheyAre += 1;
    }
  }
  return { taken: taken / asked, asTheyAre: asTheyAre / asked };
}

/** Mean error of the mean life at three lives, with what was assumed and without; the weight is learnt from twelve other cutters. */
function errors(d: Draw, assumedOff: number): { without: number; with: number; weight: number } {
  const sum = { without: 0, with: 0, weight: 0 };
  const assumed = (mean: number) => mean * Math.exp(assumedOff * d.normal());
  for (let shop = 0; shop < SHOPS; shop += 1) {
    const { countsAs } = assumedWeight(
      Array.from({ length: 12 }, () => {
        const cutter = cutterOf(d);
        const lives = livesOf(d, cutter, 15, false);
        const seen = lives.reduce((total, l) => total + l.minutes, 0) / lives.length;
        return { assumed: assumed(cutter.mean), seen, failures: lives.length };
      }),
    );
    const cutter = cutterOf(d);
    const lives = livesOf(d, cutter, 3, false);
    const off = (mean: number | undefined) => Math.abs((mean ?? NaN) / cutter.mean - 1);
    sum.without += off(nextLife(lives, null)?.mean);
    sum.with += off(nextLife(lives, { minutes: assumed(cutter.mean), origin: 'maker', countsAs })?.mean);
    sum.weight += countsAs;
  }
  return { without: sum.without / SHOPS, with: sum.with / SHOPS, weight: sum.weight / SHOPS };
}

/** 2,000 cutters of 30 lives: their fits beside a plain loop over as many terms of the log-likelihood. */
function fits(): { ratio: number; passes: number } {
  const d = drawn(2000);
  const cutters = Array.from({ length: 2000 }, () => livesOf(d, cutterOf(d), 30, true));
  const passes = cutters.map((lives) => {
    const fit = fitWeibull(lives);
    return typeof fit === 'string' ? 0 : fit.passes;
  });
  let kept = 0;
  const timed = (work: () => void) => {
    let least = Infinity;
    for (let i = 0; i < 7; i += 1) {
      const from = performance.now();
      work();
      least = Math.min(least, performance.now() - from);
    }
    return least;
  };
  const fitted = timed(() => {
    for (const lives of cutters) {
      const fit = fitWeibull(lives);
      kept += typeof fit === 'string' ? 0 : fit.shape;
    }
  });
  const plain = timed(() => {
    cutters.forEach((lives, i) => {
      for (let pass = 0; pass < (passes[i] ?? 0); pass += 1) {
        const shape = 1 + pass / 10;
        for (const { minutes, failed } of lives) {
          const z = shape * Math.log(minutes / 30);
          kept += failed ? Math.log(shape) + z - Math.log(minutes) - Math.exp(z) : -Math.exp(z);
        }
      }
    });
  });
  if (!Number.isFinite(kept)) throw new Error('a fit or a term is no number');
  return { ratio: fitted / plain, passes: passes.reduce((sum, p) => sum + p, 0) / passes.length };
}

/** In a worker, as the server does long computations. */
const fitsInWorker = () =>
  new Promise<ReturnType<typeof fits>>((resolve, reject) => {
    const worker = new Worker(`require('tsx/cjs'); require(${JSON.stringify(__filename)});`, { eval: true });
    worker.once('message', resolve);
    worker.once('error', reject);
  });
if (!isMainThread && parentPort) parentPort.postMessage(fits());

/** How far what is said of lives can be trusted, against shops whose truth is known. */
export async function benchLife(say: (name: string, ratio: number, note: string) => void): Promise<void> {
  const cases = [
    ['nothing assumed, all run to the sign', false, null],
    ['nothing assumed, some taken out before', true, null],
    ['beside an assumed life that is off by 25 %', false, 0.25],
    ['the same, some taken out before', true, 0.25],
  ] as const;
  cases.forEach(([name, takenOut, off], i) =>
    say(
      `90 % interval for the next life holds it: ${name}`,
      100 * covered(drawn(11 + i), takenOut, off),
      '87 to 93',
    ),
  );
  for (const off of [0.1, 0.25]) {
    const e = errors(drawn(77), off);
    say(
      `error of the mean at 3 lives with assumed lives off by ${100 * off} %, against without`,
      e.with / e.without,
      `at most 0.5 where they are good; ${(100 * e.without).toFixed(1)} % without; counts as ${e.weight.toFixed(1)} lives`,
    );
  }
  for (const faster of [1.1, 1.25, 1.45]) {
    const held = coveredElsewhere(drawn(31), faster, 0.15);
    say(
      `90 % interval for the first life at another speed holds it: lives cut ${faster} times as fast, n off by 15 %`,
      100 * held.taken,
      `${(100 * held.asTheyAre).toFixed(0)} by the lives as they are`,
    );
  }
  const { ratio, passes } = await fitsInWorker();
  say(
    'fit of 2,000 cutters of 30 lives against its terms in a plain loop',
    ratio,
    `at most 4; ${passes.toFixed(1)} passes each`,
  );
}
