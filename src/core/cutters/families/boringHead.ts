import { short, type FamilySpec } from './family';
import { ground, up } from './outlines';

export const boringHead: FamilySpec = {
  words: 'boring head with its bar',
  tip: 'flat',
  lengthTo: 'cutting point',
  diameterAt: 'the smallest bore it is set to; DCX is the largest',
  facts: ['DCX', 'DN', 'LU', 'RE', 'KAPR', 'APMX'],
  mills: false,
  body: true,
  // At its smallest setting: the point, then the bar, which stands back from the bore.
  outline: (c, known) => {
    const R = c.DC / 2;
    const bar = Math.min(known('DN', 0.8 * c.DC, 'as 0.8 DC') / 2, R);
    const point = Math.min(0.3 * c.DC, c.LU ?? Infinity);
    return [...up(ground(R), point, R), { z: point, r: bar }];
  },
  drawnFrom: ['DN'],
  reach: { mm: (c) => c.LU, needs: ['LU'] },
  onePass: (c) => c.LU,
  mustHold: (c, fault) => {
    if (c.DN !== null && c.DN >= c.DC)
      fault('DN', `less than DC = ${short(c.DC)}`, 'the bar must pass into the smallest bore');
  },
  usual: ['short flutes', 'thin shank'],
  cuts: ['hole'],
  hole: 'bores',
  countsHoles: true,
  needs: [{ result: 'bores it can be set to', facts: ['DCX'] }],
};
