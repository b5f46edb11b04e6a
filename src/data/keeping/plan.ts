import type { BackupPlan } from '@/core/keeping';
import { type Connection, insert, many, one } from '@/data/database';

/** The latest word on when and where to the shop is backed up; null: nobody said, or it is no longer. */
export async function maybeBackupPlan(c: Connection): Promise<(BackupPlan & { entryId: number }) | null> {
  const [latest] = await many<{
    entryId: number;
    folder: string | null;
    at: string;
    keep: number;
    locked: boolean;
  }>(
    c,
    'select entry_id, folder, at_time as at, keep, locked from backup_plan order by entry_id desc limit 1',
  );
  return latest && latest.folder !== null ? { ...latest, folder: latest.folder } : null;
}

export const insertBackupPlan = (c: Connection, entryId: number, plan: BackupPlan | null) =>
  insert(c, 'backup_plan', {
    entryId,
    folder: plan?.folder ?? null,
    atTime: plan?.at ?? null,
    keep: plan?.keep ?? null,
    locked: plan?.locked ?? null,
  });

/** When the first entry of all was made; null: there is none. */
export const begunAt = async (c: Connection): Promise<Date | null> =>
  (await one<{ at: Date | null }>(c, 'select (select recorded_at from entry order by id limit 1) as at')).at;
