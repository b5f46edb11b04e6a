import { cornerWithinHalf, type FamilySpec } from './family';
import { cornerRadius, straight } from './outlines';

export const router: FamilySpec = {
  words: 'router bit',
  tip: 'flat',
  lengthTo: 'tip',
  diameterAt: 'over the edges',
  facts: ['RE', 'LCF', 'NOF'],
  mills: true,
  outline: (c, known) => straight(c, known, cornerRadius(c, known)),
  drawnFrom: ['LCF', 'RE'],
  mustHold: cornerWithinHalf,
  floor: { corner: (c) => c.RE, needs: ['RE'] },
  cornersWalls: true,
  cuts: ['side', 'slot'],
};
