import { type Judgement, say } from '../because';
import { DEFAULTS } from '../defaults';
import { daysBetween } from '../units';

/** What is measured and tightened by, and what one of it that was off puts in doubt. */
export const GAUGE_KINDS = {
  master: { words: 'master', doubts: 'what devices that were checked at it have measured since' },
  'gauge block': { words: 'gauge block', doubts: 'what was measured against it since' },
  'torque wrench': { words: 'torque wrench', doubts: 'what was tightened with it since' },
  'bore gauge': { words: 'bore gauge', doubts: 'sizes that were measured with it since' },
  micrometer: { words: 'micrometer', doubts: 'sizes that were measured with it since' },
} as const;
export type GaugeKind = keyof typeof GAUGE_KINDS;

/** Whether a kind stands for one length of its own. */
export const hasSize = (kind: GaugeKind): boolean => kind === 'master' || kind === 'gauge block';

/** Its words with the article. Example: 'a torque wrench'. */
export const namedGauge = (kind: GaugeKind): string => `a ${GAUGE_KINDS[kind].words}`;

/** The last time something was calibrated, in ISO days. */
export interface Calibrated {
  day: string;
  due: string;
  ok: boolean;
  /** What was found, in words; null: nobody wrote it. */
  found: string | null;
}

/**
 * May what this measures be believed by its certificate: found good when it was last calibrated, and not due since. Common
 * practice; how long a certificate holds is the shop's to say. Example: due yesterday: question.
 */
export function judgeCalibration(last: Calibrated | null, today: string): Judgement {
  const why =
    'What it says is only known as far as its last calibration: used beyond, nobody vouches for it.';
  const judge = (grade: Judgement['grade'], words: string) =>
    say(
      'CALIBRATION',
      grade,
      words,
      why,
      last
        ? [
            ['calibrated', last.day],
            ['due', last.due],
            ['found', last.found ?? (last.ok ? 'good' : 'off')],
          ]
        : [['calibrated', 'never']],
    );
  if (!last) return judge('question', 'Never calibrated, or nobody wrote it down');
  if (!last.ok) return judge('stop', `Found off on ${last.day}: not to be used`);
  const left = daysBetween(today, last.due);
  if (left < 0) return judge('question', `Calibration was due on ${last.due}`);
  return left <= DEFAULTS.calibrationSoonDays
    ? judge('good', `Calibrated; due ${left === 0 ? 'today' : `in ${left} days`}`)
    : judge('good', `Calibrated, due ${last.due}`);
}
