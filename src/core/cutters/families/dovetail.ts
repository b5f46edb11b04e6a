import { cornerWithinHalf, type FamilySpec } from './family';
import { ground, tan } from './outlines';

export const dovetail: FamilySpec = {
  words: 'dovetail cutter',
  tip: 'flat',
  lengthTo: 'lower face',
  diameterAt: 'at the lower face, the widest',
  facts: ['KAPR', 'LCF', 'NOF', 'DN', 'LU'],
  mills: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const a = known('KAPR', 60, 'as 60 degrees');
    const high = known('LCF', c.DC / 3, 'as DC/3');
    return [...ground(R), { z: high, r: Math.max(0.05 * R, R - (a >= 90 ? 0 : high / tan(a))) }];
  },
  drawnFrom: ['KAPR', 'LCF'],
  neckAt: (c) => (c.KAPR === null || c.LCF === null ? null : c.DC - (2 * c.LCF) / tan(c.KAPR)),
  mustHold: (c, fault) => {
    cornerWithinHalf(c, fault);
    if (c.KAPR !== null && c.LCF !== null && c.KAPR < 90 && c.DC / 2 <= c.LCF / tan(c.KAPR))
      fault('LCF', 'less than DC/2 · tan KAPR', 'the flanks would meet before the flutes end');
  },
  usual: ['short flutes'],
  cuts: ['dovetail'],
};
