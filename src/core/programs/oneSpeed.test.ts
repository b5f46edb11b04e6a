import { oneSpeed } from './index';

const at = (s: number | null, cutting_s: number) => ({ s, cutting_s });

// Common practice: nine tenths of the time, within a twentieth.
it('one speed is that of nine tenths of the time in the cut', () => {
  expect(oneSpeed([at(4000, 54), at(2000, 6)])).toBe(4000);
  expect(oneSpeed([at(4000, 53), at(2000, 7)])).toBeNull();
});

it('speeds within a twentieth are one, and feeds do not matter', () => {
  expect(oneSpeed([at(4000, 20), at(4200, 30), at(4000, 15)])).toBe(4000);
  expect(oneSpeed([at(4000, 35), at(4210, 30)])).toBeNull();
});

it('time of which nobody knows the speed is not taken for any', () => {
  expect(oneSpeed([at(4000, 80), at(null, 20)])).toBeNull();
  expect(oneSpeed([at(null, 5)])).toBeNull();
  expect(oneSpeed([at(0, 5)])).toBeNull();
  expect(oneSpeed([])).toBeNull();
  expect(oneSpeed([at(4000, 0)])).toBeNull();
});

it('a figure that no spindle turns is no speed', () => {
  expect(oneSpeed([at(1e8, 60)])).toBeNull();
});
