import { FAMILIES, type CutterGeometry } from './families';

/** A point of a half outline: z above the tip, r from the axis, mm. */
export interface OutlinePoint {
  z: number;
  r: number;
}

/** A cutter's half outline in two parts, from the tip up, and what had to be assumed to draw it. */
export interface CutterOutline {
  flute: OutlinePoint[];
  shank: OutlinePoint[];
  assumed: string[];
}

const BALL_STEPS = 12;

/**
 * The half outline of a cutter from tip to `length` (its overall length, or the stickout when only what shows
 * is wanted), mm. z never turns back; the radius stays within DC/2 over the flute and within the larger of DC
 * and DMM elsewhere. Unknown LCF is drawn as 2.5 DC, unknown DMM as DC, unknown SIG as 118 (drill) or 90 degrees,
 * each named in `assumed`, so that a drawing from guesses says so.
 * Example: a 10 mm ball, LCF 22: flute from (0,0) round (5,5) up to (22,5).
 */
export function cutterOutline(c: CutterGeometry, length: number): CutterOutline {
  const assumed: string[] = [];
  const known = (value: number | null, fallback: number, words: string): number => {
    if (value !== null) return value;
    assumed.push(words);
    return fallback;
  };
  const R = c.DC / 2;
  const LCF = Math.min(known(c.LCF, 2.5 * c.DC, 'LCF not known: drawn as 2.5 DC'), length);
  const shankR = known(c.DMM, c.DC, 'DMM not known: drawn as DC') / 2;
  const flute = tip(c, R, LCF, known).map((p) => ({ z: Math.min(p.z, LCF), r: p.r }));
  flute.push({ z: LCF, r: R });
  // A shank thicker than the cutter meets the flute with a 30 degree shoulder; a thinner one steps in at once.
  const shoulder = Math.min(Math.max(0, (shankR - R) / Math.tan(Math.PI / 6)), Math.max(0, length - LCF));
  const shank = [
    { z: LCF, r: Math.min(R, shankR) },
    { z: LCF + shoulder, r: shoulder > 0 ? R + shoulder * Math.tan(Math.PI / 6) : shankR },
    { z: length, r: length - LCF > shoulder ? shankR : R + shoulder * Math.tan(Math.PI / 6) },
  ];
  return { flute, shank: length > LCF ? shank : [], assumed };
}

function tip(
  c: CutterGeometry,
  R: number,
  LCF: number,
  known: (value: number | null, fallback: number, words: string) => number,
): OutlinePoint[] {
  const kind = FAMILIES[c.family].tip;
  if (kind === 'cone') {
    const sig = known(
      c.SIG,
      c.family === 'drill' ? 118 : 90,
      `SIG not known: drawn as ${c.family === 'drill' ? 118 : 90}`,
    );
    return [
      { z: 0, r: 0 },
      { z: Math.min(LCF, R / Math.tan((sig * Math.PI) / 360)), r: R },
    ];
  }
  const re = kind === 'ball' ? R : Math.min(c.RE ?? 0, R);
  if (re === 0)
    return [
      { z: 0, r: 0 },
      { z: 0, r: R },
    ];
  const arc = Array.from({ length: BALL_STEPS + 1 }, (_, i) => {
    const a = (i / BALL_STEPS) * (Math.PI / 2);
    return { z: re * (1 - Math.cos(a)), r: R - re + re * Math.sin(a) };
  });
  return R > re ? [{ z: 0, r: 0 }, ...arc] : arc;
}
