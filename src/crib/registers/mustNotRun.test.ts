import type { Grade } from '@/core/because';
import { mustNotRun } from './mustNotRun';

const tie = (operation: number, t: number, grade: Grade, why: string | null) => ({
  ...{ operation, t },
  use: { grade, why },
});
const itself = { grade: 'stop', why: 'Held back' } as const;
const [one, two] = [
  { id: 1, job: 'J-1' },
  { id: 2, job: 'J-2' },
];

// Common practice: whoever sets a machine is told of what is on it by the job that asks.
it.each([
  ['worn for both', [tie(1, 3, 'stop', 'Worn'), tie(2, 3, 'stop', 'Worn')], [one, two], 'Worn'],
  [
    'each for its own',
    [tie(1, 3, 'stop', 'Worn'), tie(2, 3, 'stop', 'Not planned')],
    [one, two],
    'J-1: Worn; J-2: Not planned',
  ],
  ['one of two', [tie(1, 3, 'stop', 'Worn'), tie(2, 3, 'good', null)], [one, two], 'J-1: Worn'],
  ['another T of it', [tie(1, 8, 'stop', 'Worn'), tie(1, 3, 'good', null)], [one], null],
  ['a question', [tie(1, 3, 'question', 'Past its life')], [one], null],
  ['another job', [tie(2, 3, 'stop', 'Worn'), tie(1, 3, 'good', null)], [one], null],
  ['called by none', [], [], 'Held back'],
] as const)('%s', (_, ties, operations, says) =>
  expect(mustNotRun({ ties, itself }, 3, operations)).toBe(says),
);
it('called by none, with nothing against it', () =>
  expect(mustNotRun({ ties: [], itself: { grade: 'not judged', why: null } }, 3, [])).toBeNull());
