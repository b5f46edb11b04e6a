import type { Grade } from '@/core/because';
import { callsUnder, mustNotRun } from './mustNotRun';

const call = (job: string, grade: Grade, why: string | null) => ({ job, use: { grade, why } });
const itself = { grade: 'stop', why: 'Held back' } as const;

// Common practice: whoever sets a machine is told of what is on it by the job that asks.
it.each([
  ['worn for both', [call('J-1', 'stop', 'Worn'), call('J-2', 'stop', 'Worn')], 'Worn'],
  [
    'each for its own',
    [call('J-1', 'stop', 'Worn'), call('J-2', 'stop', 'Not planned')],
    'J-1: Worn; J-2: Not planned',
  ],
  ['one of two', [call('J-1', 'stop', 'Worn'), call('J-2', 'good', null)], 'J-1: Worn'],
  ['good there, whatever it is by itself', [call('J-1', 'good', null)], null],
  ['a question', [call('J-1', 'question', 'Past its life')], null],
  ['called by none', [], 'Held back'],
] as const)('%s', (_, calls, says) => expect(mustNotRun(itself, calls)).toBe(says));
it('called by none, with nothing against it', () =>
  expect(mustNotRun({ grade: 'not judged', why: null }, [])).toBeNull());

it.each([
  ['another T of it', [{ operation: 1, t: 8 }], []],
  ['another job', [{ operation: 2, t: 3 }], []],
  [
    'two T of one job, but for the one',
    [
      { operation: 1, t: 3 },
      { operation: 1, t: 8 },
    ],
    [{ operation: 1, t: 3 }],
  ],
])('what is tied for %s calls nothing here', (_, ties, calls) =>
  expect(callsUnder(ties, 3, [{ id: 1 }])).toEqual(calls),
);
