import { type Judgement, mm, say } from '../because';
import { DEFAULTS } from '../defaults';

/** A check of a device at its master. */
export interface ZeroCheck {
  /** ISO day in the shop's zone. */
  day: string;
  /** Reading less the master's length, mm. */
  off: number;
  ok: boolean;
}

/** Whether a reading of the master is near enough to it. Example: 0.004 mm off is, 0.006 is not. */
export const isNear = (off: number): boolean => Math.abs(off) <= DEFAULTS.zeroOffMm + 1e-9;

/**
 * May what a device reads be believed today: its last check at the master was good and of today. Practice: once a day, cold.
 * Example: checked good yesterday: question.
 */
export function judgeDevice(last: ZeroCheck | null, today: string): Judgement {
  const why =
    'A presetter drifts with temperature and wear: the master says by how much, once a day and after a knock.';
  const values: [string, string][] = last
    ? [
        ['off at the master', mm(last.off)],
        ['checked', last.day],
        ['near enough', mm(DEFAULTS.zeroOffMm)],
      ]
    : [['checked', 'never']];
  const judge = (grade: Judgement['grade'], words: string) =>
    say('DEVICE', grade, words, why, values, '|reading − master| ≤ near enough');
  if (!last) return judge('question', 'Never checked at its master');
  if (!last.ok)
    return judge('stop', `${mm(Math.abs(last.off))} off at its master: set it to zero and check again`);
  return last.day === today
    ? judge('good', `Checked today, ${mm(Math.abs(last.off))} off`)
    : judge('question', `Not checked today; ${mm(Math.abs(last.off))} off on ${last.day}`);
}
