import { loadedWords } from './loadedWords';

const done = { tag: 'A-0051', pocket: 3, t: 3, out: null, stop: null };
it('says what comes next, and of what must not run nothing that sends it on', () => {
  expect(loadedWords(done)).toBe('A-0051 in pocket 3 as T3: give it its numbers');
  expect(loadedWords({ ...done, out: 'A-0007' })).toBe(
    'A-0051 in pocket 3 as T3; A-0007 is out: give it its numbers',
  );
  expect(loadedWords({ ...done, stop: 'Worn: flank wear 0.16 of 0.16 mm' })).toBe(
    'A-0051 in pocket 3 as T3. It must not run as it stands: Worn: flank wear 0.16 of 0.16 mm',
  );
});
