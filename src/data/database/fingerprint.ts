import type { Connection } from './connection';
import { many, one } from './rows';

/** What a database holds, table by table: how many rows, and a digest that is the same for the same rows in any order. */
export type Fingerprint = Record<string, { rows: number; digest: string }>;

/** The fingerprint of all that is kept, the ledger and what is derived from it. Reads every table whole. */
export async function fingerprint(c: Connection): Promise<Fingerprint> {
  const tables = await many<{ name: string }>(
    c,
    `select relname as name from pg_class where relkind = 'r' and relpersistence = 'p' and relnamespace = 'public'::regnamespace order by relname`,
  );
  const out: Fingerprint = {};
  for (const { name } of tables)
    out[name] = await one<{ rows: number; digest: string }>(
      c,
      `select count(*)::int as rows, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as digest from ${name} t`,
    );
  return out;
}

/** Tables whose rows differ between two fingerprints. */
export const differing = (a: Fingerprint, b: Fingerprint): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (name) => a[name]?.rows !== b[name]?.rows || a[name]?.digest !== b[name]?.digest,
  );
