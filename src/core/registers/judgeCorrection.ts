import { type Judgement, mm } from '../because';
import { DEFAULTS } from '../defaults';
import type { AsForm, SizeCorrection } from '../measuring';
import type { Correction } from './corrections';
import { whyOther } from './readBack';

/**
 * What a correction is asked about besides its own size: what was in the control is not what was left there last, or all
 * corrections since the first part that was measured with these edges are more than wear makes. The first may go either
 * way, since it takes up what measuring and machine differ by. Limits: DEFAULTS, common practice.
 */
export function judgeCorrection(
  /** What it takes up on each wall or on the floor, mm; null: nothing is entered, it stays as it is. */
  { register, left }: Pick<SizeCorrection, 'register'> & { left: number | null },
  /** Of these edges on this machine, those that count, in their order. */
  earlier: readonly Correction[],
  control: {
    name: string;
    form: AsForm;
    /** What it shows before, and what should be in it by all that is recorded; null: nobody knows. */
    before: string | null;
    believed: string | null;
  },
): Judgement[] {
  const judgements: Judgement[] = [];
  const { name, before, believed, form } = control;
  const why = before === null || believed === null ? null : whyOther(before, believed, form);
  if (why !== null)
    judgements.push({
      code: 'NOT_AS_LEFT',
      grade: 'question',
      words: `${name} was left at ${believed} and shows ${before}: ${why}`,
      because: {
        words:
          'Somebody changed it since, or another tool’s register is looked at. Find out before it is added to.',
        values: [
          { name: 'left at', value: believed ?? '' },
          { name: 'shows', value: before ?? '' },
        ],
      },
    });
  if (left === null) return judgements;
  const [first, ...more] = earlier.filter((c) => c.register === register);
  const since = more.filter((c) => c.changeMm !== 0);
  const sum = since.reduce((all, c) => all + c.leftMm, left);
  if (first && Math.abs(sum) > DEFAULTS.correctionsMm + 1e-9)
    judgements.push({
      code: 'IN_ALL',
      grade: 'question',
      words: `${mm(Math.abs(sum))} in all since the first part with these edges: is it worn out?`,
      because: {
        words: 'Small corrections add up. Look at the edge; a dull cutter is changed, not corrected further.',
        values: [
          ...since.map((c, i) => ({ name: `correction ${i + 1} since`, value: mm(c.leftMm) })),
          { name: 'this one', value: mm(left) },
          { name: 'asked about from', value: mm(DEFAULTS.correctionsMm) },
        ],
      },
    });
  return judgements;
}
