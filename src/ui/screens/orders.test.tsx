/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { OrderForm, type OrderRow } from './buying/OrderForm';
import { showIn } from '@/ui/testing';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn(), replace: jest.fn() }),
  usePathname: () => '/buying',
  useSearchParams: () => new URLSearchParams(''),
}));

/** An order is written on one page and sent once, whatever its lines: common practice. */
const supply = {
  supplier: 'NORD',
  orderCode: 'N-1',
  priceCents: 3150,
  pack: 2,
  minimum: 1,
  leadTimeDays: 10,
};
const ROWS: OrderRow[] = [
  { item: 'EM10', start: '4', supply },
  { item: 'AP16', start: '10', supply: { ...supply, priceCents: null, pack: 10 } },
];

it('says what it comes to while it is typed, and what the supplier would send back', async () => {
  showIn(<OrderForm rows={ROWS} today="2027-01-05" />);
  expect(screen.getByText('at least 126.00: no price of AP16')).toBeTruthy();
  fireEvent.change(await screen.findByLabelText('How many of EM10'), { target: { value: '3' } });
  // 3 x 31.50
  expect(screen.getByText('at least 94.50: no price of AP16')).toBeTruthy();
  expect(screen.getByText(/EM10: 3 are no whole packs of 2/)).toBeTruthy();
});

it('sends all lines as one order; a line without a count is left out', async () => {
  const { calls } = showIn(
    <OrderForm rows={[...ROWS, { item: 'EM8', start: '2', supply }]} today="2027-01-05" />,
  );
  fireEvent.change(await screen.findByLabelText('How many of AP16'), { target: { value: '' } });
  fireEvent.click(screen.getByRole('button', { name: 'Ordered' }));
  await waitFor(() => expect(calls).toHaveLength(1));
  expect(calls[0]).toMatchObject({
    verb: 'placeOrder',
    // Today and ten days of lead.
    input: { item: 'EM10', quantity: '4', promised: '2027-01-15', more: [{ item: 'EM8', quantity: '2' }] },
  });
});
