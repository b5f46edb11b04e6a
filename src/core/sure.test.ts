import { isOne, namesOf } from './names';
import { first, held, last, sure } from './sure';

it('says what is not there, at once; nothing and zero are there', () => {
  expect(sure(0, 'a figure')).toBe(0);
  expect(sure('', 'a text')).toBe('');
  expect(() => sure(null, 'when it was taken down')).toThrow(/when it was taken down/);
  expect(() => sure(undefined, 'DC')).toThrow(/Not there.*DC/);
});

it('takes the ends of a list, and what a map holds', () => {
  expect([first([1, 2, 3]), last([1, 2, 3])]).toEqual([1, 3]);
  expect(() => last([])).toThrow(/the last of a list/);
  expect(held(new Map([['A-0001', 7]]), 'A-0001')).toBe(7);
  expect(() => held(new Map(), 'A-0009')).toThrow(/A-0009/);
});

it('knows a name from another text, and none of those every object has', () => {
  expect(namesOf({ t: 1, length: 2 })).toEqual(['t', 'length']);
  expect(isOne(['mm', 'inch'], 'inch')).toBe(true);
  expect(isOne(['mm', 'inch'], 'toString')).toBe(false);
  expect(isOne(['mm'], null)).toBe(false);
});
