import { last } from '../../sure';
import { cornerWithinHalf, type FamilySpec } from './family';
import { arc, cornerRadius, flutes, ground, tan } from './outlines';

export const tapered: FamilySpec = {
  words: 'tapered end mill',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'at the tip, where the flanks meet the end',
  facts: ['TAPER', 'RE', 'LCF', 'NOF', 'DN', 'BHTA1', 'LU'],
  mills: true,
  // From a corner that the flank touches: its centre lies RE above the end, DC/2 - RE from the axis.
  outline: (c, known) => {
    const R = c.DC / 2;
    const degrees = known('TAPER', 3, 'as 3 degrees');
    const re = Math.min(cornerRadius(c, known), R);
    const high = flutes(c, known);
    const touch = ((90 - degrees) * Math.PI) / 180;
    const round = arc(touch, (t) => ({ z: re * (1 - Math.cos(t)), r: R - re + re * Math.sin(t) }));
    const bottom = re > 0 ? (R > re ? [{ z: 0, r: 0 }, ...round] : round) : ground(R);
    const end = last(bottom);
    return [...bottom, { z: Math.max(high, end.z), r: end.r + Math.max(0, high - end.z) * tan(degrees) }];
  },
  drawnFrom: ['LCF', 'RE', 'TAPER'],
  widest: (c, z) => c.DC / 2 + z * tan(c.TAPER ?? 3),
  neckAt: (c) => (c.TAPER === null || c.LCF === null ? null : c.DC + 2 * c.LCF * tan(c.TAPER)),
  mustHold: cornerWithinHalf,
  floor: { corner: (c) => c.RE, flank: (c) => c.TAPER, needs: ['RE', 'TAPER'] },
  cornersWalls: true,
  cuts: ['side', 'pocket'],
};
