import { type FamilySpec } from './family';
import { ground, up } from './outlines';

export const highFeed: FamilySpec = {
  words: 'high-feed mill',
  tip: 'shallow arc',
  lengthTo: 'lowest point of the edge',
  diameterAt: 'flat under the edges; DCX is the widest',
  facts: ['DCX', 'RE', 'APMX', 'LCF', 'NOF', 'DN', 'LU', 'RMPX', 'CHIP_MAX'],
  mills: true,
  body: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const top = known('DCX', c.DC * 1.5, 'as 1.5 DC') / 2;
    const deep = known('APMX', Math.max(0.3, (top - R) / 6), 'shallow');
    return up([...ground(R), { z: deep, r: top }], Math.max(c.LCF ?? top, deep), top);
  },
  drawnFrom: ['DCX', 'APMX'],
  widest: (c) => (c.DCX ?? 1.5 * c.DC) / 2,
  neckAt: (c) => c.DCX,
  // Its radius is the flat arc of the edge, larger than the cutter: only its place is bound.
  mustHold: () => undefined,
  usual: ['short flutes', 'thin shank'],
  cuts: ['side', 'pocket', 'face'],
};
