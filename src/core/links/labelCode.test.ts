import * as fc from 'fast-check';
import { labelCode, printOf, readLabelCode } from './index';

it('is read back as it was written, in capitals or not', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 999_999 }),
      fc.nat(2_147_483_647),
      fc.array(fc.string()),
      (n, measurement, lines) => {
        const code = { tag: `A-${String(n).padStart(4, '0')}`, measurement, print: printOf(lines) };
        expect(readLabelCode(labelCode(code))).toEqual(code);
        expect(readLabelCode(labelCode(code).toLowerCase())).toEqual(code);
      },
    ),
  ));

it('is no longer than a DataMatrix of 18 x 18 holds: 25 signs in its own short set (ISO/IEC 16022, from memory)', () => {
  const longest = labelCode({ tag: 'A-999999', measurement: 2_147_483_647, print: 'zzz' });
  expect(longest).toMatch(/^[A-Z0-9/.-]+$/);
  expect(longest.length).toBeLessThanOrEqual(25);
});

it('any figure that changes changes it; none of other codes is taken for one', () => {
  expect(printOf(['94.112', '10'])).not.toBe(printOf(['94.113', '10']));
  expect(printOf(['94.112', '10'])).toBe(printOf(['94.112', '10']));
  // FNV-1a of the empty text is its offset basis (the algorithm's own description, from memory).
  expect(parseInt(printOf([]), 36)).toBe(0x811c9dc5 % 46_656);
  for (const other of ['A-0042', 'E-0012', 'EM8|CAB1-A', 'A-0042/', 'J-1/2.abc', 'A-0042/1.ab', ''])
    expect(readLabelCode(other)).toBeNull();
});
