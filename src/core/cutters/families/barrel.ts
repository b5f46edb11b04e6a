import { last } from '../../sure';
import type { CutterFigures } from '../figures';
import { short, type FamilySpec } from './family';
import { arc, cornerRadius, flutes, ground } from './outlines';

/** Radius from the axis at a height, mm: the flank is part of a circle of radius P, widest in the middle of the flutes. */
const flankAt = (R: number, P: number, high: number, z: number): number =>
  Math.max(0, R - P + Math.sqrt(Math.max(0, P * P - (z - high / 2) ** 2)));

/** Where a corner that touches the end face and the flank has its centre, mm from the axis; below 0 there is none. */
const cornerCentre = (R: number, P: number, high: number, re: number): number =>
  R - P + Math.sqrt(Math.max(0, (P - re) ** 2 - (high / 2 - re) ** 2));

const both = (c: CutterFigures): { P: number; LCF: number } | null =>
  c.PRFRAD === null || c.LCF === null ? null : { P: c.PRFRAD, LCF: c.LCF };

export const barrel: FamilySpec = {
  words: 'barrel mill',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'the widest, in the middle of the flutes',
  facts: ['PRFRAD', 'RE', 'LCF', 'NOF', 'DN', 'LU'],
  mills: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const high = flutes(c, known);
    const P = Math.max(known('PRFRAD', 8 * c.DC, 'as 8 DC'), R);
    const re = Math.min(cornerRadius(c, known), R, high / 2);
    const x = Math.max(0, cornerCentre(R, P, high, re));
    const touch = re > 0 && P > re ? Math.acos(Math.min(1, (high / 2 - re) / (P - re))) : 0;
    const end =
      re > 0
        ? [{ z: 0, r: 0 }, ...arc(touch, (t) => ({ z: re * (1 - Math.cos(t)), r: x + re * Math.sin(t) }))]
        : ground(flankAt(R, P, high, 0));
    const from = last(end).z;
    return [...end, ...arc(high - from, (up) => ({ z: from + up, r: flankAt(R, P, high, from + up) }))];
  },
  drawnFrom: ['LCF', 'PRFRAD', 'RE'],
  neckAt: (c) => {
    const k = both(c);
    return k && 2 * flankAt(c.DC / 2, k.P, k.LCF, k.LCF);
  },
  mustHold: (c, fault) => {
    const R = c.DC / 2;
    if (c.PRFRAD !== null && c.PRFRAD <= R)
      fault('PRFRAD', `more than DC/2 = ${short(R)}`, 'a flank of half the diameter is a ball');
    const k = both(c);
    if (k && k.P > R && flankAt(R, k.P, k.LCF, 0) <= 0)
      fault('LCF', 'shorter, or a larger PRFRAD', 'the flank would meet the axis before the flutes end');
    else if (k && c.RE !== null && (c.RE >= k.LCF / 2 || cornerCentre(R, k.P, k.LCF, c.RE) < 0))
      fault(
        'RE',
        `less than ${short(flankAt(R, k.P, k.LCF, 0))}`,
        'the corner is wider than the end of the barrel',
      );
  },
  cornersWalls: true,
  cuts: ['side', 'pocket'],
  sizeWords: (c, size) => (c.PRFRAD === null ? size : `${size} R${short(c.PRFRAD)}`),
};
