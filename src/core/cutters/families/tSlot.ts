import { type FamilySpec } from './family';
import { corner, cornerRadius, up } from './outlines';

export const tSlot: FamilySpec = {
  words: 'slot or T-slot cutter',
  tip: 'flat',
  lengthTo: 'lower face',
  diameterAt: 'over the teeth',
  facts: ['CW', 'RE', 'NOF', 'DN', 'LU'],
  mills: true,
  outline: (c, known) => {
    const wide = known('CW', c.DC / 4, 'as DC/4');
    return up(corner(c.DC / 2, Math.min(cornerRadius(c, known), wide / 2)), wide, c.DC / 2);
  },
  drawnFrom: ['CW', 'RE'],
  reach: { mm: (c) => c.CW ?? c.LCF, needs: ['CW'] },
  mustHold: (c, fault) => {
    if (c.RE !== null && c.CW !== null && c.RE > c.CW / 2 + 1e-9)
      fault('RE', `at most CW/2 = ${c.CW / 2}`, 'a corner radius cannot exceed half the width');
  },
  usual: ['short flutes', 'thin shank'],
  cornersWalls: true,
  head: { height: (c) => c.CW, needs: ['CW'] },
  // A plain slot is open above: what is widest at its end is for what goes in under a wall.
  cuts: ['undercut'],
};
