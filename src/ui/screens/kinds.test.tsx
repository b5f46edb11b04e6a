/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import type { Recipe } from '@/core/cutting';
import { livesByKind } from '@/core/life';
import type { LifeSheet } from '@/crib/life';
import { Surrounded } from '@/ui/testing';
import { KindRows } from './life/KindRows';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ replace: () => undefined }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));

const recipe = (code: string, over: Partial<Recipe> = {}): Recipe => ({
  ...{ code, state: 'tried', item: 'EM10', family: null, diameters: null, material: 'C45', machine: null },
  ...{ cut: 'roughing', speed: { as: 'n', least: 4775, most: 4775 }, ramp: null, coolant: null },
  ...{ feed: { as: 'tooth', least: 0.05, most: 0.05 }, ap: 10, ae: 2, replacedBy: null },
  ...over,
});
const of = (by: string, ...minutes: number[]) =>
  minutes.map((m) => ({ by, life: { minutes: Math.abs(m), failed: m > 0 } }));
const rows = (
  lives: ReturnType<typeof of>,
  more: {
    litre?: { value: number; from: number; to: number };
    removal?: { least: number; most: number };
  } = {},
) => {
  const { kinds, apart } = livesByKind(lives);
  const byRecipe = {
    kinds: kinds.map((k) => ({ ...k, recipe: recipe(k.by), removal: null, litre: null, ...more })),
    apart: apart + 1,
  };
  render(
    <Surrounded>
      <KindRows
        line={{ byRecipe, byHolder: null, edge: { cents: null, of: 'a new one' } } as unknown as LifeSheet}
      />
    </Surrounded>,
  );
};
const body = (code: string) => within(screen.getByRole('rowgroup', { name: code }));

it('what is told stands under its recipe with its limits; what is not known is said so', () => {
  rows([...of('R-0001', 28, 30, 33, 35, -36, 40), ...of('R-0002', 10, 11, 12, 14, 15, -16)]);
  expect(
    body('R-0001').getByText(/^lasts 2\.\d+ times as long as the others \(.+\): by chance in under 1 %/),
  ).toBeTruthy();
  expect(body('R-0002').getByText(/^lasts 0\.\d+ times as long/)).toBeTruthy();
  expect(body('R-0002').getByText('n 4775 rev/min, 0.050 mm a tooth, ap 10.00, ae 2.00')).toBeTruthy();
  expect(body('R-0002').getAllByText('cannot say')).toHaveLength(2);
  expect(screen.getByText(/cut by one, 1 does not\. A litre/)).toBeTruthy();
});

it('what is not told says what would tell, and nothing where nothing has failed', () => {
  rows([...of('A', 10, 20, 30), ...of('B', 14, 25, 36)], {
    removal: { least: 9500, most: 19_100 },
    litre: { value: 21_082, from: 18_643, to: 24_135 },
  });
  expect(body('A').getByText(/^not told apart: .* about \d+ more failures of each would tell$/)).toBeTruthy();
  expect(body('B').getByText('9.5 to 19')).toBeTruthy();
  expect(body('B').getByText('210.82')).toBeTruthy();
  expect(body('B').getByText('186.43 to 241.35')).toBeTruthy();
});

it('lives that all run on tell nothing', () => {
  rows([...of('A', -10), ...of('B', -14)]);
  expect(body('A').getByText('nothing has failed to tell by')).toBeTruthy();
});
