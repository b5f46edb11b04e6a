import { connection } from 'next/server';
import { lastBackup } from '@/crib/keeping';
import { freeBytes } from '@/data/database';
import { crib } from '../../server/crib';

/** Answers once the database does: whether it can be written to, why not, how much room is left, and its last good backup. */
export async function GET(): Promise<Response> {
  await connection();
  const { db } = await crib();
  await db.query('select 1');
  const why = db.whyNoWrite();
  const folder = process.env.STABLE_DATA ?? '.';
  return Response.json({
    ok: true,
    can_write: why === null,
    why_not: why?.code ?? null,
    // Not known where the folder is gone.
    free_megabytes: why?.code === 'FOLDER_GONE' ? null : Math.round(freeBytes(folder) / 1e6),
    last_backup: lastBackup(folder),
  });
}
