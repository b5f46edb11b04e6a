import { last } from '../../sure';
import { short, type FamilySpec } from './family';
import { stepped, up } from './outlines';

export const centreDrill: FamilySpec = {
  words: 'centre drill',
  tip: 'cone',
  lengthTo: 'tip of the pilot',
  diameterAt: 'of the pilot; DMM is the body',
  facts: ['SDL', 'STA', 'SIG', 'NOF'],
  mills: false,
  countsHoles: true,
  axial: true,
  outline: (c, known) => {
    const body = Math.max(c.DC, c.DMM ?? 2.5 * c.DC) / 2;
    const end = stepped(c, known, body, { SIG: 120, SDL: 1.3, STA: 60 });
    return up(end, last(end).z + 0.1 * c.DC, body);
  },
  drawnFrom: ['SDL', 'STA', 'SIG'],
  widest: (c) => Math.max(c.DC, c.DMM ?? 2.5 * c.DC) / 2,
  neckAt: (c) => c.DMM,
  reach: { mm: (c) => c.SDL, needs: ['SDL'] },
  head: { height: (c) => c.SDL, needs: ['SDL'] },
  mustHold: (c, fault) => {
    if (c.DMM !== null && c.DMM <= c.DC)
      fault('DMM', `more than DC = ${short(c.DC)}`, 'the body of a centre drill is thicker than its pilot');
  },
  cuts: ['centre'],
};
