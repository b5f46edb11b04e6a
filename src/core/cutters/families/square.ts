import { type FamilySpec } from './family';
import { straight } from './outlines';

export const square: FamilySpec = {
  words: 'square end mill',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'over the flutes',
  facts: ['LCF', 'NOF', 'DN', 'BHTA1', 'LU', 'RMPX', 'CHIP_MAX'],
  mills: true,
  body: true,
  outline: (c, known) => straight(c, known, 0),
  drawnFrom: ['LCF'],
  mustHold: (c, fault) => {
    if (c.RE !== null && c.RE > 0)
      fault('RE', '0', 'a square end mill has no corner radius; choose corner-radius');
  },
  floor: { corner: () => 0, needs: [] },
  cornersWalls: true,
  cuts: ['side', 'slot', 'pocket', 'face'],
};
