import { cornerWithinHalf, type FamilySpec } from './family';
import { cone, flutes } from './outlines';

export const engraver: FamilySpec = {
  words: 'engraver',
  tip: 'cone',
  lengthTo: 'tip, sharp or flat',
  diameterAt: 'the widest; DCN at the tip',
  facts: ['SIG', 'DCN', 'LCF', 'NOF'],
  mills: false,
  outline: (c, known) => cone(c, known, 60, () => flutes(c, known)),
  drawnFrom: ['SIG', 'LCF'],
  mustHold: cornerWithinHalf,
  cuts: ['engraving'],
  needs: [{ result: 'width of its line at a depth', facts: ['SIG', 'DCN'] }],
};
