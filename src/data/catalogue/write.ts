import { FAMILY_NAMES, familySpec, ITEM_KINDS, KINDS } from '@/core/cutters';
import { type Connection, inserts, insertsWithId } from '@/data/database';
import type { NewFacts } from './types';

/** All facts of an entry at once: what follows from them is brought up to date once a slice. */
export const insertFactRows = (c: Connection, entryId: number, facts: readonly NewFacts[]) =>
  sliced(facts, (s) =>
    c.query(
      `insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
       select $1, * from unnest($2::int[], $3::text[], $4::text[], $5::text[], $6::float8[], $7::text[])`,
      [
        entryId,
        s.map((f) => f.itemId),
        s.map((f) => f.symbol),
        s.map((f) => f.text),
        s.map((f) => f.unit),
        s.map((f) => f.value),
        s.map((f) => f.origin),
      ],
    ),
  );

const SLICE = 20_000;
/** Inserts many rows in slices, so that no one statement carries everything. */
async function sliced<R>(
  rows: readonly R[],
  write: (slice: readonly R[]) => Promise<unknown>,
): Promise<void> {
  for (let at = 0; at < rows.length; at += SLICE) await write(rows.slice(at, at + SLICE));
}

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

export const insertPicture = inserts<{
  itemId?: number | null;
  pieceId?: number | null;
  shows: string;
  mime: string;
  width: number;
  height: number;
  bytes: Uint8Array;
  thumb: Uint8Array;
}>('picture');

export const insertItem = insertsWithId<{
  code: string;
  kind: string;
  maker?: string | null;
  family?: string | null;
}>('item');

export const insertItemLink = inserts<{
  itemId: number;
  earlierItemId: number;
  relation: string;
  reason: string;
}>('item_link');

export const insertItemStanding = inserts<{
  itemId: number;
  standing: string;
  reason: string;
}>('item_standing');

export const insertSupply = inserts<{
  itemId: number;
  supplierId: number;
  orderCode: string;
  priceCents?: number | null;
  pack: number;
  minimum: number;
}>('supply');

export const insertAssumedLife = inserts<{
  itemId: number;
  materialId?: number | null;
  minutes: number;
  origin: string;
}>('assumed_life');

export const insertHolderSegment = inserts<{
  itemId: number;
  ordinal: number;
  lengthMm: number;
  upperMm: number;
  lowerMm: number;
}>('holder_segment');

export const insertSavedView = inserts<{
  name: string;
  address: string;
}>('saved_view');

export const insertChoosingRules = inserts<{
  rules: string;
}>('choosing_rules');
