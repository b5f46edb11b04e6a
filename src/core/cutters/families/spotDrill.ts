import { cornerWithinHalf, type FamilySpec } from './family';
import { cone, flutes } from './outlines';

export const spotDrill: FamilySpec = {
  words: 'spot drill',
  tip: 'cone',
  lengthTo: 'drill tip',
  diameterAt: 'across the corners',
  facts: ['SIG', 'LCF', 'NOF'],
  mills: false,
  axial: true,
  outline: (c, known) => cone(c, known, 90, () => flutes(c, known)),
  drawnFrom: ['SIG', 'LCF'],
  mustHold: cornerWithinHalf,
  cuts: [],
  hole: 'begins',
  countsHoles: true,
};
