import {
  lengthReason,
  lengthRegister,
  LENGTH_SCHOOLS,
  type MachineLengths,
  registerText,
} from '@/core/measuring';
import { namesOf } from '@/core/names';

const known: Omit<MachineLengths, 'school'> = { K: 490, K0: 350.25, Lm: 120.5 };
/** A reason's own formula, reckoned with the values that stand beside it. */
function reckoned(formula: string, values: readonly { name: string; value: string }[]): number {
  const value = (name: string) => parseFloat(values.find((v) => v.name === name)?.value ?? 'NaN');
  const terms = formula.replace('H = ', '').split(' ');
  return terms.reduce((sum, term, i) => {
    if (term === '+' || term === '−') return sum;
    return terms[i - 1] === '−' ? sum - value(term) : sum + value(term);
  }, 0);
}

it.each(namesOf(LENGTH_SCHOOLS))(
  '%s: the formula beside the register, with the values beside it, gives the register',
  (school) => {
    const m = { ...known, school };
    const { formula, values } = lengthReason('M1', m, 142.316, 60, { L: 'measured by IK' });
    expect(lengthRegister(m, 142.316, 60)).toEqual({
      value: expect.closeTo(reckoned(formula ?? '', values), 9),
    });
    expect(values).toContainEqual({ name: 'L', value: '142.316 mm', source: 'measured by IK' });
  },
);

it('what is not known stands in no reason', () => {
  const { values } = lengthReason('M1', { school: 'gauge', K: 490, K0: null, Lm: null }, 100, null, {});
  expect(values.map((v) => v.name)).toEqual(['L', 'K']);
});

it('a register is one text everywhere: 3 decimals of a mm, 4 of an inch, and none where something is needed', () => {
  expect(registerText({ value: -347.684 }, 'mm')).toBe('−347.684');
  // ASME B5.50 controls are set in tenths of a thousandth of an inch (common practice).
  expect(registerText({ value: -347.684 }, 'inch')).toBe('−13.6883');
  expect(registerText({ needs: 'part zero' }, 'mm')).toBeNull();
});
