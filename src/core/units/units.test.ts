import fc from 'fast-check';
import {
  drillSize,
  enteredText,
  formatLength,
  parseDiameter,
  parseLength,
  parseNumber,
  thousandsOf,
  round,
  showEntered,
} from './index';

describe('parseNumber', () => {
  it.each([
    ['12.5', 12.5],
    [' 12,5 ', 12.5],
    ['-0.02', -0.02],
    ['−3', -3],
    ['.25', 0.25],
    ['7.', 7],
  ])('reads %j', (text, want) => expect(parseNumber(text)).toBe(want));
  it.each(['', '  ', '1e3', '0x10', 'Infinity', 'NaN', '1,000.5', '1 000', 'abc', '-', '.', '1.2.3'])(
    'refuses %j: no value is not 0',
    (text) => expect(parseNumber(text)).toBeNull(),
  );
});

describe('parseLength', () => {
  it('converts with exactly 25.4 (ISO 80000-3)', () => {
    expect(parseLength('1 in')?.mm).toBe(25.4);
    expect(parseLength('0.201', 'inch')).toEqual({ mm: 0.201 * 25.4, text: '0.201', unit: 'inch' });
  });
  it('reads inch fractions, whatever the display unit', () => {
    // 1/4 in = 6.35 mm, 1 1/4 in = 31.75 mm: hand arithmetic
    expect(parseLength('1/4', 'mm')).toEqual({ mm: 6.35, text: '1/4', unit: 'inch' });
    expect(parseLength('1 1/4"')?.mm).toBe(31.75);
  });
  it.each(['', 'abc', '1/0', '1/4 mm', '12 cm', '10 mm mm', '--4'])('refuses %j', (text) =>
    expect(parseLength(text)).toBeNull(),
  );
  it('keeps the text: what was typed in a unit comes back in that unit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999_999 }),
        fc.constantFrom<'mm' | 'inch'>('mm', 'inch'),
        (n, unit) => {
          const text = (n / 10_000).toFixed(4);
          const length = parseLength(text, unit)!;
          expect(showEntered(enteredText(length), length.mm, unit)).toBe(text);
        },
      ),
    );
  });
});

describe('formatLength', () => {
  it('shows unknown as a blank, never as zero', () => {
    expect(formatLength(null, 'mm')).toBe('—');
    expect(formatLength(Number.NaN, 'mm')).toBe('—');
  });
  it('gives inches one more decimal and no minus to zero', () => {
    expect(formatLength(6.35, 'inch')).toBe('0.2500');
    expect(formatLength(-0.0001, 'mm')).toBe('0.000');
    expect(formatLength(-347.684, 'mm')).toBe('−347.684');
  });
});

it('round goes half away from zero and never to -0', () => {
  expect(round(1.005, 2)).toBe(1.01);
  expect(round(-2.5, 0)).toBe(-3);
  expect(Object.is(round(-0.001, 2), 0)).toBe(true);
});

describe('drills by number and letter (ASME B94.11M, from memory)', () => {
  it.each([
    ['#7', 0.201],
    ['No. 25', 0.1495],
    ['#1', 0.228],
    ['#80', 0.0135],
    ['F', 0.257],
    ['a', 0.234],
    ['Z', 0.413],
  ])('%s is %d in', (text, inch) => expect(drillSize(text)).toBe(inch));
  it.each(['7', '#0', '#81', '#', 'AB', ''])('%j names none', (text) => expect(drillSize(text)).toBeNull());
  it('numbers grow smaller, letters larger, without a gap in either', () => {
    const numbers = Array.from({ length: 80 }, (_, i) => drillSize(`#${i + 1}`)!);
    expect(numbers.every((d, i) => i === 0 || d < numbers[i - 1]!)).toBe(true);
    const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((l) => drillSize(l)!);
    expect(letters.every((d, i) => i === 0 || d > letters[i - 1]!)).toBe(true);
    expect(letters[0]).toBeGreaterThan(numbers[0]!);
  });
  it('keeps its name: what was typed is what inches show', () => {
    expect(parseLength('#7')).toEqual({ mm: expect.closeTo(5.1054, 9), text: '#7', unit: 'inch' });
    expect(parseDiameter('F')).toEqual({ mm: expect.closeTo(6.5278, 9), text: 'F', unit: 'inch' });
    expect(showEntered('#7 in', 5.1054, 'inch')).toBe('#7');
    expect(showEntered('F in', 6.5278, 'inch')).toBe('F');
    expect(showEntered('F in', 6.5278, 'mm', 2)).toBe('6.53');
  });
  it('a bare letter is no length elsewhere, and no drill is metric', () => {
    expect(parseLength('F')).toBeNull();
    expect(parseLength('#7 mm')).toBeNull();
  });
});

describe('a comma that may part thousands (common practice of either side)', () => {
  it.each([
    ['10,000', 10, 10_000],
    ['1,250', 1.25, 1250],
    ['-10,000', -10, -10_000],
    [' 94,112 ', 94.112, 94_112],
  ])('%s is %d to some and %d to others', (text, decimal, thousands) => {
    expect(parseNumber(text)).toBe(decimal);
    expect(thousandsOf(text)).toBe(thousands);
  });
  it.each(['0,125', '12,5', '10,00', '10,0000', '1000,000', '10.000', '10000', ''])(
    '%j has one reading',
    (text) => expect(thousandsOf(text)).toBeNull(),
  );
});
