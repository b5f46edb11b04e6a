import { type Connection, many } from '@/data/database';
import type { WorkWordRow } from './types';

/** Of some lines, to whom each was given last, and what was said last of when it is to be done. */
export const manyWorkWords = (c: Connection, lines: readonly string[]) =>
  many<WorkWordRow>(
    c,
    `select distinct on (w.line, w.word = 'given') w.*, e.who, e.happened_at from work_word w join live_entry e on e.id = w.entry_id
     where w.line = any ($1) order by w.line, w.word = 'given', e.happened_at desc, e.id desc`,
    [lines],
  );
