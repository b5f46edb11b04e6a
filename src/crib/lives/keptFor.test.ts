import { keptFor } from './keptFor';

const asked: unknown[][] = [];
const together = keptFor((of: readonly number[], by: number, say?: { words: string }) => {
  asked.push([of, by, say]);
  return of.map((n) => `${n * by}${say?.words ?? ''}`);
});

it('asks once of the same thing with the same beside it, and gives the very answer', () => {
  const [one, alike] = [
    [1, 2],
    [1, 2],
  ] as const;
  expect(together(one, 2)).toEqual(['2', '4']);
  expect(together(one, 2)).toBe(together(one, 2));
  expect(asked).toHaveLength(1);
  // Told apart by what is said beside it, as data, and by the thing itself.
  expect(together(one, 2, { words: ' min' })).toBe(together(one, 2, { words: ' min' }));
  expect(together(one, 3)).toEqual(['3', '6']);
  expect(together(alike, 2)).not.toBe(together(one, 2));
  expect(asked).toHaveLength(4);
});
it('keeps an answer of null too, and no more than some at a time', () => {
  let times = 0;
  const none = keptFor((_: object, n: number) => {
    times += 1;
    return n < 0 ? 'never' : null;
  });
  const of = {};
  for (let n = 0; n < 100; n += 1) expect([none(of, n), none(of, n)]).toEqual([null, null]);
  expect(times).toBe(100);
  none(of, 99);
  expect(times).toBe(100);
  none(of, 0);
  expect(times).toBe(101);
});
