import { cornerWithinHalf, type FamilySpec } from './family';
import { cornerRadius, straight } from './outlines';

export const cornerRadiusMill: FamilySpec = {
  words: 'corner-radius end mill',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'over the flutes, above the radius',
  facts: ['RE', 'LCF', 'NOF', 'DN', 'BHTA1', 'LU', 'RMPX', 'CHIP_MAX'],
  mills: true,
  body: true,
  outline: (c, known) => straight(c, known, cornerRadius(c, known)),
  drawnFrom: ['LCF', 'RE'],
  mustHold: (c, fault) => {
    cornerWithinHalf(c, fault);
    if (c.RE === 0)
      fault('RE', 'more than 0', 'a corner-radius cutter has one; without, it is a square end mill');
  },
  floor: { corner: (c) => c.RE, needs: ['RE'] },
  cornersWalls: true,
  cuts: ['side', 'slot', 'pocket', 'face', 'floor'],
};
