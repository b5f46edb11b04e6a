import { type Ending, ENDINGS, type LifeBySpeeds, type LifeTime } from '@/core/life';
import type { LifeTimesRow, LifeWithSpeedRow } from '@/data/life';

/** A life as the statistics see it; one that runs on is censored at its present minutes. */
export const lifeTime = (minutes: number, ended: Ending | null): LifeTime => ({
  minutes,
  failed: ended !== null && ENDINGS[ended].counts === 'failure',
  running: ended === null,
});

/** The times of a line's lives, the latest `livesReckoned` of them. */
export const lifeTimes = (row: LifeTimesRow): LifeTime[] =>
  row.minutes.map((minutes, i) => lifeTime(minutes, row.ended[i] ?? null));

/** The same, each with the speeds it was cut at, rev/min. */
export const livesWithSpeed = (row: LifeTimesRow): LifeBySpeeds[] =>
  row.minutes.map((minutes, i) =>
    lifeWithSpeed({
      ...{ minutes, ended: row.ended[i] ?? null, rpm: row.rpm[i] ?? null },
      speeds: row.speeds[i] ?? null,
    }),
  );
export const lifeWithSpeed = (l: LifeWithSpeedRow): LifeBySpeeds => ({
  ...{ speed: l.rpm, parts: l.speeds },
  life: lifeTime(l.minutes, l.ended),
});
