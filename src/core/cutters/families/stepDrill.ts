import { last } from '../../sure';
import { short, type FamilySpec } from './family';
import { flutes, stepped, tan, up } from './outlines';

export const stepDrill: FamilySpec = {
  words: 'step drill',
  tip: 'cone',
  lengthTo: 'drill tip; the first corners are the point above',
  diameterAt: 'of the first step; DCX is the widest',
  facts: ['DCX', 'SDL', 'STA', 'SIG', 'LCF', 'LU', 'NOF', 'TCHA'],
  mills: false,
  axial: true,
  outline: (c, known) => {
    const wide = Math.max(c.DC, known('DCX', 1.5 * c.DC, 'as 1.5 DC')) / 2;
    const end = stepped(c, known, wide, { SIG: 118, SDL: 1.5, STA: 90 });
    return up(end, Math.max(flutes(c, known), last(end).z), wide);
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
  countsHoles: true,
  sizeWords: (c, size) => (c.DCX === null ? size : `${size} to ${short(c.DCX)}`),
};
