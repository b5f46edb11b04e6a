import { type FamilySpec } from './family';
import { corner, flutes, up } from './outlines';

export const ball: FamilySpec = {
  words: 'ball end mill',
  tip: 'ball',
  lengthTo: 'ball tip; the centre is DC/2 above',
  diameterAt: 'twice the ball radius',
  facts: ['LCF', 'NOF', 'DN', 'BHTA1', 'LU'],
  mills: true,
  body: true,
  outline: (c, known) => up(corner(c.DC / 2, c.DC / 2), Math.max(flutes(c, known), c.DC / 2), c.DC / 2),
  drawnFrom: ['LCF'],
  mustHold: (c, fault) => {
    if (c.RE !== null && Math.abs(c.RE - c.DC / 2) > 1e-6)
      fault('RE', `DC/2 = ${c.DC / 2}`, "a ball cutter's radius is half its diameter");
  },
  floor: { corner: (c) => c.DC / 2, needs: [] },
  cornersWalls: true,
  cuts: ['pocket', 'floor'],
  sizeWords: (_, size) => size,
};
