/** @jest-environment jsdom */
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { DEFAULT_LADDER } from '@/core/life';
import { inCrib } from '@/core/stock';
import { sure } from '@/core/sure';
import type { ItemLine } from '@/crib/catalogue';
import { SearchField } from '@/ui/kit/form';
import { asItStands } from './catalogue/Figure';
import { ItemMoves } from '@/ui/screens/catalogue/ItemMoves';
import { openGrades } from '@/ui/screens/catalogue/ItemTag';
import { thingInput, thingOptions } from '@/ui/screens/catalogue/things';
import { inserts, items } from '@/ui/screens/common/found';
import { Ladder } from '@/ui/screens/secondlife/Ladder';
import { answer, SHOP, showIn, Surrounded } from '@/ui/testing';

let address = '';
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => undefined, refresh: () => undefined }),
  usePathname: () => '/cutters',
  useSearchParams: () => new URLSearchParams(address),
}));

const parcel = (over: Partial<ItemLine['places'][number]>): ItemLine['places'][number] => ({
  itemId: 1,
  placeId: 1,
  place: 'S1',
  placeKind: 'shelf',
  lotId: null,
  lot: null,
  owner: null,
  edgesLeft: null,
  quantity: 3,
  pieces: 0,
  ...over,
});
const piece = (over: Partial<ItemLine['pieces'][number]>): ItemLine['pieces'][number] => ({
  id: 1,
  mark: 'E-0001',
  itemId: 1,
  lotId: null,
  entryId: 1,
  placeId: 2,
  place: 'USED',
  placeKind: 'drawer',
  dueBack: null,
  edgeSetId: 1,
  edgeSetEntryId: 1,
  fresh: true,
  endedEntryId: 5,
  endedAt: null,
  grade: null,
  gradeEntryId: null,
  goodZone: null,
  goodFromMm: null,
  goodToMm: null,
  reground: false,
  recoated: null,
  heldBack: false,
  ...over,
});
const item = (over: Partial<ItemLine> = {}): ItemLine => ({
  ...sure(answer('item EM10').item, 'EM10'),
  inBuilds: 0,
  pieces: [],
  places: [parcel({})],
  ...over,
});

describe('what can be taken from where it lies', () => {
  const told = item({
    places: [
      parcel({}),
      parcel({ lotId: 4, lot: 'B7', owner: 'NORD', edgesLeft: 2, quantity: 20 }),
      parcel({ place: 'USED', placeKind: 'drawer', quantity: 1, pieces: 1 }),
      parcel({ place: 'HAND-TO', placeKind: 'hand', quantity: 2 }),
    ],
    pieces: [piece({ grade: 'aluminium' })],
    lent: [piece({ mark: 'E-0002', place: 'HAND-TO', placeKind: 'hand', endedEntryId: null })],
  });
  it('parcels that are told apart and marked pieces stand by themselves', () => {
    expect(thingOptions(told, inCrib).map(([, words]) => words)).toEqual([
      'S1, 3 there',
      'S1, 20 there, lot B7, NORD’s until used, 2 edges left each',
      'E-0001 at USED, graded aluminium',
    ]);
    expect(thingOptions(told, (k) => k === 'hand').map(([, words]) => words)).toEqual([
      'HAND-TO, 2 there',
      'E-0002 at HAND-TO, used',
    ]);
  });
  it('each becomes the input that takes it, and a piece is one of itself', () => {
    const [ordinary, lot, marked] = thingOptions(told, inCrib).map(([value]) =>
      thingInput({ item: 'EM10', quantity: '2', to: 'TO', from: value }),
    );
    expect(ordinary).toEqual({ item: 'EM10', quantity: '2', to: 'TO', from: 'S1' });
    expect(lot).toEqual({ ...ordinary, lot: 'B7', supplier: 'NORD', edgesLeft: 2 });
    expect(marked).toEqual({ to: 'TO', piece: 'E-0001' });
    expect(thingInput({ item: 'EM10' })).toEqual({ item: 'EM10' });
  });
});

describe('taking back', () => {
  const lent = item({ places: [parcel({ place: 'HAND-TO', placeKind: 'hand', quantity: 1 })] });
  it('sends the grade with signs, then the picture of the edge to the mark that came back', async () => {
    address = 'open=EM10&do=return';
    const posted: { path: string; body: Record<string, unknown> }[] = [];
    globalThis.fetch = jest.fn(async (path: string, init: { body: string }) => {
      posted.push({ path, body: JSON.parse(init.body) as Record<string, unknown> });
      return { ok: true, json: async () => ({ entry: 9 }) };
    }) as unknown as typeof fetch;
    const { calls } = showIn(
      <ItemMoves item={lent} shop={SHOP} grades={openGrades(lent, SHOP)} />,
      async () => ({ ok: true, done: { entry: 8, what: 'E-0007', to: 'S1', marks: ['E-0007'] } }),
    );
    fireEvent.change(screen.getByLabelText(/Was it used/), { target: { value: 'yes' } });
    fireEvent.change(screen.getByLabelText(/If used: good for/), { target: { value: 'aluminium' } });
    fireEvent.click(screen.getByRole('checkbox', { name: 'burr' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'chips packed' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'burr' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'load' }));
    const file = new File([new Uint8Array([1, 2, 3])], 'edge.png', { type: 'image/png' });
    file.arrayBuffer = async () => new Uint8Array([1, 2, 3]).buffer;
    fireEvent.change(screen.getByLabelText('A picture of the edge'), { target: { files: [file] } });
    await act(async () =>
      fireEvent.click(screen.getAllByText('Take back').find((e) => e.tagName === 'BUTTON')!),
    );
    expect(calls).toMatchObject([
      {
        verb: 'returnStock',
        input: {
          item: 'EM10',
          from: 'HAND-TO',
          used: 'yes',
          grade: 'aluminium',
          signs: ['load', 'chips packed'],
        },
      },
    ]);
    await waitFor(() =>
      expect(posted).toMatchObject([
        { path: '/api/v1/pictures', body: { piece: 'E-0007', shows: 'worn edge', content: 'AQID' } },
      ]),
    );
  });
  it('a picture that can’t be kept says so: the cutter is back all the same', async () => {
    address = 'open=EM10&do=return';
    globalThis.fetch = jest.fn(async () => ({
      ok: false,
      json: async () => ({
        status: 422,
        detail: 'This is no picture',
        problems: [],
        way_out: 'Take another.',
      }),
    })) as unknown as typeof fetch;
    showIn(<ItemMoves item={lent} shop={SHOP} grades={[]} />, async () => ({
      ok: true,
      done: { entry: 8, what: '1 × EM10', to: 'S1', marks: [] },
    }));
    const file = new File([], 'x.png');
    file.arrayBuffer = async () => new ArrayBuffer(0);
    fireEvent.change(screen.getByLabelText('A picture of the edge'), { target: { files: [file] } });
    await act(async () =>
      fireEvent.click(screen.getAllByText('Take back').find((e) => e.tagName === 'BUTTON')!),
    );
    expect((await screen.findByRole('alert')).textContent).toContain('This is no picture');
  });
  it('a reground piece goes where its new coating allows', () => {
    const steel = item({
      facts: [
        {
          symbol: 'COATING',
          text: 'TiAlN',
          unit: 'words',
          value: null,
          origin: 'maker',
          itemId: 1,
          who: 'IK',
          happenedAt: new Date(0),
          entryId: 1,
        },
      ],
    });
    const names = (p: ItemLine['pieces'][number] | null) => openGrades(steel, SHOP, p).map(([g]) => g);
    expect(names(null)).not.toContain('aluminium');
    expect(names(piece({}))).not.toContain('aluminium');
    expect(names(piece({ reground: true, recoated: 'DLC' }))).toContain('aluminium');
    expect(names(piece({ reground: true, recoated: null }))).toContain('aluminium');
  });
});

describe('the ladder of second lives', () => {
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  it('is the shop’s own: rungs are renamed, moved, taken away, added; scrap stays the last', async () => {
    const { calls } = showIn(<Ladder ladder={DEFAULT_LADDER} />, async () => ({
      ok: true,
      done: { entry: 1, rungs: [] },
    }));
    press('Set the ladder');
    expect(calls).toEqual([]);
    press('Rung 1 down');
    press('Rung 4 away');
    press('One more rung');
    fireEvent.change(screen.getByLabelText('Rung 4'), { target: { value: 'wood' } });
    const group = screen.getByRole('group', { name: 'Rung 4 is good for' });
    fireEvent.click(group.querySelectorAll('input')[6]!);
    await act(async () => press('Set the ladder'));
    expect(calls[0]!.input.rungs).toEqual([
      DEFAULT_LADDER[1],
      DEFAULT_LADDER[0],
      DEFAULT_LADDER[2],
      { name: 'wood', groups: ['O'] },
      { name: 'scrap', groups: [] },
    ]);
  });
});

it('what is changed on while one’s own ladder comes back stays; somebody else’s ladder replaces it', async () => {
  const first = DEFAULT_LADDER;
  const { rerender } = render(
    <Surrounded>
      <Ladder ladder={first} />
    </Surrounded>,
  );
  const again = (ladder: typeof first) =>
    rerender(
      <Surrounded>
        <Ladder ladder={ladder} />
      </Surrounded>,
    );
  const names = () => screen.getAllByRole('textbox').map((e) => (e as HTMLInputElement).value);
  fireEvent.click(screen.getByRole('button', { name: 'Rung 4 away' }));
  await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Set the ladder' })));
  fireEvent.click(screen.getByRole('button', { name: 'Rung 3 away' }));
  again([...first.slice(0, 3), first.at(-1)!]);
  expect(names()).toEqual(['plastics', 'aluminium']);
  again([{ name: 'brass', groups: ['N'] }, first.at(-1)!]);
  expect(names()).toEqual(['brass']);
});

describe('finding while somebody types', () => {
  const answers = (json: object, ok = true) => {
    const asked: string[] = [];
    globalThis.fetch = jest.fn(async (path: string) => {
      asked.push(path);
      return { ok, json: async () => json };
    }) as unknown as typeof fetch;
    return asked;
  };
  const signal = new AbortController().signal;
  it('items are found by code, with their words', async () => {
    const asked = answers({ lines: [{ code: 'EM10', words: '10 mm' }], next: 'EM10' });
    expect(await items('em 10', signal)).toEqual({
      found: [{ value: 'EM10', title: 'EM10', words: '10 mm' }],
      more: true,
    });
    expect(asked).toEqual(['/api/v1/items?limit=24&q=em+10']);
  });
  it('inserts are found a parcel at a time, each as the input that takes it', async () => {
    answers({
      lines: [
        { item: 'CN', words: 'CNMG', place: 'S1', quantity: 8, lot: null, owner: 'NORD', edgesLeft: 3 },
      ],
      next: null,
    });
    const { found } = await inserts('', signal);
    expect(found[0]).toMatchObject({
      title: 'CN: 8 at S1',
      words: 'CNMG, NORD’s until used, 3 edges left each',
    });
    expect(JSON.parse(found[0]!.value)).toEqual({ item: 'CN', from: 'S1', supplier: 'NORD', edgesLeft: 3 });
  });
  it('where the server can’t answer it is not said that nothing was found', async () => {
    answers({ detail: 'no' }, false);
    await expect(items('x', signal)).rejects.toThrow('items');
    render(<SearchField id="f" search={items} value="" onChange={() => undefined} />);
    const field = await screen.findByRole('combobox');
    act(() => field.focus());
    fireEvent.change(field, { target: { value: 'x' } });
    expect(await screen.findByText(/No answer came/)).toBeTruthy();
    expect(screen.queryByText('Nothing answers to this')).toBeNull();
  });
  it('says when more answer than are shown, and that line can’t be chosen', async () => {
    answers({ lines: [{ code: 'EM10', words: '10 mm' }], next: 'EM10' });
    render(<SearchField id="f" search={items} value="" onChange={() => undefined} />);
    const field = await screen.findByRole('combobox');
    act(() => field.focus());
    fireEvent.change(field, { target: { value: 'em' } });
    const more = await screen.findByRole('option', { name: /More answer to this/ });
    expect(more.getAttribute('aria-disabled')).toBe('true');
  });
});

// 1/2 in stated again as it stands must not become half a millimetre, nor a guess the maker's word.
it.each([
  ['1/2', 'inch', { start: '1/2 in', originStart: 'guess' }],
  ['12.5', 'mm', { start: '12.5 mm', originStart: 'guess' }],
  ['118', 'deg', { start: '118', originStart: 'guess' }],
])('a fact of %s %s begins in its own unit and from where it came', (text, unit, begins) =>
  expect(asItStands({ text, unit, origin: 'guess' } as Parameters<typeof asItStands>[0])).toEqual(begins),
);
