import { type Connection, many } from '@/data/database';
import type { ImportRow, MappingRow } from './types';

/** Entries that say something of items or suppliers. */
const CATALOGUE_KINDS = [
  'addItem',
  'stateFacts',
  'stateStanding',
  'linkItem',
  'importItems',
  'addSupplier',
  'changeSetUp',
];

/** What each header was last said to mean. */
export const manyMappings = (c: Connection) =>
  many<MappingRow>(
    c,
    `select distinct on (m.header) m.header, m.symbol from column_mapping m join live_entry e on e.id = m.entry_id order by m.header, e.id desc`,
  );
/** Lists that were brought in, the latest first. */
export const manyImports = (c: Connection) =>
  many<ImportRow>(
    c,
    `select l.entry_id, l.name, l.added, l.changed, e.who, e.happened_at from import_list l join live_entry e on e.id = l.entry_id order by l.entry_id desc limit 30`,
  );

/** The first thing done with an imported item since: what keeps the import from being taken back. */
export const usesOfImport = (c: Connection, entryId: number) =>
  many<{ item: string; entryId: number; kind: string; who: string }>(
    c,
    `with touched as (
       select id as item_id from item where entry_id = $1 union select item_id from fact where entry_id = $1 union select item_id from supply where entry_id = $1),
     later as (
       select item_id, entry_id from fact where entry_id > $1 and item_id in (select item_id from touched)
       union select item_id, entry_id from movement where entry_id > $1 and item_id in (select id from item where entry_id = $1)
       union select item_id, entry_id from supply where entry_id > $1 and item_id in (select item_id from touched)
       union select item_id, entry_id from item_standing where entry_id > $1 and item_id in (select item_id from touched)
       union select earlier_item_id, entry_id from item_link where entry_id > $1 and earlier_item_id in (select id from item where entry_id = $1)
       union select item_id, entry_id from purchase where entry_id > $1 and item_id in (select id from item where entry_id = $1))
     select i.code as item, e.id as entry_id, e.kind, e.who from later l join live_entry e on e.id = l.entry_id join item i on i.id = l.item_id
     order by e.id limit 5`,
    [entryId],
  );

/** Whether anything was entered between two entries that may change what a list is compared with. */
export const catalogueChangedBetween = async (
  c: Connection,
  after: number,
  before: number,
): Promise<boolean> =>
  (
    await many<object>(
      c,
      `select 1 as one from entry where id > $1 and id < $2 and (counters is not null or kind = any ($3)) limit 1`,
      [after, before, CATALOGUE_KINDS],
    )
  ).length > 0;
