import { cornerWithinHalf, type FamilySpec } from './family';
import { cone, flutes } from './outlines';

export const chamfer: FamilySpec = {
  words: 'chamfer mill',
  tip: 'cone',
  lengthTo: 'chamfer tip',
  diameterAt: 'the widest; DCN at the tip',
  facts: ['SIG', 'DCN', 'LCF', 'NOF'],
  mills: false,
  body: true,
  outline: (c, known) => cone(c, known, 90, () => flutes(c, known)),
  drawnFrom: ['SIG', 'LCF'],
  mustHold: cornerWithinHalf,
  cuts: ['chamfer'],
  hole: 'breaks its edge',
};
