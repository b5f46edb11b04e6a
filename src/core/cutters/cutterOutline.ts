import { FAMILIES, type Family } from './families';
import type { CutterGeometry } from './geometry';

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

type Known = (value: number | null, fallback: number, words: string) => number;
const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);
const ARC_STEPS = 12;
/** Families drawn by a rule of their own, not bound by DC/2 over the flutes. */
export const OWN_RULE: readonly Family[] = ['tapered', 'high-feed', 'face'];

/**
 * The half outline of a cutter from tip to `length` (its overall length, or the stickout when only what shows
 * is wanted), mm. z never turns back; the radius stays within DC/2 over the cutting part (a tapered, high-feed or
 * face mill widens upwards by its own facts) and within the larger of DC, DCX and DMM elsewhere. What is not known is
 * drawn from a rule of thumb, each named in `assumed`, so that a drawing from guesses says so.
 * Example: a 10 mm ball, LCF 22: flute from (0,0) round (5,5) up to (22,5).
 */
export function cutterOutline(c: CutterGeometry, length: number): CutterOutline {
  const assumed: string[] = [];
  const known: Known = (value, fallback, words) => {
    if (value !== null) return value;
    if (!assumed.includes(words)) assumed.push(words);
    return fallback;
  };
  const shankR = known(c.DMM, c.DC, 'DMM not known: drawn as DC') / 2;
  const profile = cuttingPart(c, known);
  const flute = cutAt(profile, length);
  const top = flute.at(-1)!;
  if (length <= top.z) return { flute, shank: [], assumed };
  const shank: OutlinePoint[] = [];
  const neckTop = Math.min(length, c.LU ?? 0);
  if (c.DN !== null && neckTop > top.z) shank.push({ z: top.z, r: c.DN / 2 }, { z: neckTop, r: c.DN / 2 });
  const from = shank.at(-1) ?? { z: top.z, r: Math.min(top.r, shankR) };
  if (!shank.length) shank.push(from);
  // A shank thicker than what carries it meets it with a 30 degree shoulder; a thinner one steps in at once.
  const shoulder = Math.min(Math.max(0, (shankR - from.r) / tan(30)), length - from.z);
  const met = shoulder > 0 ? from.r + shoulder * tan(30) : shankR;
  shank.push({ z: from.z + shoulder, r: met }, { z: length, r: length - from.z > shoulder ? shankR : met });
  return { flute, shank, assumed };
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

/** The cutting part from the tip up, by the rule of its family. */
function cuttingPart(c: CutterGeometry, known: Known): OutlinePoint[] {
  const R = c.DC / 2;
  // Families that come with a corner: not knowing it is not the same as sharp.
  const cornerRadius = () =>
    (FAMILIES[c.family].facts as readonly string[]).includes('RE')
      ? known(c.RE, 0, 'RE not known: drawn sharp')
      : 0;
  const flutes = () => known(c.LCF, 2.5 * c.DC, 'LCF not known: drawn as 2.5 DC');
  const up = (points: OutlinePoint[], z: number, r: number) => [
    ...points.map((p) => ({ z: Math.min(p.z, z), r: p.r })),
    { z, r },
  ];
  switch (c.family) {
    case 'ball':
      return up(corner(R, R), Math.max(flutes(), R), R);
    case 'tapered': {
      const a = known(c.TAPER, 3, 'TAPER not known: drawn as 3 degrees');
      return taperedPart(R, Math.min(cornerRadius(), R), a, flutes());
    }
    case 'high-feed': {
      const top = known(c.DCX, c.DC * 1.5, 'DCX not known: drawn as 1.5 DC') / 2;
      const deep = known(c.APMX, Math.max(0.3, (top - R) / 6), 'APMX not known: drawn shallow');
      return up([...ground(R), { z: deep, r: top }], Math.max(c.LCF ?? top, deep), top);
    }
    case 'face': {
      const a = c.KAPR ?? 90;
      const deep = c.APMX ?? flutes();
      const top = c.DCX !== null ? c.DCX / 2 : a < 90 ? R + deep / tan(a) : R;
      if (top <= R) {
        const round = Math.min(cornerRadius(), R);
        return up(corner(R, round), Math.max(flutes(), round), R);
      }
      return up([...ground(R), { z: deep, r: top }], Math.max(c.LCF ?? deep, deep), top);
    }
    case 't-slot': {
      const wide = known(c.CW, c.DC / 4, 'CW not known: drawn as DC/4');
      return up(corner(R, Math.min(cornerRadius(), wide / 2)), wide, R);
    }
    case 'dovetail': {
      const a = known(c.KAPR, 60, 'KAPR not known: drawn as 60 degrees');
      const high = known(c.LCF, c.DC / 3, 'LCF not known: drawn as DC/3');
      return [...ground(R), { z: high, r: Math.max(0.05 * R, R - (a >= 90 ? 0 : high / tan(a))) }];
    }
    case 'tap': {
      // The chamfer: about four threads of a plug, drawn so that taps are told from reamers.
      const lead = Math.min(flutes() / 2, 4 * (c.DC / 7));
      return up(
        [
          { z: 0, r: 0 },
          { z: 0, r: 0.8 * R },
          { z: lead, r: R },
        ],
        flutes(),
        R,
      );
    }
    case 'reamer':
      return up(
        [
          { z: 0, r: 0 },
          { z: 0, r: 0.9 * R },
          { z: Math.min(0.1 * c.DC, flutes()), r: R },
        ],
        flutes(),
        R,
      );
    case 'countersink':
    case 'chamfer':
    case 'drill':
    case 'spot-drill': {
      const usual = c.family === 'drill' ? 118 : 90;
      const sig = known(c.SIG, usual, `SIG not known: drawn as ${usual}`);
      const tip = FAMILIES[c.family].tip === 'cone' ? (c.DCN ?? 0) / 2 : 0;
      const point = sig >= 180 ? 0 : (R - tip) / tan(sig / 2);
      const flute = c.family === 'countersink' ? Math.max(point, c.DC / 2) : flutes();
      const cone = [...(tip > 0 ? ground(tip) : [{ z: 0, r: 0 }]), { z: point, r: R }];
      return up(cone, Math.max(flute, point), R);
    }
    default:
      return up(corner(R, Math.min(cornerRadius(), R)), flutes(), R);
  }
}

/** The end face out to a radius. */
const ground = (r: number): OutlinePoint[] => [
  { z: 0, r: 0 },
  { z: 0, r },
];

/** The end of a mill of radius R with a corner radius, up to where the wall begins. */
function corner(R: number, re: number): OutlinePoint[] {
  if (re <= 0) return ground(R);
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
    const a = (i / ARC_STEPS) * (Math.PI / 2);
    return { z: re * (1 - Math.cos(a)), r: R - re + re * Math.sin(a) };
  });
  return R > re ? [{ z: 0, r: 0 }, ...arc] : arc;
}

/** A taper from a corner that its flank touches: the circle's centre lies RE above the end, DC/2 - RE from the axis. */
function taperedPart(R: number, re: number, degrees: number, high: number): OutlinePoint[] {
  const a = (degrees * Math.PI) / 180;
  const end = Math.PI / 2 - a;
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
    const t = (i / ARC_STEPS) * end;
    return { z: re * (1 - Math.cos(t)), r: R - re + re * Math.sin(t) };
  });
  const bottom = re > 0 ? (R > re ? [{ z: 0, r: 0 }, ...arc] : arc) : ground(R);
  const last = bottom.at(-1)!;
  return [...bottom, { z: Math.max(high, last.z), r: last.r + Math.max(0, high - last.z) * Math.tan(a) }];
}
