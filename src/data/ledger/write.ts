import { type Connection, one } from '@/data/database';
import type { NewEntry } from './types';

/** The number of an entry to come, taken beforehand: for what is written before the entry itself. */
export const nextEntryId = async (c: Connection): Promise<number> =>
  (await one<{ id: number }>(c, `select nextval(pg_get_serial_sequence('entry', 'id'))::int as id`)).id;

/** @param id the number that was taken for it; left out: the next one */
export const insertEntry = async (c: Connection, e: NewEntry, id?: number): Promise<number> =>
  (
    await one<{ id: number }>(
      c,
      `insert into entry (id, kind, happened_at, recorded_at, who, form_id, counters, note)
       overriding system value
       values (coalesce($1, nextval(pg_get_serial_sequence('entry', 'id'))::int), $2, $3, $4, $5, $6, $7, $8) returning id`,
      [id ?? null, e.kind, e.happenedAt, e.recordedAt, e.who, e.formId, e.counters, e.note],
    )
  ).id;

/** What an entry leans on. */
export async function insertNeeds(c: Connection, entryId: number, needs: readonly number[]): Promise<void> {
  if (needs.length)
    await c.query('insert into entry_need (entry_id, needs) select $1, unnest($2::int[])', [entryId, needs]);
}
export async function insertFormAnswer(
  c: Connection,
  formId: string,
  digest: string,
  answer: unknown,
): Promise<void> {
  await c.query('insert into form_answer (form_id, input_digest, answer) values ($1, $2, $3)', [
    formId,
    digest,
    JSON.stringify(answer),
  ]);
}
