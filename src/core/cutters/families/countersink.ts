import { cornerWithinHalf, type FamilySpec } from './family';
import { cone } from './outlines';

export const countersink: FamilySpec = {
  words: 'countersink',
  tip: 'cone',
  lengthTo: 'tip, sharp or flat',
  diameterAt: 'the widest; DCN at the tip',
  facts: ['SIG', 'DCN', 'NOF'],
  mills: false,
  outline: (c, known) => cone(c, known, 90, () => c.DC / 2),
  drawnFrom: ['SIG'],
  mustHold: cornerWithinHalf,
  cuts: ['chamfer'],
  hole: 'breaks its edge',
  countsHoles: true,
};
