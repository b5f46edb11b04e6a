import { minutesReached, minutesUntilChange } from '../index';
import { weibullSurvival } from '../survival/weibull';

it('is what the closed form of the Weibull law says, at every shape', () => {
  // ∫ R from 0 to T by the incomplete gamma function: Barlow and Proschan (1965), from memory.
  for (const shape of [0.8, 1, 2, 3.5, 8])
    for (const minutes of [5, 51.07, 100, 160]) {
      const law = { shape, scale: 100 };
      const exact = minutesReached(law, minutes);
      const near = minutesUntilChange((m) => weibullSurvival(law, m), minutes);
      expect(Math.abs(near / exact - 1)).toBeLessThan(shape < 1 ? 2e-4 : 1e-6);
    }
});
it('is never longer than the change, and the change itself where nothing is known', () => {
  expect(minutesUntilChange(null, 40)).toBe(40);
  expect(minutesUntilChange(() => 1, 40)).toBeCloseTo(40, 9);
  expect(minutesUntilChange((m) => (m < 20 ? 1 : 0), 40)).toBeCloseTo(20, 0);
  expect(minutesUntilChange(() => 1, 0)).toBe(0);
});
