import { FAMILY_NAMES, familySpec, ITEM_KINDS, KINDS } from '@/core/cutters';
import type { Connection } from '../database';

/** The words by which kinds and families are found, as the core has them. */
export const KIND_WORDS: readonly (readonly [name: string, words: string])[] = [
  ...ITEM_KINDS.map((k) => [k, KINDS[k].words] as const),
  ...FAMILY_NAMES.map((f) => [f, familySpec(f).words] as const),
];

/** Enters the words this database has not: asked at each start, after migrating, so that a new family is found. */
export async function enterKindWords(c: Connection): Promise<void> {
  await c.query(
    `insert into kind_word (name, words)
     select w.name, w.words from unnest($1::text[], $2::text[]) as w (name, words)
     where not exists (select from kind_word k where k.name = w.name)`,
    [KIND_WORDS.map(([name]) => name), KIND_WORDS.map(([, words]) => words)],
  );
}
