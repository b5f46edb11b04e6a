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

export async function insertNeed(c: Connection, entryId: number, needs: number): Promise<void> {
  await c.query('insert into entry_need (entry_id, needs) values ($1, $2) on conflict do nothing', [
    entryId,
    needs,
  ]);
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
