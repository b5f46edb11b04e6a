import { type Connection, inserts } from '@/data/database';

export async function insertMappings(
  c: Connection,
  entryId: number,
  mapping: Readonly<Record<string, string | null>>,
): Promise<void> {
  const headers = Object.keys(mapping).filter((h) => h.trim() && h.length <= 120);
  if (!headers.length) return;
  await c.query(
    'insert into column_mapping (entry_id, header, symbol) select $1, * from unnest($2::text[], $3::text[])',
    // Headers are the names of this mapping.
    [entryId, headers, headers.map((h) => mapping[h]!)],
  );
}

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertImportList = inserts<{
  name: string;
  digest: string;
  added: number;
  changed: number;
}>('import_list');
