import { gaugeOfSize, sizeOutlook } from '../index';

const H7 = { least: 20, most: 20.021 };
const at = (...rows: [number, number][]) => rows.map(([holes, sizeMm]) => ({ holes, sizeMm }));

describe('holes over their number', () => {
  it('by hand: 4 µm in 100 holes from 20.012 after 50 leave 200 after 150', () => {
    const out = sizeOutlook(at([50, 20.012], [150, 20.008]), H7, 150);
    expect(out.towards).toBe('least');
    expect(out.left?.holes).toBeCloseTo(200, 6);
    // Two points say nothing of how far the line can be trusted.
    expect(out.left?.cautious).toBeNull();
  });
  it('what grows goes to the upper limit', () => {
    const out = sizeOutlook(at([0, 20.005], [100, 20.013]), H7, 100);
    expect(out).toMatchObject({ towards: 'most' });
    expect(out.left?.holes).toBeCloseTo(100, 6);
  });
  it('against scipy.stats.linregress and Fieller in numpy: five sizes cross at 412.658, 95 % of holes 388.393 to 438.540', () => {
    const out = sizeOutlook(
      at([0, 20.0165], [100, 20.012], [200, 20.0085], [300, 20.0045], [400, 20.0005]),
      H7,
      400,
    );
    expect(out.line?.slope).toBeCloseTo(-3.95e-5, 12);
    expect(out.crossing?.holes).toBeCloseTo(412.6582278, 6);
    expect(out.crossing?.between?.[0]).toBeCloseTo(388.3934381, 5);
    expect(out.crossing?.between?.[1]).toBeCloseTo(438.539625, 5);
    // One hole in twenty is at it after 394.6 already, which is past.
    expect(out.left?.cautious).toBe(0);
    expect(out.left?.holes).toBeCloseTo(12.6582278, 6);
  });
  it('out of its limits has none left; one hole or none says nothing', () => {
    expect(sizeOutlook(at([50, 20.002], [90, 19.999]), H7, 90).left).toEqual({ holes: 0, cautious: 0 });
    expect(sizeOutlook(at([50, 20.01]), H7, 50)).toMatchObject({ line: null, crossing: null, left: null });
    expect(sizeOutlook([], H7, 0).left).toBeNull();
    // Three of one size go nowhere, and that is not 'for ever'.
    expect(sizeOutlook(at([0, 20.01], [50, 20.01], [100, 20.01]), H7, 100).left).toBeNull();
  });
  it('a size at its limit is within it (ISO 286-1: the limits belong to the tolerance)', () => {
    expect([19.9999, 20, 20.021, 20.0211].map((x) => gaugeOfSize(x, H7))).toEqual([
      'tight',
      'passes',
      'passes',
      'loose',
    ]);
  });
});
