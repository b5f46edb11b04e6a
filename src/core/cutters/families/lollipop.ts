import type { CutterFigures } from '../figures';
import { short, type FamilySpec } from './family';
import { arc } from './outlines';

/** Height at which the ball passes into a neck of radius r, mm. */
const neckHeight = (R: number, r: number): number => R + Math.sqrt(Math.max(0, R * R - r * r));

export const lollipop: FamilySpec = {
  words: 'lollipop mill',
  tip: 'ball',
  lengthTo: 'ball tip; the centre is DC/2 above',
  diameterAt: 'of the ball',
  facts: ['DN', 'LU', 'NOF'],
  mills: true,
  outline: (c, known) => {
    const R = c.DC / 2;
    const neck = Math.min(known('DN', 0.6 * c.DC, 'as 0.6 DC') / 2, R);
    const end = Math.PI - Math.asin(neck / R);
    return arc(end, (t) => ({ z: R * (1 - Math.cos(t)), r: R * Math.sin(t) }));
  },
  drawnFrom: ['DN'],
  reach: { mm: (c) => (c.DN === null ? null : (c.LU ?? neckHeight(c.DC / 2, c.DN / 2))), needs: ['DN'] },
  onePass: (c) => c.DC / 2,
  head: { height: (c) => c.DC, needs: ['DC'] },
  mustHold: (c: CutterFigures, fault) => {
    if (c.DN !== null && c.DN >= c.DC)
      fault(
        'DN',
        `less than DC = ${short(c.DC)}`,
        'a lollipop is wider than its neck; else it is a ball end mill',
      );
  },
  usual: ['thin shank'],
  cuts: ['undercut'],
  sizeWords: (_, size) => size,
};
