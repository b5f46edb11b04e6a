import { cornerWithinHalf, type FamilySpec } from './family';
import { cone, flutes } from './outlines';

export const drill: FamilySpec = {
  words: 'drill',
  tip: 'cone',
  lengthTo: 'drill tip; the corners are the point above',
  diameterAt: 'across the corners',
  facts: ['SIG', 'LCF', 'LU', 'NOF', 'TCHA'],
  mills: false,
  axial: true,
  body: true,
  outline: (c, known) => cone(c, known, 118, () => flutes(c, known)),
  drawnFrom: ['SIG', 'LCF'],
  mustHold: cornerWithinHalf,
  seldom: (c, ask) => {
    if (c.NOF !== null && c.NOF > 3) ask('NOF', '2 or 3', 'many flutes for a drill');
    if (c.SIG !== null && (c.SIG < 90 || c.SIG > 180)) ask('SIG', '90 to 180', 'an unusual drill point');
  },
  cuts: ['hole'],
  hole: 'drills',
  countsHoles: true,
};
