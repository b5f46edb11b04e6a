import * as fc from 'fast-check';
import { worstGrade } from '../because';
import { findK, gaugeLengthFromTouch } from './index';

const grades = (found: ReturnType<typeof findK>) =>
  Object.fromEntries(found.judgements.map((j) => [j.code, j.grade]));

it('gives back the K it was made with, for any machine, block and tools (the touch-off of gaugeLengthFromTouch inverted)', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 100, max: 2000, noNaN: true }),
      fc.double({ min: 1, max: 100, noNaN: true }),
      fc.array(fc.double({ min: 30, max: 400, noNaN: true }), { minLength: 1, maxLength: 5 }),
      (K, block, lengths) => {
        const tools = lengths.map((L) => ({ L, readings: [L - K + block, L - K + block] }));
        expect(findK(block, tools).K.value).toBeCloseTo(K, 6);
        for (const { L, readings } of tools)
          expect(gaugeLengthFromTouch(readings[0]!, block, K, 0).L).toBeCloseTo(L, 6);
      },
    ),
  ));

// K 490, block 10, lengths 90, 142, 210; by hand.
const touch = (L: number, off = 0) => L - 490 + 10 + off;
const THREE = [90, 142, 210].map((L) => ({ L, readings: [touch(L), touch(L, 0.004)] }));

it('three tools, each twice: K is the mean, and how well it is known is said', () => {
  const found = findK(10, THREE);
  // Each mean reads 0.002 high.
  expect(found.K.value).toBeCloseTo(489.998, 9);
  expect(found.spread).toBeCloseTo(0.004, 9);
  expect(found.scale).toBeCloseTo(0, 9);
  expect(worstGrade(found.judgements)).toBe('good');
});

it('a presetter that is 0.02 % short shows by its slope, which one tool could not', () => {
  const short = [90, 142, 210].map((L) => ({ L: L * 0.9998, readings: [touch(L), touch(L)] }));
  const found = findK(10, short);
  // 0.02 mm more in 100, by hand.
  expect(found.scale).toBeCloseTo(0.02, 3);
  expect(grades(found)).toEqual({ K_ENOUGH: 'good', K_REPEATS: 'good', K_SCALE: 'question' });
  expect(found.judgements[2]?.words).toContain('counts 0.02 mm more than the presetter over 100 mm');
});

it('a chip under the block is a question; too few or too alike is no judgement', () => {
  const chip = THREE.map((t, i) => (i === 1 ? { ...t, readings: [touch(142), touch(142, 0.05)] } : t));
  expect(grades(findK(10, chip)).K_REPEATS).toBe('question');
  expect(grades(findK(10, THREE.slice(0, 2)))).toEqual({ K_ENOUGH: 'not judged', K_REPEATS: 'good' });
  expect(
    grades(
      findK(
        10,
        [90, 95, 100].map((L) => ({ L, readings: [touch(L), touch(L)] })),
      ),
    ).K_ENOUGH,
  ).toBe('not judged');
  expect(
    grades(
      findK(
        10,
        THREE.map((t) => ({ ...t, readings: [touch(t.L)] })),
      ),
    ),
  ).toEqual({
    K_ENOUGH: 'not judged',
    K_SCALE: 'good',
  });
  expect(findK(10, [])).toMatchObject({ K: { value: null }, spread: null, scale: null });
});
