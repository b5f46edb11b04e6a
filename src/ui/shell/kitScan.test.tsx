/** @jest-environment jsdom */
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { KitSheet } from '@/ui/screens/jobs/kit/KitSheet';
import { answer, showIn } from '@/ui/testing';
import type { Answer } from './door';
import { ScanLine } from './ScanLine';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: () => undefined }),
  usePathname: () => '/jobs',
  useSearchParams: () => new URLSearchParams('open=J-1&do=kit'),
}));

const kit = answer('kit');
/** The kit of the real view, its built T judged otherwise. */
const judged = (grade: 'stop' | 'question', why: string) => ({
  ...kit,
  tools: kit.tools.map((t) => (t.tag === null ? t : { ...t, grade, why })),
});
const shown = (of: typeof kit) =>
  showIn(
    <>
      <ScanLine help={false} onHelp={() => undefined} />
      <KitSheet kit={of} />
    </>,
    async (): Promise<Answer> => ({ ok: true, done: { entry: 7, to: 'cart', tag: 'A-0001', job: 'J-1' } }),
  );
const scan = async (text: string) => {
  const field = screen.getByLabelText(/Scan or type a number/);
  fireEvent.change(field, { target: { value: text } });
  await act(async () => fireEvent.submit(field.closest('form')!));
};

it('what is only asked about is pulled by its scan, or by hand', async () => {
  const { calls } = shown(judged('question', 'Its length is in question'));
  expect(screen.getByRole('button', { name: 'pulled' })).toBeTruthy();
  await scan('A-0001');
  expect(calls).toMatchObject([{ verb: 'moveKit', input: { tag: 'A-0001', to: 'cart' } }]);
});

it('what must not run stays on the rack: its scan says why, nothing is booked, and no button offers it', async () => {
  const { calls } = shown(judged('stop', 'Flank wear 0.35 of 0.30 mm'));
  expect(screen.queryByRole('button', { name: 'pulled' })).toBeNull();
  await scan('A-0001');
  expect(screen.getByText(/stays on the rack: Flank wear 0\.35 of 0\.30 mm/)).toBeTruthy();
  expect(calls).toEqual([]);
});

it('on two T, a stop as the first alone, it is pulled for the other', async () => {
  const [first] = judged('stop', 'Flute too short for one pass').tools.filter((t) => t.tag !== null);
  const other = { ...first!, t: first!.t + 1, grade: 'good', why: null } as const;
  const { calls } = shown({ ...kit, tools: [first!, other] });
  await scan('A-0001');
  expect(screen.getByText(/A-0001 pulled for J-1/)).toBeTruthy();
  expect(calls).toMatchObject([{ verb: 'moveKit', input: { tag: 'A-0001', to: 'cart' } }]);
});

it('pulled before it became a stop, it can be put back', () => {
  const before = judged('stop', 'Flank wear 0.35 of 0.30 mm');
  shown({
    ...before,
    tools: before.tools.map((t) => (t.tag === null ? t : { ...t, pulled: { who: 'JB', cart: null } })),
  });
  expect(screen.getByRole('button', { name: 'put back' })).toBeTruthy();
});

it('what is worn is changed, and what is not measured is measured, from its own line', () => {
  const line = (over: Partial<(typeof kit)['tools'][number]>) => ({
    ...kit,
    tools: kit.tools.map((t) => (t.tag === null ? t : { ...t, ...over })),
  });
  shown(line({ worn: true, state: 'in the crib, to look at' }));
  expect(screen.getByRole('link', { name: 'change its cutter' }).getAttribute('href')).toBe('/end/A-0001');
  expect(screen.queryByRole('link', { name: 'measure it' })).toBeNull();
  cleanup();
  shown(line({ worn: false, state: 'to measure' }));
  expect(screen.queryByRole('link', { name: 'change its cutter' })).toBeNull();
  const href = screen.getByRole('link', { name: 'measure it' }).getAttribute('href')!;
  expect(new URL(href, 'http://x').searchParams.toString()).toBe('open=A-0001&do=measure');
});
