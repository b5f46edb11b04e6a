import { inserts } from '../database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertImportList = inserts<{
  name: string;
  digest: string;
  added: number;
  changed: number;
}>('import_list');
