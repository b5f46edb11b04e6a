import { createHash } from 'node:crypto';
import { held } from '@/core/sure';
import { defineVerb, field, type Moment, Problem } from '@/crib/door';
import {
  insertAssumedLife,
  insertFactRows,
  insertItemLink,
  insertItemRows,
  insertItemStanding,
  insertSegmentRows,
  insertSupplyRows,
  manyItemsByCode,
} from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { insertImportList, insertMappings, usesOfImport } from '@/data/exchange';
import { insertSupplier, manySuppliers } from '@/data/shop';
import type { ExchangeItem } from '../exchangeItem';
import { previewOf } from '../preview';
import { readTable } from '../table';

const CONTENT = {
  type: 'string',
  minLength: 1,
  maxLength: 40_000_000,
  pattern: '^[A-Za-z0-9+/]+={0,2}$',
  description: 'The file, base64',
} as const;

/** A list as it is sent: its bytes, and what its unknown headers mean (a symbol or column, null to leave it out). */
export const listFields = {
  content: CONTENT,
  mapping: {
    type: 'object',
    maxProperties: 300,
    additionalProperties: { type: ['string', 'null'], maxLength: 40 },
  },
} as const;

export const importItems = defineVerb({
  name: 'importItems',
  path: 'items/imported',
  summary:
    'Bring a list into the catalogue, all of it or nothing: what the accepted preview showed. Rows that were refused stay out.',
  properties: {
    ...listFields,
    name: field.words(200),
    accepted: {
      type: 'string',
      pattern: '^[0-9a-f]{64}$',
      description: 'The digest of the preview that was accepted',
    },
  },
  required: ['content', 'name', 'accepted'],
  async prepare(input) {
    const bytes = Buffer.from(input.content, 'base64');
    return { table: await readTable(bytes), digest: createHash('sha256').update(bytes).digest('hex') };
  },
  async run(c, input, moment, { table, digest }) {
    const mapping = input.mapping ?? {};
    const preview = await previewOf(c, table, mapping);
    if (preview.digest !== input.accepted)
      throw new Problem('CONFLICT', 'The catalogue is no longer as the preview showed it', {
        field: 'accepted',
        limit: 'the preview as it would be now',
        wayOut:
          'Look at the preview again: somebody changed or imported something meanwhile. Nothing was written.',
      });
    if (!preview.added.length && !preview.changed.length)
      throw new Problem('REFUSED', 'There is nothing to bring in', {
        field: 'content',
        wayOut: preview.refused.length
          ? 'Correct the refused rows first.'
          : 'The catalogue says all of this already.',
      });
    await writeSuppliers(c, moment, preview.suppliers);
    await insertItemRows(c, moment.entryId, preview.added);
    const all = [
      ...preview.added,
      ...preview.changed.map((x) =>
        narrowed(
          x.item,
          x.changes.map((y) => y.field),
        ),
      ),
    ];
    const codes = all.flatMap((i) => [i.code, ...i.links.map((l) => l.earlier)]);
    const present = new Map((await manyItemsByCode(c, codes)).map((i) => [i.code, i]));
    await writeParts(c, moment, all, present);
    await insertMappings(c, moment.entryId, mapping);
    await insertImportList(c, moment.entryId, {
      name: input.name.trim(),
      digest,
      added: preview.added.length,
      changed: preview.changed.length,
    });
    return {
      name: input.name.trim(),
      added: preview.added.length,
      changed: preview.changed.length,
      refused: preview.refused.length,
    };
  },
  countering: {
    // What leans on an item's own entry the database knows; that an item's facts went on since, only this does.
    async unless(c, entry) {
      const [used] = await usesOfImport(c, entry.id);
      if (!used) return null;
      return {
        words: `${used.item} was used or changed since, by ${used.who} in entry ${used.entryId}`,
        value: used.entryId,
        wayOut: `Take entry ${used.entryId} back first; or correct the items one by one.`,
      };
    },
  },
  says: (a) => `list ${a.name}: ${a.added} new, ${a.changed} changed`,
});

/** Of a changed item, only what changes: the rest keeps its own date and signature. */
const narrowed = (item: ExchangeItem, fields: readonly string[]): ExchangeItem => ({
  ...item,
  facts: item.facts.filter((f) => fields.includes(f.symbol)),
  segments: fields.includes('segments') ? item.segments : [],
  supply: fields.includes('supply') ? item.supply : null,
  life: fields.includes('life') ? item.life : null,
  standing: fields.includes('standing') ? item.standing : null,
  links: fields.includes('links') ? item.links : [],
});

async function writeSuppliers(c: Connection, moment: Moment, codes: readonly string[]): Promise<void> {
  for (const code of codes) await insertSupplier(c, moment.entryId, { code, name: code });
}

async function writeParts(
  c: Connection,
  moment: Moment,
  items: readonly ExchangeItem[],
  present: ReadonlyMap<string, { id: number; entryId: number }>,
): Promise<void> {
  const id = (code: string) => held(present, code).id;
  await insertFactRows(
    c,
    moment.entryId,
    items.flatMap((i) => i.facts.map((f) => ({ ...f, itemId: id(i.code) }))),
  );
  await insertSegmentRows(
    c,
    moment.entryId,
    items.flatMap((i) => i.segments.map((s, ordinal) => ({ ...s, ordinal, itemId: id(i.code) }))),
  );
  const suppliers = new Map((await manySuppliers(c)).map((s) => [s.code, s.id]));
  await insertSupplyRows(
    c,
    moment.entryId,
    items.flatMap((i) =>
      i.supply ? [{ ...i.supply, itemId: id(i.code), supplierId: held(suppliers, i.supply.supplier) }] : [],
    ),
  );
  for (const i of items) {
    if (i.life)
      await insertAssumedLife(c, moment.entryId, {
        itemId: id(i.code),
        materialId: null,
        minutes: i.life.minutes,
        origin: i.life.origin,
      });
  }
  await writeStandings(c, moment, items, id);
}

async function writeStandings(
  c: Connection,
  moment: Moment,
  items: readonly ExchangeItem[],
  id: (code: string) => number,
): Promise<void> {
  for (const i of items) {
    if (i.standing)
      await insertItemStanding(c, moment.entryId, {
        itemId: id(i.code),
        standing: i.standing.standing,
        reason: i.standing.reason,
      });
    for (const l of i.links)
      await insertItemLink(c, moment.entryId, {
        itemId: id(i.code),
        earlierItemId: id(l.earlier),
        relation: l.relation,
        reason: l.reason,
      });
  }
}
