/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import type { Far } from '@/crib/door';
import { showIn } from '@/ui/testing';
import { HowFar } from './HowFar';

const ID = 'b0d2a7ac-5b1e-4a5e-9a38-0d8f1f3f2d11';
/** What the server would answer now; and whether its answers come at all. */
let now: Far | null = null;
let answers = true;
const tell = (far: Far) => void (now = far);
const asked: string[] = [];
beforeEach(() => {
  jest.useFakeTimers();
  now = null;
  answers = true;
  globalThis.fetch = (async (address: string) => {
    asked.push(address);
    if (!answers) return new Promise(() => undefined);
    return { ok: true, json: async () => now };
  }) as typeof fetch;
});
afterEach(() => {
  jest.useRealTimers();
});
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const said = () => screen.getByRole('status').textContent;
const bar = () => screen.getByRole('progressbar').getAttribute('aria-valuenow');

it('says what is done with a list and how far it has come, as the server tells it', async () => {
  const stopped = jest.fn();
  showIn(<HowFar id={ID} begins="Reading the list" onStop={stopped} />);
  await pass(10);
  expect([said(), bar()]).toEqual(['Reading the list …', null]);
  expect(asked[0]).toBe(`/api/v1/progress?of=${ID}`);
  tell({ step: 'reading', done: 1200, of: null });
  await pass(800);
  expect([said(), bar()]).toEqual(['Reading the list …', null]);
  expect(screen.getByText('1,200 rows')).toBeTruthy();
  tell({ step: 'comparing', done: 5000, of: 20_000 });
  await pass(800);
  expect([said(), bar()]).toEqual(['Comparing it with the catalogue …', '25']);
  expect(screen.getByText('5,000 of 20,000 rows')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'stop' }));
  expect(stopped).toHaveBeenCalledTimes(1);
});

it('where nobody is answered any more it says why, and shows no figure that stands still', async () => {
  showIn(<HowFar id={ID} begins="Bringing it in" />);
  await pass(10);
  tell({ step: 'laying down', done: 19_960, of: 20_000 });
  await pass(800);
  expect([said(), bar()]).toEqual(['Laying it down …', '99.8']);
  const laid = screen.getByRole('progressbar');
  tell({ step: 'entering', done: 50, of: 20_000 });
  await pass(800);
  expect(said()).toMatch(/Entering it: others can read meanwhile/);
  // Its bar begins at its own share and does not shrink to it from the step before.
  expect([bar(), screen.getByRole('progressbar') === laid]).toEqual(['0.25', false]);
  tell({ step: 'entering', done: 20_000, of: 20_000 });
  await pass(800);
  expect(bar()).toBe('100');
  answers = false;
  await pass(2500);
  expect(said()).toMatch(/at once: whoever asks meanwhile waits/);
  expect(bar()).toBeNull();
  expect(screen.queryByText(/of 20,000/)).toBeNull();
  expect(screen.queryByRole('button')).toBeNull();
});

it('asks no more once it is off the screen', async () => {
  const { unmount } = showIn(<HowFar id={ID} begins="Reading the list" />);
  await pass(800);
  const before = asked.length;
  unmount();
  await pass(5000);
  expect(asked.length).toBe(before);
});
