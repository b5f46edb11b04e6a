/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { type Choice, DEFAULT_RULES } from '@/core/choosing';
import { FAMILY_NAMES, geometry } from '@/core/cutters';
import type { ChooseView } from '@/crib/choosing';
import type { PlacesView } from '@/crib/places';
import type { MovementsView, StockLine, StockView } from '@/crib/stock';
import { CutterDrawing } from '@/ui/rack';
import { Pictures } from '@/ui/screens/catalogue/Pictures';
import { ChooseScreen } from '@/ui/screens/choosing/ChooseScreen';
import { SavedViews } from '@/ui/screens/common/SavedViews';
import { PlacesScreen } from '@/ui/screens/places/PlacesScreen';
import { SHOP, showIn, answer } from '@/ui/testing';

let address = '';
const push = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push, refresh: jest.fn(), replace: jest.fn() }),
  usePathname: () => '/places',
  useSearchParams: () => new URLSearchParams(address),
}));
beforeEach(() => {
  address = '';
  push.mockClear();
});

const at = new Date('2027-01-05T09:00:00Z');
const view = (over: Partial<PlacesView> = {}): PlacesView => ({
  ...answer('places'),
  loans: [],
  regrinds: [],
  sheets: [],
  ...over,
});
const nothing = {
  place: { place: null, lines: [], more: false },
  count: { sheet: null, lines: [] },
  moves: null,
  stock: null,
  consigned: null,
  shop: SHOP,
  saved: [],
};

describe('places', () => {
  it('are a tree with what lies in each; an empty crib is told where to begin', () => {
    const { unmount } = showIn(<PlacesScreen view={view()} {...nothing} />);
    const drawer = screen.getByRole('row', { name: /CAB1-A/ });
    expect(within(drawer).getByText('5')).toBeTruthy();
    expect((within(drawer).getAllByRole('cell')[0] as HTMLElement).style.paddingLeft).toBe('20px');
    unmount();
    showIn(<PlacesScreen view={view({ places: [] })} {...nothing} />);
    expect(screen.getByText(/usually the cabinet you stand at/)).toBeTruthy();
  });
  it('say how late a loan is, by word and shape; a day that was not said is not a day', () => {
    address = 'show=loans';
    const loan = {
      entryId: 1,
      item: 'EM10',
      piece: null,
      person: 'TO',
      quantity: 2,
      due: '2027-01-03',
      happenedAt: at,
      has: 2,
      out: 2,
      daysLate: 2,
    };
    showIn(
      <PlacesScreen
        view={view({ loans: [loan, { ...loan, entryId: 2, person: 'JB', due: null, daysLate: 0 }] })}
        {...nothing}
      />,
    );
    expect(screen.getByText('■ 2 days late')).toBeTruthy();
    expect(screen.getByText('no day was said')).toBeTruthy();
  });
  it('a reground cutter that comes back is measured: its cost becomes cents', async () => {
    address = 'show=regrind';
    const { calls } = showIn(
      <PlacesScreen
        view={view({
          regrinds: [
            {
              entryId: 1,
              pieceId: 1,
              mark: 'E-0001',
              itemId: 1,
              item: 'D10',
              place: 'SLIP',
              who: 'IK',
              happenedAt: at,
              due: null,
              wanted: null,
            },
          ],
        })}
        {...nothing}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'It came back, or was lost' }));
    fireEvent.change(screen.getByLabelText('DC measured now, mm'), { target: { value: '9.8' } });
    fireEvent.change(screen.getByLabelText(/What it cost/), { target: { value: '8,50' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Take back' })));
    expect(calls).toMatchObject([
      { verb: 'takeFromRegrind', input: { piece: 'E-0001', dc: '9.8', costCents: 850 } },
    ]);
  });
  it('what moved of something that is not here is not ‘nothing moved’', () => {
    address = 'show=moves&item=EM99';
    showIn(<PlacesScreen view={view()} {...nothing} moves={{ problem: 'EM99 is not here' }} />);
    expect(screen.getByRole('alert').textContent).toContain('EM99 is not here');
    expect(screen.queryByText(/Nothing/)).toBeNull();
  });
  it('what moved says where from and to; what was taken back is struck through and can’t be taken back again', () => {
    address = 'show=moves&item=EM10';
    const move = {
      id: 1,
      entryId: 5,
      kind: 'receiveStock',
      who: 'IK',
      happenedAt: at,
      note: null,
      counters: null,
      counteredBy: null as number | null,
      item: 'EM10',
      piece: null,
      lot: null,
      fromPlace: null,
      fromKind: null,
      toPlace: 'S1',
      toKind: 'shelf' as const,
      quantity: 3,
    };
    const moves: MovementsView = {
      movements: [move, { ...move, id: 2, entryId: 6, counteredBy: 7 }],
      next: 1,
    };
    showIn(<PlacesScreen view={view()} {...nothing} moves={moves} />);
    expect(screen.getAllByText('outside')).toHaveLength(2);
    expect(screen.getAllByRole('button', { name: /Take back/ })).toHaveLength(1);
    expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toBe(
      '/api/v1/movements.csv?item=EM10',
    );
    expect(screen.getByRole('link', { name: 'Further back' }).getAttribute('href')).toContain('before=1');
  });
});

describe('all stock', () => {
  const stockLine = (over: Partial<StockLine>): StockLine => ({
    id: 7,
    itemId: 1,
    item: 'EM10',
    kind: 'cutter',
    maker: 'Skarv',
    placeId: 2,
    place: 'CAB1-A',
    placeName: 'Drawer A',
    placeKind: 'drawer',
    lotId: null,
    lot: null,
    owner: null,
    edgesLeft: null,
    quantity: 4,
    pieces: 0,
    words: '10 mm square end mill',
    marks: [],
    ...over,
  });
  const shown = (lines: StockLine[], over: Partial<StockView> = {}) => ({
    ...nothing,
    stock: {
      lines,
      total: lines.length,
      more: false,
      next: null,
      previous: null,
      ...over,
      asked: address.replace('show=stock', '').replace(/^&/, ''),
    },
  });
  it('says whose it is, what is used, and never whose a used piece was', () => {
    address = 'show=stock';
    showIn(
      <PlacesScreen
        view={view()}
        {...shown([
          stockLine({ owner: 'NORD', lot: 'L7', lotId: 3 }),
          stockLine({
            id: 8,
            item: 'EM8',
            owner: 'NORD',
            quantity: 1,
            pieces: 1,
            marks: [{ mark: 'E-0004', grade: 'aluminium' }],
          }),
        ])}
      />,
    );
    expect(screen.getByRole('row', { name: /EM10/ }).textContent).toContain('lot L7NORD’s until used');
    const used = screen.getByRole('row', { name: /EM8/ });
    expect(used.textContent).toContain('E-0004 aluminium');
    expect(used.textContent).not.toContain('until used');
  });
  it('goes on by a line, narrows by the address, and goes out as it is seen', () => {
    address = 'show=stock&q=DC+6..8&owner=theirs';
    showIn(<PlacesScreen view={view()} {...shown([stockLine({})], { next: 7, total: 300, more: true })} />);
    expect(screen.getByText('more than 300 lines')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Further' }).getAttribute('href')).toBe(
      '/places?show=stock&q=DC+6..8&owner=theirs&after=7',
    );
    expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toBe(
      '/api/v1/stock.csv?q=DC+6..8&owner=theirs',
    );
    fireEvent.change(screen.getByLabelText('Lies'), { target: { value: 'lent' } });
    expect(push).toHaveBeenCalledWith('/places?show=stock&q=DC+6..8&owner=theirs&lies=lent', {
      scroll: false,
    });
  });
  it('what the server refuses stands above the table', () => {
    address = 'show=stock&place=NIX';
    showIn(
      <PlacesScreen
        view={view()}
        {...nothing}
        stock={{ problem: 'place: no place NIX here', asked: 'place=NIX' }}
      />,
    );
    expect(screen.getByRole('alert').textContent).toContain('no place NIX here');
  });
});

describe('suppliers’ own stock', () => {
  const line = { item: 'EM10', words: '10 mm', lot: null, quantity: 2, since: at, priceCents: 3150 };
  const taken = (over: object) => ({
    taken: [{ supplier: 'NORD', name: 'Nordkap', lines: [line], costCents: 6300, upTo: 42, ...over }],
    settled: [],
  });
  it('is settled up to what was seen', async () => {
    address = 'show=theirs';
    const { calls } = showIn(<PlacesScreen view={view()} {...nothing} consigned={taken({})} />);
    expect(screen.getByText('63.00')).toBeTruthy();
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Settled with NORD' })));
    expect(calls).toMatchObject([{ verb: 'settleTakings', input: { supplier: 'NORD', upTo: 42 } }]);
  });
  it('a price that is not known makes no sum', () => {
    address = 'show=theirs';
    showIn(
      <PlacesScreen
        view={view()}
        {...nothing}
        consigned={taken({ lines: [{ ...line, priceCents: null }], costCents: null })}
      />,
    );
    expect(screen.getByText('no price of theirs')).toBeTruthy();
    expect(screen.getByText(/can’t be said/)).toBeTruthy();
  });
});

const choice = (over: Partial<Choice>): Choice => ({
  code: 'EM10',
  words: '10 mm square end mill',
  availability: 'on hand',
  shortBuilds: [],
  reserved: null,
  take: [],
  fails: [],
  open: [],
  reasons: [{ reason: 'short', words: 'reaches 2 mm further than needed', points: 3.6 }],
  score: 3.6,
  ...over,
});
const chosen = (over: Partial<ChooseView>): ChooseView => ({
  ...answer('choose'),
  fit: [],
  rejected: [],
  rejectedMore: 0,
  notLookedAt: false,
  kit: null,
  ...over,
});

describe('choosing', () => {
  it('asks only what bounds the feature, and keeps it in the address', async () => {
    showIn(<ChooseScreen view={null} rules={DEFAULT_RULES} problem={null} />, undefined, 'inch');
    expect(screen.queryByLabelText(/Thread/)).toBeNull();
    fireEvent.change(screen.getByLabelText('Smallest inside corner, radius, in'), {
      target: { value: '1/4' },
    });
    fireEvent.change(screen.getByLabelText('Depth to reach, in'), { target: { value: '20 mm' } });
    fireEvent.click(screen.getByRole('checkbox', { name: 'must plunge' }));
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Find cutters' })));
    expect(push).toHaveBeenCalledWith('/choose?feature=pocket&plunge=yes&corner=1%2F4+in&depth=20+mm');
    fireEvent.change(screen.getByLabelText('What is cut'), { target: { value: 'thread' } });
    expect(screen.getByLabelText(/Thread, such as M6/)).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: 'must plunge' })).toBeNull();
  });
  it('shows what speaks for each, what is not judged, and by how much the others fail', () => {
    showIn(
      <ChooseScreen
        view={chosen({
          fit: [
            choice({ open: ['centre cutting not known'] }),
            choice({ code: 'B', availability: 'built', take: ['A-0001'] }),
          ],
          rejected: [choice({ code: 'C', fails: ['flutes 2.3 mm short', '2 mm too thick for the corner'] })],
          rejectedMore: 4,
        })}
        rules={DEFAULT_RULES}
        problem={null}
      />,
    );
    expect(screen.getAllByText('+3.6')).toHaveLength(2);
    expect(screen.getByText('centre cutting not known', { exact: false })).toBeTruthy();
    expect(screen.getByText('A-0001')).toBeTruthy();
    expect(screen.getByText(/flutes 2.3 mm short; 2 mm too thick/)).toBeTruthy();
    expect(screen.getByText('and 4 more')).toBeTruthy();
  });
  it('a kit names what is missing, and what could be bought for it', () => {
    const kit: ChooseView['kit'] = [
      {
        step: 'drill',
        wanted: '5 mm',
        because: 'ISO 2306',
        choices: [choice({ code: 'D5' })],
        missing: false,
      },
      {
        step: 'tap',
        wanted: 'M6',
        because: 'the thread',
        choices: [choice({ code: 'T6', availability: 'to buy' })],
        missing: true,
      },
      { step: 'chamfer', wanted: 'past 6 mm', because: 'a burr-free edge', choices: [], missing: true },
    ];
    showIn(<ChooseScreen view={chosen({ kit })} rules={DEFAULT_RULES} problem={null} />);
    expect(screen.getByText('■ missing: buy T6')).toBeTruthy();
    expect(screen.getByText('■ missing')).toBeTruthy();
    expect(screen.getByText('None fits')).toBeTruthy();
  });
  it('the rules begin with those in force; half a pair of flutes is left out', async () => {
    address = 'show=rules';
    const { calls } = showIn(<ChooseScreen view={null} rules={DEFAULT_RULES} problem={null} />);
    fireEvent.change(screen.getByLabelText(/as thick as the corner allows/), { target: { value: '9' } });
    fireEvent.change(screen.getByLabelText(/O plastics, others, most/), { target: { value: '' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Set the rules' })));
    expect(calls[0]!.input).toMatchObject({ weights: { stout: '9', short: '4' }, flutes: { N: ['2', '3'] } });
    expect(calls[0]!.input.flutes).not.toHaveProperty('O');
  });
});

it('a question is offered to be kept once, by what it asks and not by what is open', () => {
  address = 'q=LCF%3E20&open=EM8';
  const { unmount } = showIn(<SavedViews saved={[]} />);
  expect(screen.getByRole('button', { name: 'keep this question' })).toBeTruthy();
  unmount();
  showIn(<SavedViews saved={[{ name: 'long', address: 'q=LCF%3E20' }]} />);
  expect(screen.getByRole('link', { name: 'long' }).getAttribute('aria-current')).toBe('true');
  expect(screen.queryByRole('button', { name: 'keep this question' })).toBeNull();
});

it('a picture that gets no answer says so, and is sent again with the same form', async () => {
  const sent: { formId: string }[] = [];
  globalThis.fetch = jest.fn(async (_path: unknown, init?: { body?: unknown }) => {
    sent.push(JSON.parse(String(init!.body)) as { formId: string });
    throw new Error('gone');
  }) as unknown as typeof fetch;
  File.prototype.arrayBuffer ??= async function () {
    return new Uint8Array([1, 2, 3]).buffer;
  };
  showIn(<Pictures code="EM8" marks={['E-0001']} pictures={[]} />);
  const file = new File(['abc'], 'a.png', { type: 'image/png' });
  for (let i = 0; i < 2; i += 1)
    await act(async () => {
      fireEvent.change(screen.getByLabelText('A picture'), { target: { files: [file] } });
      await new Promise((resolve) => setTimeout(resolve, 10));
    });
  expect(screen.getByRole('alert').textContent).toContain('No answer came');
  expect(sent).toHaveLength(2);
  expect(sent[0]!.formId).toBe(sent[1]!.formId);
});

it.each(FAMILY_NAMES)('%s is drawn from its diameter alone, and says what it assumed', (family) => {
  const { container } = showIn(<CutterDrawing cutter={geometry(family, { DC: 12 })} />);
  const paths = [...container.querySelectorAll('path')].map((p) => p.getAttribute('d') ?? '');
  expect(paths.length).toBeGreaterThan(1);
  expect(paths.join('')).not.toMatch(/NaN|Infinity/);
  expect(screen.getByText(/not known/)).toBeTruthy();
});
