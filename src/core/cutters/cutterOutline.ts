import { last } from '../sure';
import { familySpec, type Assumed, type Known, type OutlinePoint } from './families';
import { tan } from './families/outlines';
import { neckDiameter, type CutterGeometry } from './geometry';

/** A cutter's half outline in two parts, from the tip up, and what had to be assumed to draw it. */
interface CutterOutline {
  flute: OutlinePoint[];
  shank: OutlinePoint[];
  /** Where the flutes end is not known: the cutting part is drawn open there. */
  openEnd: boolean;
  assumed: Assumed[];
}

/**
 * The half outline of a cutter from tip to `length` (its overall length, or the stickout when only what shows
 * is wanted), mm. z never turns back; the radius stays within DC/2 over the cutting part (or what its family's
 * `widest` says) and within the larger of that, DCX and DMM elsewhere. What is not known is
 * drawn from a rule of thumb, each named in `assumed`, so that a drawing from guesses says so.
 * Example: a 10 mm ball, LCF 22: flute from (0,0) round (5,5) up to (22,5).
 */
export function cutterOutline(c: CutterGeometry, length: number): CutterOutline {
  const assumed: Assumed[] = [];
  const known: Known = (symbol, fallback, drawn) => {
    const value = c[symbol];
    if (value !== null) return value;
    if (!assumed.some((a) => a.symbol === symbol))
      assumed.push({ symbol, words: `${symbol} not known: drawn ${drawn}` });
    return fallback;
  };
  const shankR = known('DMM', c.DC, 'as DC') / 2;
  const profile = familySpec(c.family).outline(c, known);
  const flute = cutAt(profile, length);
  const top = last(flute);
  const openEnd = assumed.some((a) => a.symbol === 'LCF');
  if (length <= top.z) return { flute, shank: [], openEnd, assumed };
  const shank: OutlinePoint[] = [];
  const neckTop = Math.min(length, c.LU ?? 0);
  const neck = (z: number) => Math.max(0, (neckDiameter(c, z) ?? 0) / 2);
  if (c.DN !== null && neckTop > top.z)
    shank.push({ z: top.z, r: neck(top.z) }, { z: neckTop, r: neck(neckTop) });
  const from = shank.at(-1) ?? { z: top.z, r: Math.min(top.r, shankR) };
  if (!shank.length) shank.push(from);
  // A shank thicker than what carries it meets it with a 30 degree shoulder; a thinner one steps in at once.
  const shoulder = Math.min(Math.max(0, (shankR - from.r) / tan(30)), length - from.z);
  const met = shoulder > 0 ? from.r + shoulder * tan(30) : shankR;
  shank.push({ z: from.z + shoulder, r: met }, { z: length, r: length - from.z > shoulder ? shankR : met });
  return { flute, shank, openEnd, assumed };
}

/** The polyline up to a height: the rest is in the holder. */
function cutAt(points: OutlinePoint[], z: number): OutlinePoint[] {
  const kept: OutlinePoint[] = [];
  for (const p of points) {
    const last = kept.at(-1);
    if (p.z <= z) kept.push(p);
    else {
      if (last && p.z > last.z)
        kept.push({ z, r: last.r + ((p.r - last.r) * (z - last.z)) / (p.z - last.z) });
      break;
    }
  }
  return kept;
}
