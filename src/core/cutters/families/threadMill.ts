import { cornerWithinHalf, type FamilySpec } from './family';
import { straight } from './outlines';

export const threadMill: FamilySpec = {
  words: 'thread mill',
  tip: 'flat',
  lengthTo: 'lower end of the teeth',
  diameterAt: 'over the crests',
  facts: ['TP', 'LCF', 'NOF', 'DN', 'LU'],
  mills: false,
  outline: (c, known) => straight(c, known, 0),
  drawnFrom: ['LCF'],
  mustHold: cornerWithinHalf,
  cuts: ['thread'],
  hole: 'mills a thread',
  needs: [{ result: 'teeth that fit the thread', facts: ['TP'] }],
};
