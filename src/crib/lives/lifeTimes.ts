import { type Ending, ENDINGS, type LifeBySpeeds, type LifeTime } from '@/core/life';
import type { LifeWithSpeedRow } from '@/data/life';

/** A life as the statistics see it; one that runs on is censored at its present minutes. */
export const lifeTime = (minutes: number, ended: Ending | null): LifeTime => ({
  minutes,
  failed: ended !== null && ENDINGS[ended].counts === 'failure',
  running: ended === null,
});

/** The same, with the speeds it was cut at, rev/min. */
export const lifeWithSpeed = (l: LifeWithSpeedRow): LifeBySpeeds => ({
  ...{ speed: l.rpm, parts: l.speeds },
  life: lifeTime(l.minutes, l.ended),
});
