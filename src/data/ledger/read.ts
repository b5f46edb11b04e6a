import { type Connection, many, maybeOne, one } from '@/data/database';
import type { EntryRow } from './types';

const ENTRY = `select e.*, (select x.id from entry x where x.counters = e.id) as countered_by from entry e`;

export const maybeEntry = (c: Connection, id: number): Promise<EntryRow | null> =>
  maybeOne<EntryRow>(c, `${ENTRY} where e.id = $1`, [id]);

/** The newest entries first, counter-entries and countered ones included: this is the history. */
export const manyEntries = (c: Connection, limit: number, before: number | null): Promise<EntryRow[]> =>
  many<EntryRow>(c, `${ENTRY} where $2::int is null or e.id < $2 order by e.id desc limit $1`, [
    limit,
    before,
  ]);

export const maybeFormAnswer = (c: Connection, formId: string) =>
  maybeOne<{ inputDigest: string; answer: unknown }>(
    c,
    'select input_digest, answer from form_answer where form_id = $1',
    [formId],
  );

/** The answers that were given to some forms. */
export const manyFormAnswers = (c: Connection, formIds: readonly string[]) =>
  many<{ formId: string; answer: Record<string, unknown> }>(
    c,
    'select form_id, answer from form_answer where form_id = any ($1::uuid[])',
    [formIds],
  );

/** Number of the newest entry; 0 in an empty crib. */
export const lastEntry = async (c: Connection): Promise<number> =>
  (await one<{ n: number }>(c, 'select coalesce(max(id), 0) as n from entry')).n;

/** Number of the newest entry that was recorded before a time; 0: none was. It is looked for from the newest on. */
export const lastEntryBefore = async (c: Connection, time: Date): Promise<number> =>
  (
    await one<{ n: number }>(
      c,
      'select coalesce((select id from entry where recorded_at < $1 order by id desc limit 1), 0) as n',
      [time],
    )
  ).n;

/** When the newest entry was recorded; null: there is none. */
export const lastRecorded = async (c: Connection): Promise<Date | null> =>
  (await one<{ at: Date | null }>(c, 'select (select recorded_at from entry order by id desc limit 1) as at'))
    .at;

/** An item that an entry is about, if it is about one: so that a refusal can name it. */
export const maybeItemOfEntry = (c: Connection, entryId: number) =>
  maybeOne<{ code: string }>(
    c,
    `select i.code from item i join (
       select item_id from movement where entry_id = $1 union all select item_id from fact where entry_id = $1
       union all select item_id from purchase where entry_id = $1) x on x.item_id = i.id order by i.id limit 1`,
    [entryId],
  );
