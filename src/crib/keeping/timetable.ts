import { Cron } from 'croner';
import type { BackupPlan } from '@/core/keeping';

const cronOf = ({ at }: Pick<BackupPlan, 'at'>, zone: string): Cron => {
  const [hour, minute] = at.split(':');
  return new Cron(`${Number(minute)} ${Number(hour)} * * *`, { timezone: zone, paused: true });
};

/** The last moment at which a plan wanted a backup: one that was missed, since the machine was off, is made when it is on. */
export function lastWanted(plan: Pick<BackupPlan, 'at'>, zone: string, now: Date): Date {
  const [last] = cronOf(plan, zone).previousRuns(1, now);
  return last ?? new Date(0);
}

/** The next one. */
export const nextWanted = (plan: Pick<BackupPlan, 'at'>, zone: string, now: Date): Date | null =>
  cronOf(plan, zone).nextRun(now);
