import type { CutterFigures } from '../figures';
import { short, type FamilySpec } from './family';
import { arc, ground, up } from './outlines';

/** Radius from the axis where the arc ends above, mm: the lower end and the radius; more where DCX says so. */
const topOf = (c: CutterFigures, re: number): number => Math.max(c.DC / 2 + re, (c.DCX ?? 0) / 2);

export const cornerRounding: FamilySpec = {
  words: 'corner-rounding cutter',
  tip: 'flat',
  lengthTo: 'lower end; the arc begins there and ends RE above',
  diameterAt: 'at the lower end, the smallest; DCX is the widest',
  facts: ['RE', 'DCX', 'NOF'],
  mills: false,
  // A hollow quarter circle: upright at the lower end, level where it leaves the face of the work.
  outline: (c, known) => {
    const re = known('RE', c.DC / 2, 'as DC/2');
    const quarter = arc(Math.PI / 2, (t) => ({ z: re * Math.sin(t), r: c.DC / 2 + re - re * Math.cos(t) }));
    return up([...ground(c.DC / 2), ...quarter], re + 0.25 * c.DC, topOf(c, re));
  },
  drawnFrom: ['RE'],
  widest: (c) => topOf(c, c.RE ?? c.DC / 2),
  reach: { mm: (c) => c.RE, needs: ['RE'] },
  onePass: (c) => c.RE,
  head: { height: (c) => c.RE, needs: ['RE'] },
  neckAt: (c) => (c.RE === null ? null : 2 * topOf(c, c.RE)),
  mustHold: (c, fault) => {
    if (c.RE === 0) fault('RE', 'more than 0', 'without a radius it rounds nothing');
    if (c.RE !== null && c.DCX !== null && c.DCX < c.DC + 2 * c.RE - 1e-9)
      fault('DCX', `at least DC + 2 RE = ${short(c.DC + 2 * c.RE)}`, 'the arc must end within the cutter');
  },
  usual: ['short flutes'],
  cuts: ['rounding'],
};
