import fc from 'fast-check';
import { DIAMETER_SCHOOLS } from '../measuring';
import { namesOf } from '../names';
import { readProgram } from '../programs';
import { formatLength } from '../units';
import {
  G10_FORMS,
  isWear,
  readOffsets,
  registersAsG10,
  workOffsetAsG10,
  type Sheet,
  sinceGiven,
  type ToolOffsets,
  whyOther,
} from './index';

describe('what changed since the machine was last given its numbers', () => {
  const now = { tag: 'A-0012', h: '−347.684', d: '4.994' };
  it.each([
    [now, null, 'new'],
    [now, now, 'same'],
    [now, { ...now, h: '−347.652' }, 'changed'],
    [now, { ...now, d: '4.990' }, 'changed'],
    // The same figures of another tool: somebody has to look at which one is in the pocket.
    [now, { ...now, tag: 'A-0011' }, 'changed'],
    // A diameter that is not measured leaves what is there.
    [{ ...now, d: null }, now, 'same'],
    // In question: the control has a figure that nobody vouches for.
    [{ ...now, h: null }, now, 'cannot say'],
    [{ ...now, h: null }, null, 'cannot say'],
    [null, now, 'gone'],
  ])('%j after %j: %s', (a, b, state) => expect(sinceGiven(a, b)?.state).toBe(state));
  it('says nothing of nothing', () => expect(sinceGiven(null, null)).toBeNull());
  it('names what the control still has', () =>
    expect(sinceGiven({ ...now, h: null }, now)?.words).toBe('the control still has −347.684 of A-0012'));
});

// The slips are common practice: digits swapped, sign, point, unit, the line below.
it.each([
  ['-347.684', null],
  ['−347.684', null],
  ['-347.6842', null],
  ['-347.648', 'two digits are swapped'],
  ['347.684', 'the sign is the other one'],
  ['-34.7684', 'the point is elsewhere'],
  ['-347684', 'the point is elsewhere'],
  ['-13.6884', 'it is in the other unit'],
  ['-343.912', 'that is H8'],
  ['-347.6848', 'it is another figure'],
  ['-347.69', 'it is another figure'],
  ['', 'it is no number'],
])('%s read back for -347.684: %s', (read, why) =>
  expect(whyOther(read, '−347.684', 'mm', [{ name: 'H8', text: '−343.912' }])).toBe(why),
);

const tool = (t: number, over: Partial<ToolOffsets>): ToolOffsets => ({
  ...{ t, numbers: { h: t, d: t }, words: '' },
  ...{ h: null, d: null, hWear: null, dWear: null },
  ...over,
});
const sheet = (over: Partial<Sheet> = {}): Sheet => ({
  machine: 'MILL-2',
  unit: 'mm',
  diameterSchool: 'radius',
  form: 'table',
  made: '2027-01-12',
  lines: [tool(7, { h: '−347.684', d: '4.994', words: 'A-0012 10 mm (square) end mill, Ø' })],
  ...over,
});

describe('registers as a program that writes them', () => {
  it('says G90, its unit and a point in every figure; nothing in brackets ends them early', () => {
    const text = registersAsG10(sheet());
    expect(text).toContain('G21 G90');
    expect(text).toContain('G10 L1 P7 Z-347.684 R4.994');
    expect(text).toContain('(T7 A-0012 10 MM  SQUARE  END MILL, )');
    expect(registersAsG10(sheet({ unit: 'inch' }))).toContain('G20 G90');
    for (const word of text.match(/\b[ZR]-?[\d.]+/g) ?? []) expect(word).toContain('.');
  });
  it('sets wear to nothing beside geometry, and puts a difference into wear', () => {
    const form = 'geometry and wear';
    expect(registersAsG10(sheet({ form }))).toContain(
      'G10 L10 P7 R-347.684\nG10 L11 P7 R0.\nG10 L12 P7 R4.994\nG10 L13 P7 R0.',
    );
    const wear = sheet({
      form,
      diameterSchool: 'wear-radius',
      lines: [tool(7, { d: '−0.006' })],
    });
    expect(registersAsG10(wear)).toContain('G10 L12 P7 R0.\nG10 L13 P7 R-0.006');
    expect(registersAsG10(wear)).not.toContain('L10');
  });
  it('writes no blank: a register that is not known is not set to 0', () => {
    expect(registersAsG10(sheet({ lines: [tool(3, {})] }))).not.toContain('G10');
    expect(registersAsG10(sheet({ lines: [tool(3, { h: '1' })] }))).toContain('G10 L1 P3 Z1.\n');
  });
  it('is understood by our own reader of programs, as one that writes offsets', () => {
    for (const form of G10_FORMS) {
      const report = readProgram(registersAsG10(sheet({ form })));
      expect(report.not_understood).toEqual([]);
      expect(report.warnings.map((w) => w.code)).toContain('OFFSET_WRITTEN');
    }
  });
  it('reads back as it was written: all forms, schools and units', () => {
    const schools = namesOf(DIAMETER_SCHOOLS);
    fc.assert(
      fc.property(
        fc.constantFrom(...G10_FORMS),
        fc.constantFrom(...schools),
        fc.constantFrom('mm' as const, 'inch' as const),
        fc.uniqueArray(
          fc.record({
            t: fc.integer({ min: 1, max: 9999 }),
            h: fc.option(fc.integer({ min: -900_000, max: 900_000 }), { nil: null }),
            d: fc.option(fc.integer({ min: -30_000, max: 99_000 }), { nil: null }),
            hWear: fc.option(fc.integer({ min: -900, max: 900 }), { nil: null }),
            dWear: fc.option(fc.integer({ min: -900, max: 900 }), { nil: null }),
            // Its D in a row of its own, or beside its H.
            apart: fc.boolean(),
          }),
          { selector: (x) => x.t, maxLength: 20 },
        ),
        (form, diameterSchool, unit, rows) => {
          const text = (n: number | null) =>
            n === null ? null : formatLength((n / 1000) * (unit === 'inch' ? 25.4 / 10 : 1), unit);
          const lines = rows.map((r) =>
            tool(r.t, {
              numbers: { h: r.t, d: r.apart ? r.t + 10_000 : r.t },
              ...{ h: text(r.h), d: text(r.d), hWear: text(r.hWear), dWear: text(r.dWear) },
            }),
          );
          const back = readOffsets(
            registersAsG10(sheet({ form, diameterSchool, unit, lines })),
            diameterSchool,
            unit,
          );
          const written = lines.filter((l) => l.h !== null || l.d !== null);
          const at = (number: number) => back.find((x) => x.number === number);
          const numbers = written.flatMap((l) => [
            ...(l.h === null ? [] : [l.numbers.h]),
            ...(l.d === null ? [] : [l.numbers.d]),
          ]);
          expect(new Set(back.map((b) => b.number))).toEqual(new Set(numbers));
          const same = (read: string | null | undefined, due: string | null) =>
            due === null
              ? expect(read ?? null).toBeNull()
              : expect(whyOther(read ?? '', due, unit)).toBeNull();
          const wears = form === 'geometry and wear';
          for (const l of written) {
            same(at(l.numbers.h)?.h, l.h);
            same(at(l.numbers.d)?.d, l.d);
            // What corrections put into wear is not set to nothing by giving the lengths.
            if (wears && l.h !== null) same(at(l.numbers.h)?.hWear, l.hWear ?? '0');
            if (wears && l.d !== null && !isWear(diameterSchool))
              same(at(l.numbers.d)?.dWear, l.dWear ?? '0');
          }
        },
      ),
      { numRuns: 400, seed: 12 },
    );
  });
  it('a work offset is written with its unit and G90, is read by our own reader, and a blank axis is left out', () => {
    const text = workOffsetAsG10('G55', { X: '−27.6', Y: '-10', Z: null }, 'mm', 'VISE 1 (LEFT)');
    expect(text).toBe('%\n(G55 VISE 1  LEFT )\nG21\nG90\nG10 L2 P2 X-27.6 Y-10.\nM30\n%\n');
    const report = readProgram(text);
    expect(report.not_understood).toEqual([]);
    expect(report.warnings.map((w) => w.code)).toEqual(['OFFSET_WRITTEN']);
  });
  it('reads a table of T, H and D, and takes nothing else for one', () => {
    const text = 'T;H;D\n7;-347.684;4.994\nT8,"-343.912",\nnote, no numbers\n12345,1,1';
    expect(readOffsets(text, 'radius', 'mm')).toEqual([
      { number: 7, h: '-347.684', d: '4.994', hWear: null, dWear: null },
      { number: 8, h: '-343.912', d: null, hWear: null, dWear: null },
    ]);
    expect(readOffsets('', 'radius', 'mm')).toEqual([]);
  });
});
