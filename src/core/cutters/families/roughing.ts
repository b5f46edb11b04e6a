import { cornerWithinHalf, type FamilySpec } from './family';
import { cornerRadius, straight } from './outlines';

export const roughing: FamilySpec = {
  words: 'roughing end mill',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'over the crests',
  facts: ['RE', 'LCF', 'NOF', 'DN', 'LU', 'RMPX', 'CHIP_MAX'],
  mills: true,
  outline: (c, known) => straight(c, known, cornerRadius(c, known)),
  drawnFrom: ['LCF', 'RE'],
  mustHold: cornerWithinHalf,
  floor: { corner: (c) => c.RE, needs: ['RE'] },
  cornersWalls: true,
  cuts: ['side', 'slot', 'pocket', 'face'],
};
