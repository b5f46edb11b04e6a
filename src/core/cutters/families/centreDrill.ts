import { short, type FamilySpec } from './family';
import { tan, up } from './outlines';

export const centreDrill: FamilySpec = {
  words: 'centre drill',
  tip: 'cone',
  lengthTo: 'tip of the pilot',
  diameterAt: 'of the pilot; DMM is the body',
  facts: ['SDL', 'STA', 'SIG', 'NOF'],
  mills: false,
  axial: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const body = Math.max(R, (c.DMM ?? 2.5 * c.DC) / 2);
    const point = R / tan(known('SIG', 120, 'as 120') / 2);
    const pilot = Math.max(point, known('SDL', 1.3 * c.DC, 'as 1.3 DC'));
    const sta = known('STA', 60, 'as 60');
    const cone = sta >= 180 ? 0 : (body - R) / tan(sta / 2);
    return up(
      [
        { z: 0, r: 0 },
        { z: point, r: R },
        { z: pilot, r: R },
        { z: pilot + cone, r: body },
      ],
      pilot + cone + 0.1 * c.DC,
      body,
    );
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
