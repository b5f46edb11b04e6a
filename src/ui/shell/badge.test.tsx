/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { VerbForm } from '@/ui/kit/form';
import { showIn } from '@/ui/testing';
import type { Answer } from './door';
import { ScanLine } from './ScanLine';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: () => undefined }),
}));

const detail = 'This shop wants two people for accepted deviations';
const wanted: Answer = {
  ok: false,
  problem: {
    type: 'x',
    title: 'x',
    status: 403,
    code: 'NOT_ALLOWED',
    detail,
    way_out: 'Let somebody else confirm it with their badge or PIN.',
    problems: [{ field: 'second', value: null, limit: null, detail }],
  },
};

it('where a second person is wanted, their badge confirms wherever the keyboard stands, and signs nobody', async () => {
  const answers: Answer[] = [wanted, { ok: true, done: { entry: 7 } }];
  const { calls } = showIn(
    <>
      <ScanLine help={false} onHelp={() => undefined} />
      <VerbForm
        verb="recordMeasurement"
        fields={[{ name: 'gaugeLength', label: 'Gauge length', kind: 'length' }]}
        fixed={{ tag: 'A-0001' }}
        submit="Record"
      />
    </>,
    async () => answers.shift() ?? wanted,
  );
  fireEvent.change(screen.getByLabelText(/Gauge length/), { target: { value: '94.1' } });
  await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Record' })));
  expect(screen.getByText('Scan their badge, or')).toBeTruthy();
  const line = screen.getByLabelText(/Scan or type a number/);
  fireEvent.change(line, { target: { value: 'BADGE-BCDF-GHJK' } });
  await act(async () => fireEvent.submit(line.closest('form')!));
  expect(calls.at(-1)).toMatchObject({
    input: { gaugeLength: '94.1', second: { badge: 'BADGE-BCDF-GHJK' } },
  });
  expect(calls).toHaveLength(2);
  // Confirmed, nobody waits for a badge any more.
  expect(screen.queryByText('Scan their badge, or')).toBeNull();
});
