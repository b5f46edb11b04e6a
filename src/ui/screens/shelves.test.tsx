/** @jest-environment jsdom */
import type { FactSymbol } from '@/core/cutters';
import { first, sure } from '@/core/sure';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { factsOf, geometry } from '@/core/cutters';
import type { ItemLine } from '@/crib/catalogue';
import type { CountedLine, CountView } from '@/crib/places';
import { FloorFigures } from '@/ui/screens/catalogue/FloorFigures';
import { HoleFigures } from '@/ui/screens/catalogue/HoleFigures';
import { openGrades } from '@/ui/screens/catalogue/ItemTag';
import { outlineInput } from '@/ui/screens/catalogue/OutlineFields';
import { AddItemTag, factFields } from '@/ui/screens/catalogue/addItems';
import { questionOf } from '@/ui/screens/common/question';
import { CountSheet } from '@/ui/screens/places/CountSheet';
import { answer, SHOP, showIn } from '@/ui/testing';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn(), replace: jest.fn() }),
  usePathname: () => '/places',
  useSearchParams: () => new URLSearchParams('show=counts&sheet=C-0001'),
}));

const line = (over: Partial<CountedLine> = {}): CountedLine => ({
  ...first(answer('count').lines),
  place: 'S1',
  item: 'EM10',
  expected: 3,
  counted: null,
  explanations: [],
  ...over,
});
const sheet = (lines: CountedLine[], booked = false): CountView => ({
  sheet: {
    ...sure(answer('count').sheet, 'the sheet'),
    ...(booked
      ? {
          bookedEntryId: 9,
          bookedBy: 'TO',
          bookedAt: new Date('2027-01-05T10:00:00Z'),
          explained: 'one behind the drawer',
        }
      : {}),
  },
  lines,
});
describe('a count sheet', () => {
  it('does not say what the books say before it is counted, unless asked', () => {
    showIn(<CountSheet view={sheet([line()])} />);
    const row = screen.getByRole('row', { name: /EM10/ });
    expect(within(row).queryByText('3')).toBeNull();
    fireEvent.click(screen.getByRole('checkbox', { name: /what the books say/ }));
    expect(within(row).getByText('3')).toBeTruthy();
  });
  it('enters what was typed, each line as what it is, and leaves the rest', async () => {
    const { calls } = showIn(
      <CountSheet
        view={sheet([
          line(),
          line({ item: 'INS', edgesLeft: 2 }),
          line({ item: 'DR', owner: 'NORD', lot: 'B7' }),
        ])}
      />,
    );
    expect(screen.getByRole('button', { name: /counted$/ })).toHaveProperty('disabled', true);
    fireEvent.change(screen.getByLabelText('Counted of INS at S1'), { target: { value: '4' } });
    fireEvent.change(screen.getByLabelText('Counted of DR at S1'), { target: { value: '0' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Enter 2 counted' })));
    expect(calls).toMatchObject([
      {
        verb: 'enterCount',
        input: {
          sheet: 'C-0001',
          lines: [
            { place: 'S1', item: 'INS', counted: '4', edgesLeft: 2 },
            { place: 'S1', item: 'DR', counted: '0', lot: 'B7', supplier: 'NORD' },
          ],
        },
      },
    ]);
    // What was entered is off the sheet's fields: it can't be sent a second time.
    expect(screen.getByLabelText('Counted of DR at S1')).toHaveProperty('value', '');
    expect(screen.getByRole('button', { name: 'Enter counted' })).toHaveProperty('disabled', true);
  });
  it('explains a difference before it can be booked, and asks what was the matter', () => {
    showIn(
      <CountSheet
        view={sheet([line({ counted: 2, explanations: ['TO has 1: taken more than was booked?'] })])}
      />,
    );
    expect(screen.getByText('1 missing.')).toBeTruthy();
    expect(screen.getByText(/TO has 1/)).toBeTruthy();
    expect(screen.getByLabelText('What was the matter')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Book the differences' })).toBeTruthy();
  });
  it('a difference that nothing explains says so; one that agrees needs no words', () => {
    showIn(<CountSheet view={sheet([line({ counted: 5 }), line({ item: 'OK', counted: 3 })])} />);
    expect(screen.getByText('Nothing in the books explains it.')).toBeTruthy();
    expect(screen.queryAllByText(/missing\.|over\./)).toHaveLength(1);
  });
  it('a count of a whole crib draws the lines that are looked at, and says how many there are', () => {
    // Heights of a window and of a row, which jsdom has not.
    const heights = [
      jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600),
      jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(62),
    ];
    const lines = Array.from({ length: 20_000 }, (_, i) => line({ item: `I${i}` }));
    showIn(<CountSheet view={sheet(lines)} />);
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('20001');
    expect(screen.getByLabelText('Counted of I0 at S1')).toBeTruthy();
    expect(screen.getAllByRole('row').length).toBeLessThan(60);
    expect(screen.queryByLabelText('Counted of I19999 at S1')).toBeNull();
    for (const height of heights) height.mockRestore();
  });
  it('takes what the books know nothing of there', async () => {
    globalThis.fetch = jest.fn(async () => ({
      ok: true,
      json: async () => ({ lines: [{ code: 'D5', words: '5 mm drill' }], next: null }),
    })) as unknown as typeof fetch;
    const { calls } = showIn(<CountSheet view={sheet([line()])} />);
    fireEvent.click(screen.getByRole('button', { name: 'Something else lies there' }));
    const field = await screen.findByRole('combobox', { name: 'What lies there' });
    act(() => field.focus());
    fireEvent.change(field, { target: { value: 'd5' } });
    fireEvent.click(await screen.findByRole('option', { name: /D5/ }));
    fireEvent.change(screen.getByLabelText('How many'), { target: { value: '2' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Enter it' })));
    expect(calls).toMatchObject([
      {
        verb: 'enterCount',
        input: { sheet: 'C-0001', lines: [{ item: 'D5', place: 'CAB1-A', counted: '2' }] },
      },
    ]);
  });
  it('booked, it shows who did it and takes nothing more', () => {
    showIn(<CountSheet view={sheet([line({ counted: 2 })], true)} />);
    expect(screen.getByText(/Booked by TO/)).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button', { name: /Book|Enter/ })).toBeNull();
  });
});

describe('adding an item', () => {
  it('asks a family for its own facts and says its reference points', () => {
    showIn(<AddItemTag kind="cutter" shop={SHOP} />);
    expect(screen.queryByLabelText(/cutting diameter/)).toBeNull();
    fireEvent.change(screen.getByLabelText('Family'), { target: { value: 'dovetail' } });
    expect(screen.getByLabelText('KAPR cutting edge angle, degrees (if known)')).toBeTruthy();
    expect(screen.queryByLabelText(/point angle/)).toBeNull();
    expect(screen.getByText(/Length is measured to: lower face/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Family'), { target: { value: 'drill' } });
    expect(screen.getByLabelText('SIG point angle, degrees (if known)')).toBeTruthy();
  });
  it('a tap is named by its thread; what is rarer waits behind one click', () => {
    showIn(<AddItemTag kind="cutter" shop={SHOP} />);
    fireEvent.change(screen.getByLabelText('Family'), { target: { value: 'tap' } });
    expect(screen.getByLabelText('TDZ thread')).toBeTruthy();
    expect(screen.getByLabelText('DC cutting diameter, mm (if known)')).toBeTruthy();
    expect(screen.queryByLabelText(/THCHT/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /more facts/ }));
    expect(screen.getByLabelText('THCHT chamfer form (if known)')).toBeTruthy();
  });
  it('sends kind, family and facts with their origin', async () => {
    const { calls } = showIn(<AddItemTag kind="collet" shop={SHOP} />, async () => ({
      ok: true,
      done: { entry: 1, code: 'C', questions: [] },
    }));
    fireEvent.change(screen.getByLabelText('Code here'), { target: { value: 'C32-10' } });
    fireEvent.change(screen.getByLabelText(/CLAMP_MAX/, { selector: 'input' }), { target: { value: '10' } });
    fireEvent.change(screen.getByLabelText(/Origin of CLAMP_MAX/), { target: { value: 'measured' } });
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Add collet' })));
    expect(calls[0]!.input).toMatchObject({
      kind: 'collet',
      code: 'C32-10',
      facts: { CLAMP_MAX: { value: '10', origin: 'measured' } },
    });
  });
  it('each kind of fact gets its kind of field', () => {
    const of = (symbol: Parameters<typeof factFields>[0][number]) => factFields([symbol])[0]!;
    expect([of('DC').kind, of('SIG').kind, of('NOF').kind, of('TDZ').kind, of('CCC').kind]).toEqual([
      'length',
      'number',
      'number',
      'text',
      'choice',
    ]);
    expect(of('CCC').options).toEqual([
      ['yes', 'yes'],
      ['no', 'no'],
    ]);
    expect(factFields(factsOf('holder', null)).every((f) => f.origin)).toBe(true);
  });
  it('outlines carry the unit they were typed in', () => {
    const blank = { length: '', upper: '', lower: '' };
    expect(outlineInput({ code: 'H' }, [blank], 'mm')).toEqual({ code: 'H' });
    expect(outlineInput({}, [{ length: '1', upper: '2', lower: '1.5 mm' }, blank], 'inch')).toEqual({
      segments: [{ length: '1 in', upper: '2 in', lower: '1.5 mm' }],
    });
  });
});

/** An item of the small crib with some of its facts stated otherwise. */
const item = (
  code: 'EM12' | 'R20' | 'TAP6',
  facts: readonly [symbol: FactSymbol, text: string, value: number | null][] = [],
): ItemLine => {
  const real = sure(answer(`item ${code}`).item, code);
  const fact = first(real.facts);
  const stated = facts.map(([symbol, text, value]) => ({
    ...fact,
    symbol,
    text,
    value,
    unit: value === null ? ('words' as const) : ('mm' as const),
  }));
  return {
    ...real,
    facts: [...real.facts.filter((f) => !facts.some(([symbol]) => symbol === f.symbol)), ...stated],
  };
};

describe('figures of holes', () => {
  it('a reamer: limits of ISO 522 and DIN 1420 for 20 H7, where it stands, what it still makes', () => {
    showIn(<HoleFigures item={item('R20', [['DCM', '20.012', 20.012]])} />);
    expect(screen.getByText('20.009 to 20.017')).toBeTruthy();
    expect(screen.getByText('new')).toBeTruthy();
    expect(screen.getByText(/H7, H8/)).toBeTruthy();
  });
  it('a reamer without a class gives no limits', () => {
    const real = item('R20');
    showIn(<HoleFigures item={{ ...real, facts: real.facts.filter((f) => f.symbol !== 'TCHA') }} />);
    expect(screen.getByText(/no limits can be given/)).toBeTruthy();
  });
  it('a forming tap says its own hole and warns of the cutting tap’s drill; a cutting tap of ISO 2306', () => {
    showIn(<HoleFigures item={item('TAP6', [['TAPPING', 'forming', null]])} />);
    expect(screen.getByText('5.56')).toBeTruthy();
    expect(screen.getByText(/too small for it and breaks it/)).toBeTruthy();
  });
  it('a cutting tap: 5.00 before M6; another drill is tried in percent', () => {
    showIn(<HoleFigures item={item('TAP6')} />);
    expect(screen.getByText('5.00')).toBeTruthy();
    expect(screen.getByText(/taken as cutting/)).toBeTruthy();
    // 100 (6 − 5.1) / 1.299 = 69 % (charts, 3/4 H).
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '5.1' } });
    expect(screen.getByText('69 %')).toBeTruthy();
  });
  it('a mill’s reach counts its neck; a ramp limit that nobody stated is not guessed', () => {
    showIn(
      <FloorFigures
        cutter={geometry('square', { DC: 6, LCF: 9, DN: 5.8, LU: 30, RE: 0 })}
        centreCutting={false}
      />,
    );
    expect(screen.getByText('30.00')).toBeTruthy();
    expect(screen.getByText('no limit known')).toBeTruthy();
    expect(screen.getByText(/drill a start hole/)).toBeTruthy();
  });
  it('only rungs that the coating allows are offered', () => {
    const steel = item('EM12');
    expect(openGrades(steel, SHOP).map(([g]) => g)).toEqual([
      'slotting steel',
      'squaring with the upper flute',
      'scrap',
    ]);
  });
});

it('the question of an address leaves out what is open and how it looks', () => {
  const search = new URLSearchParams('open=EM8&q=DC+6..8&cols=code&sort=-dc&do=facts&kind=cutter');
  expect(questionOf(Object.fromEntries(search))).toBe('q=DC+6..8&kind=cutter&sort=-dc');
});
