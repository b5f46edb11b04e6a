import { DEFAULTS } from '../../defaults';
import type { LifeAtSpeed } from '../compare/bySpeed';
import type { LifeTime } from '../endings';
import { assumedCounts, type AssumedLife } from './expectLife';
import { assumedFromOthers, type Weight } from './otherLives';

/** Taylor's exponent to take lives from one speed to another by, and who says so. */
export interface Exponent {
  n: number;
  origin: string;
}

/**
 * Taylor's exponent of a substrate until its lives say it; null: no usual one is known. Source: Groover, Fundamentals of Modern
 * Manufacturing, representative values of n in turning steel (from memory): a starting point.
 */
export const usualExponent = (substrate: string | null): Exponent | null => {
  const n = substrate === null ? undefined : USUAL.get(substrate);
  return n === undefined ? null : { n, origin: `usual for ${substrate}, a starting point` };
};
const USUAL = new Map([
  ['HSS', 0.125],
  ['cobalt HSS', 0.125],
  ['carbide', 0.25],
  ['cermet', 0.25],
  ['ceramic', 0.6],
]);

/** How far a life may be taken: no speed more than so many times another. */
const FURTHEST = 1.5;

/** A life that cut at several speeds: the parts of its minutes of which each speed is known. */
export interface LifeBySpeeds extends LifeAtSpeed {
  /** Of a life of no one speed; null: it is of one, or nobody knows how long it cut at which. */
  parts: readonly { speed: number; minutes: number }[] | null;
}

/** What lives of a cutter in a material tell of one speed. */
export interface AtSpeed {
  /**
   * Those cut at it, and those of which nobody knows the speeds: they stand as they are. Where none of the others has failed,
   * these too, as lasting at least as long as they come to at this speed.
   */
  lives: LifeTime[];
  /** What those cut at other speeds come to at this one; null: none has failed, or none was cut near enough. */
  taken: AssumedLife | null;
}

/** Whether lives were cut at another speed than one that is asked about, so that they say something else of it. */
export const isElsewhere = (lives: readonly LifeBySpeeds[], speed: number): boolean =>
  lives.some((l) => standsTo(l, speed) !== 'at it');
const isOther = (speed: number, asked: number) => Math.abs(speed - asked) > DEFAULTS.speedsAlike * asked;
const isNear = (a: number, b: number) => Math.max(a, b) <= FURTHEST * Math.min(a, b);
/** Cut at a speed or at none that is known; near enough to be taken there; or too far away. */
const standsTo = (l: LifeBySpeeds, speed: number): 'at it' | 'near' | 'far' => {
  const parts = partsOf(l);
  if (parts.every((p) => !isOther(p.speed, speed))) return 'at it';
  return parts.every((p) => isNear(p.speed, speed)) ? 'near' : 'far';
};
const partsOf = ({ speed, life, parts }: LifeBySpeeds) =>
  speed === null ? (parts ?? []) : [{ speed, minutes: life.minutes }];

/**
 * Lives as they tell of one speed: those cut at it as they are; those cut at others taken to it by Taylor's law, T · V^(1/n) one
 * and the same, as one assumed life, no further than one and a half times as fast or as slow. A life of several speeds is taken
 * part by part (each uses its share up: Palmgren and Miner). One that did not fail goes along as lasting at least so long. Where
 * all were cut at it, or at no speed that is known, all as they are. `speed` as those of the lives, over 0.
 * Sources: Taylor (1907); that it is assumed and not seen is common practice.
 * Example: 40 min at 5,000 with n 0.25 is 97.7 min at 4,000: 40 × 1.25^4.
 */
export function livesAtSpeed(
  all: readonly LifeBySpeeds[],
  speed: number,
  { n, origin }: Exponent,
  words: (speed: number) => string,
  weight: Weight = { countsAs: DEFAULTS.assumedCountsAs, learntFrom: 0 },
): AtSpeed {
  const stay = all.filter((l) => standsTo(l, speed) === 'at it').map((l) => l.life);
  const near = all.filter((l) => standsTo(l, speed) === 'near');
  const here = near.map((l) => takenTo(l, speed, n));
  const failed = near.filter((l) => l.life.failed);
  const from = failed.flatMap((l) => partsOf(l).map((p) => p.speed));
  const between = [Math.min(...from), Math.max(...from)].map(words);
  const taken = assumedFromOthers(
    [{ name: '', lives: here }],
    () =>
      `${failed.length} of its lives at ${[...new Set(between)].join(' to ')} failed, taken to ${words(speed)} by n ${n.toPrecision(2)} (${origin})`,
    weight,
  );
  return { lives: taken ? stay : [...stay, ...here], taken };
}

/**
 * All lives as they come to at a speed, for a law of them there: those cut at it and of no known speed as they are, those near
 * enough taken to it, those farther away left out. Sources and domain as for `livesAtSpeed`.
 * Example: lives of 50 at 4,000 and of 40 at 5,000, asked of 4,000 with n 0.25: 50 and 97.7.
 */
export function livesTakenTo(all: readonly LifeBySpeeds[], speed: number, { n }: Exponent): LifeTime[] {
  return all.flatMap((l) => {
    const stands = standsTo(l, speed);
    if (stands === 'at it') return [l.life];
    return stands === 'near' ? [takenTo(l, speed, n)] : [];
  });
}

/** A life as it would have been at a speed; of minutes whose speed nobody knows, as of the rest. */
function takenTo(l: LifeBySpeeds, speed: number, n: number): LifeTime {
  let [known, come] = [0, 0];
  for (const p of partsOf(l)) {
    known += p.minutes;
    come += p.minutes * (p.speed / speed) ** (1 / n);
  }
  return { ...l.life, minutes: known > 0 ? (l.life.minutes * come) / known : 0 };
}

/**
 * A stated life as it counts at a speed. Nobody said what speed it is of; it did as well as it did at those the cutter ran at so
 * far, the middle of which is d = |ln(V / middle)| / n away on the scale of logarithms, and by so much it may be off beside what it
 * is off anyhow: it counts as k with spread² / k' = spread² / k + d². Source: variances add, as for `assumedWeight`.
 * Example: one that counts as 9, a life of 5,000 and asked of 4,500 with n 0.25: as 0.9.
 */
export function statedAtSpeed(
  stated: AssumedLife,
  lives: readonly LifeBySpeeds[],
  speed: number,
  { n }: Exponent,
): AssumedLife {
  let [minutes, logs] = [0, 0];
  for (const p of lives.flatMap(partsOf)) {
    minutes += p.minutes;
    logs += p.minutes * Math.log(p.speed);
  }
  const k = assumedCounts(stated);
  if (!(minutes > 0) || !(k > 0)) return stated;
  const off = (Math.log(speed) - logs / minutes) / n;
  // No less than any stated life counts: of less the next one would fall anywhere.
  const least = Math.min(k, DEFAULTS.assumedCountsBetween[0]);
  return { ...stated, countsAs: Math.max(least, 1 / (1 / k + (off / DEFAULTS.spreadOfLives) ** 2)) };
}

/** Two things that are assumed of one life, as one: each counts as it counts. Example: 90 as 3 lives and 30 as 1: 75 as 4. */
export function assumedTogether(a: AssumedLife, b: AssumedLife): AssumedLife {
  const [ka, kb] = [assumedCounts(a), assumedCounts(b)];
  return {
    minutes: Number(((ka * a.minutes + kb * b.minutes) / (ka + kb)).toPrecision(3)),
    origin: `${a.origin}: ${a.minutes} min as ${figure(ka)}; ${b.origin}: ${b.minutes} min as ${figure(kb)}`,
    guess: a.guess === true && b.guess === true,
    countsAs: ka + kb,
    learntFrom: Math.min(a.learntFrom ?? 0, b.learntFrom ?? 0),
  };
}
const figure = (k: number) => String(Number(k.toFixed(1)));
