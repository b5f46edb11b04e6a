import { short, type FamilySpec } from './family';
import { flutes, tan, up } from './outlines';

export const stepDrill: FamilySpec = {
  words: 'step drill',
  tip: 'cone',
  lengthTo: 'drill tip; the first corners are the point above',
  diameterAt: 'of the first step; DCX is the widest',
  facts: ['DCX', 'SDL', 'STA', 'SIG', 'LCF', 'LU', 'NOF', 'TCHA'],
  mills: false,
  axial: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const wide = Math.max(R, known('DCX', 1.5 * c.DC, 'as 1.5 DC') / 2);
    const point = R / tan(known('SIG', 118, 'as 118') / 2);
    const step = Math.max(point, known('SDL', 1.5 * c.DC, 'as 1.5 DC'));
    const sta = known('STA', 90, 'as 90');
    const shoulder = sta >= 180 ? 0 : (wide - R) / tan(sta / 2);
    return up(
      [
        { z: 0, r: 0 },
        { z: point, r: R },
        { z: step, r: R },
        { z: step + shoulder, r: wide },
      ],
      Math.max(flutes(c, known), step + shoulder),
      wide,
    );
  },
  drawnFrom: ['DCX', 'SDL', 'STA', 'SIG', 'LCF'],
  widest: (c) => (c.DCX ?? 1.5 * c.DC) / 2,
  neckAt: (c) => c.DCX,
  // Of its first diameter: further down the step comes in.
  reach: { mm: (c) => c.SDL, needs: ['SDL'] },
  mustHold: (c, fault) => {
    if (c.SDL !== null && c.LCF !== null && c.SDL > c.LCF)
      fault('SDL', `at most LCF = ${short(c.LCF)}`, 'the first step lies within the flutes');
    if (c.SDL !== null && c.SIG !== null && c.SIG < 180 && c.SDL < c.DC / 2 / tan(c.SIG / 2) - 1e-9)
      fault('SDL', `at least ${short(c.DC / 2 / tan(c.SIG / 2))}`, 'the step cannot begin within the point');
  },
  cuts: ['hole'],
  hole: 'drills a step',
  sizeWords: (c, size) => (c.DCX === null ? size : `${size} to ${short(c.DCX)}`),
};
