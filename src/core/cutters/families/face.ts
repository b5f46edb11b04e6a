import { cornerWithinHalf, type FamilySpec } from './family';
import { corner, cornerRadius, flutes, ground, tan, up } from './outlines';

export const face: FamilySpec = {
  words: 'face mill',
  tip: 'flat',
  lengthTo: 'lowest edge',
  diameterAt: 'at the lowest edge; DCX is the widest',
  facts: ['DCX', 'KAPR', 'RE', 'APMX', 'LCF', 'NOF', 'RMPX'],
  mills: true,
  body: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const a = c.KAPR ?? 90;
    const deep = c.APMX ?? flutes(c, known);
    const top = c.DCX !== null ? c.DCX / 2 : a < 90 ? R + deep / tan(a) : R;
    if (top > R) return up([...ground(R), { z: deep, r: top }], Math.max(c.LCF ?? deep, deep), top);
    const round = Math.min(cornerRadius(c, known), R);
    return up(corner(R, round), Math.max(flutes(c, known), round), R);
  },
  drawnFrom: ['LCF', 'RE'],
  widest: (c) => (c.DCX ?? 1.5 * c.DC) / 2,
  mustHold: cornerWithinHalf,
  usual: ['short flutes', 'thin shank', 'short'],
  floor: { corner: (c) => c.RE, needs: ['RE'] },
  cuts: ['face'],
};
