import { type CutterGeometry, neckDiameter } from '../cutters';

/**
 * Diameter of a plain rod that bends as much under a force at its tip as the sections that stand out: flutes of DC (or
 * DCX), the neck DN to LU (a tapered one as thin as it begins), the shank DMM above. What is not known counts as DC. mm. Castigliano for a stepped cantilever.
 * Example: DC 6 with LCF 13 on a 10 mm shank, 40 out: stiff as 9.49.
 */
export function stiffAs(c: CutterGeometry, stickout: number): number {
  const cut = Math.max(c.DC, c.DCX ?? 0);
  const flute = Math.min(stickout, c.LCF ?? stickout);
  const neck = Math.min(stickout, Math.max(flute, c.DN === null ? 0 : (c.LU ?? 0)));
  const sections: [to: number, D: number][] = [
    [flute, cut],
    [neck, neckDiameter(c, flute) ?? cut],
    [stickout, c.DMM ?? cut],
  ];
  let sum = 0;
  let from = 0;
  for (const [to, D] of sections) {
    if (to > from) sum += (to ** 3 - from ** 3) / D ** 4;
    from = Math.max(from, to);
  }
  return (stickout ** 3 / sum) ** 0.25;
}
