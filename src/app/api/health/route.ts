import { connection } from 'next/server';
import { freeBytes } from '@/data/database';
import { crib } from '../../server/crib';

/** Answers once the database does: whether it can be written to, why not, how much room is left, its last good backup, and when its books were last looked through. */
export async function GET(): Promise<Response> {
  await connection();
  const { db, keeper } = await crib();
  await db.query('select 1');
  const why = db.whyNoWrite();
  const { folder, good, checked } = keeper.facts();
  return Response.json({
    ok: true,
    can_write: why === null,
    why_not: why?.code ?? null,
    // Not known where the folder is gone.
    free_megabytes: why?.code === 'FOLDER_GONE' ? null : Math.round(freeBytes(folder) / 1e6),
    last_backup: good?.at ?? null,
    last_check: checked?.at ?? null,
    faults: checked?.faults.length ?? null,
  });
}
