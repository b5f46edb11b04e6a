import { type Connection, insert } from '@/data/database';
import type { NewEntry } from './types';

export const insertEntry = (c: Connection, e: NewEntry): Promise<number> =>
  insert(
    c,
    'entry',
    {
      kind: e.kind,
      happenedAt: e.happenedAt,
      recordedAt: e.recordedAt,
      who: e.who,
      formId: e.formId,
      counters: e.counters,
      note: e.note,
    },
    'id',
  );

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
