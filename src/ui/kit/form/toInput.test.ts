import { inFormWords } from './inFormWords';
import { type FieldSpec, problemOf, toInput, withUnit } from './toInput';

const fields: FieldSpec[] = [
  { name: 'legend', label: 'x', kind: 'legend' },
  { name: 'code', label: 'Code' },
  { name: 'facts.DC.value', label: 'DC', kind: 'length', origin: 'facts.DC.origin' },
  { name: 'facts.NOF.value', label: 'NOF', kind: 'number', origin: 'facts.NOF.origin' },
];

describe('toInput', () => {
  it('leaves blanks out, with their origin: no value is not 0', () =>
    expect(
      toInput(fields, { code: ' EM8 ', 'facts.DC.value': ' ', 'facts.DC.origin': 'guess' }, 'mm'),
    ).toEqual({ code: 'EM8' }));
  it('makes an amount whole cents, by point or comma; what is none goes as it was typed, to be refused', () => {
    const price: FieldSpec[] = [{ name: 'supply.priceCents', label: 'Price each', kind: 'money' }];
    const sent = (text: string) => toInput(price, { 'supply.priceCents': text }, 'mm').supply;
    expect(sent('24,90')).toEqual({ priceCents: 2490 });
    expect(sent('0.1')).toEqual({ priceCents: 10 });
    expect(sent('12')).toEqual({ priceCents: 1200 });
    expect(sent('12.345')).toEqual({ priceCents: '12.345' });
    expect(sent('dear')).toEqual({ priceCents: 'dear' });
  });
  it('nests by dots and sends lengths in the unit that is shown', () => {
    const texts = { 'facts.DC.value': '0.5', 'facts.DC.origin': 'measured', 'facts.NOF.value': '4' };
    expect(toInput(fields, texts, 'inch')).toEqual({
      facts: { DC: { value: '0.5 in', origin: 'measured' }, NOF: { value: '4', origin: 'maker' } },
    });
    expect(toInput(fields, texts, 'mm')).toMatchObject({ facts: { DC: { value: '0.5' } } });
  });
  it('a unit that was typed stands', () =>
    expect(toInput(fields, { 'facts.DC.value': '12 mm' }, 'inch')).toMatchObject({
      facts: { DC: { value: '12 mm' } },
    }));
});

it('a problem stands at its field, or at the fields below the part it names', () => {
  const parts = [
    { field: 'supply', detail: 'supply.orderCode is needed' },
    { field: 'k', detail: 'k is too small' },
  ];
  expect(problemOf('k', parts)).toBe('k is too small');
  expect(problemOf('supply.pack', parts)).toMatch(/orderCode/);
  expect(problemOf('name', parts)).toBeUndefined();
});

describe('a problem in the words of the form', () => {
  const problem = (detail: string, field: string | null) => ({
    type: '',
    title: '',
    status: 422,
    code: 'INVALID_INPUT' as const,
    detail,
    way_out: null,
    problems: [{ field, value: null, limit: null, detail }],
  });
  const fields = [
    { name: 'rpmMax', label: 'Highest rev/min' },
    { name: 'facts.DC.value', label: 'DC' },
  ];
  it('begins with the label, not with the name that the API has', () => {
    const said = inFormWords(problem('rpmMax: “ten” is not a number', 'rpmMax'), fields);
    expect(said.detail).toBe('Highest rev/min: “ten” is not a number');
    expect(said.problems[0]!.detail).toBe(said.detail);
  });
  it('of a part of a field too; other words stay as they are', () => {
    expect(inFormWords(problem('facts.DC: is needed', 'facts.DC'), fields).detail).toBe('DC: is needed');
    expect(inFormWords(problem('No such tag', 'tag'), fields).detail).toBe('No such tag');
    expect(inFormWords(problem('Nothing was written', null), fields).detail).toBe('Nothing was written');
  });
});

it('a bare length says the unit it was typed in', () => {
  expect(withUnit('20', 'mm')).toBe('20 mm');
  expect(withUnit('1/4', 'inch')).toBe('1/4 in');
  expect([withUnit('', 'mm'), withUnit('3 mm', 'inch'), withUnit('0.5 in', 'mm')]).toEqual([
    null,
    null,
    null,
  ]);
});
