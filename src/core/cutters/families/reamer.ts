import { cornerWithinHalf, type FamilySpec } from './family';
import { flutes, leadIn } from './outlines';
import { holeLimits } from '../holes';

export const reamer: FamilySpec = {
  words: 'reamer',
  tip: 'flat',
  lengthTo: 'lead-in end',
  diameterAt: 'behind the lead-in; the nominal hole',
  facts: ['TCHA', 'DCM', 'LCF', 'NOF', 'HAND'],
  mills: false,
  axial: true,
  outline: (c, known) => {
    const high = flutes(c, known);
    return leadIn(c.DC / 2, 0.9, Math.min(0.1 * c.DC, high), high);
  },
  drawnFrom: ['LCF'],
  mustHold: cornerWithinHalf,
  factsMustHold: ({ number, words }) => {
    const [cls, DC] = [words('TCHA'), number('DC')];
    if (cls === null || DC === null || holeLimits(DC, cls) !== null) return [];
    const limit = 'a hole class of ISO 286 such as H7, F8, N7, or limits such as +0.010/+0.028';
    return [{ field: 'TCHA', value: cls, limit, words: 'not a class that is known here' }];
  },
  cuts: ['hole'],
  hole: 'reams',
  countsHoles: true,
  needs: [{ result: 'hole and finer holes left', facts: ['TCHA', 'DCM'] }],
  sizeWords: (_, size, more) => (more.TCHA ? `${size} ${more.TCHA}` : size),
};
