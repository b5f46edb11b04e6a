import type { CutterFigures } from '../figures';
import { cornerWithinHalf, short, type FamilySpec } from './family';
import { corner, cornerRadius, flutes, ground, roundOut, tan, up } from './outlines';

/** With round inserts DC is the flat under them and DCX lies RE outside it on either side (ISO 13399, from memory). */
const isRound = (c: CutterFigures): boolean =>
  c.RE !== null && c.RE > 0 && c.DCX !== null && Math.abs(c.DC + 2 * c.RE - c.DCX) <= 0.05 * c.DCX;

export const face: FamilySpec = {
  words: 'face mill',
  tip: 'flat',
  lengthTo: 'lowest edge',
  diameterAt: 'at the lowest edge; DCX is the widest',
  facts: ['DCX', 'KAPR', 'RE', 'APMX', 'LCF', 'NOF', 'RMPX', 'CHIP_MAX'],
  mills: true,
  body: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    if (isRound(c) && c.RE !== null) return up(roundOut(R, c.RE), Math.max(c.LCF ?? c.RE, c.RE), R + c.RE);
    const a = c.KAPR ?? 90;
    const deep = c.APMX ?? flutes(c, known);
    const top = c.DCX !== null ? c.DCX / 2 : a < 90 ? R + deep / tan(a) : R;
    if (top > R) return up([...ground(R), { z: deep, r: top }], Math.max(c.LCF ?? deep, deep), top);
    const round = Math.min(cornerRadius(c, known), R);
    return up(corner(R, round), Math.max(flutes(c, known), round), R);
  },
  drawnFrom: ['LCF', 'RE'],
  widest: (c) => (isRound(c) && c.RE !== null ? c.DC / 2 + c.RE : (c.DCX ?? 1.5 * c.DC) / 2),
  mustHold: (c, fault) => {
    if (isRound(c)) return;
    if (c.RE !== null && c.RE > c.DC / 2 && c.DCX === null)
      fault('RE', `at most DC/2 = ${short(c.DC / 2)}`, 'with round inserts state DCX, which is DC + 2 RE');
    else cornerWithinHalf(c, fault);
  },
  usual: ['short flutes', 'thin shank', 'short'],
  floor: { corner: (c) => c.RE, needs: ['RE'] },
  cuts: ['face'],
  first: ['face'],
};
