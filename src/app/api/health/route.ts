import { connection } from 'next/server';
import { crib } from '../../server/crib';

/** Answers once the database does. */
export async function GET(): Promise<Response> {
  await connection();
  await (await crib()).db.query('select 1');
  return Response.json({ ok: true });
}
