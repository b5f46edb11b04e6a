import { short, type FamilySpec } from './family';
import { ground, up } from './outlines';

export const slittingSaw: FamilySpec = {
  words: 'slitting saw',
  tip: 'flat',
  lengthTo: 'lower face',
  diameterAt: 'over the teeth; DN is the flange it is clamped between',
  facts: ['CW', 'DN', 'NOF'],
  mills: true,
  outline: (c, known) => up(ground(c.DC / 2), known('CW', c.DC / 40, 'as DC/40'), c.DC / 2),
  drawnFrom: ['CW'],
  // On its edge it goes in as far as its flange lets it.
  reach: { mm: (c) => (c.DN === null ? null : (c.DC - c.DN) / 2), needs: ['DN'] },
  onePass: (c) => (c.DN === null ? null : (c.DC - c.DN) / 2),
  onEdge: true,
  head: { height: (c) => c.CW, needs: ['CW'] },
  mustHold: (c, fault) => {
    if (c.DN !== null && c.DN >= c.DC)
      fault('DN', `less than DC = ${short(c.DC)}`, 'a flange as wide as the saw leaves no teeth to cut with');
    if (c.CW !== null && c.CW > c.DC / 4)
      fault('CW', `at most DC/4 = ${short(c.DC / 4)}`, 'so wide it is a slot cutter');
  },
  usual: ['short flutes', 'thin shank', 'short'],
  cuts: ['slot'],
};
