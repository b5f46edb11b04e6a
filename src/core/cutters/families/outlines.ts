import type { CutterFigures } from '../figures';
import type { Known, OutlinePoint } from './family';

/** Tangent of an angle in degrees. */
export const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);
const STEPS = 12;

/** Points of a quarter, or another part, of a circle: `turn` from 0 to its end in radians, with the point at each. */
export const arc = (end: number, at: (turn: number) => OutlinePoint): OutlinePoint[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => at((i / STEPS) * end));

/** The end face out to a radius. */
export const ground = (r: number): OutlinePoint[] => [
  { z: 0, r: 0 },
  { z: 0, r },
];

/** The end of a mill of radius R with a corner radius, up to where the wall begins. */
export function corner(R: number, re: number): OutlinePoint[] {
  if (re <= 0) return ground(R);
  const points = arc(Math.PI / 2, (t) => ({ z: re * (1 - Math.cos(t)), r: R - re + re * Math.sin(t) }));
  return R > re ? [{ z: 0, r: 0 }, ...points] : points;
}

/** The end of a mill with round inserts: an arc of radius `re` from its flat of radius R out to R + re. */
export const roundOut = (R: number, re: number): OutlinePoint[] => [
  { z: 0, r: 0 },
  ...arc(Math.PI / 2, (t) => ({ z: re * (1 - Math.cos(t)), r: R + re * Math.sin(t) })),
];

/** Points that end at a height with a radius: none of them lies higher. */
export const up = (points: OutlinePoint[], z: number, r: number): OutlinePoint[] => [
  ...points.map((p) => ({ z: Math.min(p.z, z), r: p.r })),
  { z, r },
];

export const flutes = (c: CutterFigures, known: Known): number => known('LCF', 2.5 * c.DC, 'as 2.5 DC');
/** Of a family that comes with a corner: not knowing it is not the same as sharp. */
export const cornerRadius = (c: CutterFigures, known: Known): number => known('RE', 0, 'sharp');

/** A straight mill with a flat end, sharp or with its corner. */
export const straight = (c: CutterFigures, known: Known, re: number): OutlinePoint[] =>
  up(corner(c.DC / 2, Math.min(re, c.DC / 2)), flutes(c, known), c.DC / 2);

/** A cone from its tip, flat where DCN says so, out to DC, then straight up to `high`. */
export function cone(
  c: CutterFigures,
  known: Known,
  usual: number,
  high: (point: number) => number,
): OutlinePoint[] {
  const R = c.DC / 2;
  const sig = known('SIG', usual, `as ${usual}`);
  const tip = (c.DCN ?? 0) / 2;
  const point = sig >= 180 ? 0 : (R - tip) / tan(sig / 2);
  const end = [...(tip > 0 ? ground(tip) : [{ z: 0, r: 0 }]), { z: point, r: R }];
  return up(end, Math.max(high(point), point), R);
}

/** A drill's point, its first step, and the cone that widens it to a radius. */
export function stepped(
  c: CutterFigures,
  known: Known,
  wide: number,
  usual: { SIG: number; SDL: number; STA: number },
): OutlinePoint[] {
  const R = c.DC / 2;
  const point = R / tan(known('SIG', usual.SIG, `as ${usual.SIG}`) / 2);
  const step = Math.max(point, known('SDL', usual.SDL * c.DC, `as ${usual.SDL} DC`));
  const sta = known('STA', usual.STA, `as ${usual.STA}`);
  return [
    { z: 0, r: 0 },
    { z: point, r: R },
    { z: step, r: R },
    { z: step + (sta >= 180 ? 0 : (wide - R) / tan(sta / 2)), r: wide },
  ];
}

/** A lead-in from a share of the radius, then straight. */
export const leadIn = (R: number, share: number, lead: number, high: number): OutlinePoint[] =>
  up(
    [
      { z: 0, r: 0 },
      { z: 0, r: share * R },
      { z: lead, r: R },
    ],
    high,
    R,
  );
