import { createHash, randomUUID } from 'node:crypto';
import { LIMITS, mostOf } from '@/core/limits';
import { defineVerb, field, Problem, type TellFar } from '@/crib/door';
import type { Database } from '@/data/database';
import {
  asJoined,
  catalogueChangedBetween,
  dropStaged,
  enterStaged,
  insertImportList,
  insertMappings,
  showStaged,
  stageItems,
  usesOfImport,
} from '@/data/exchange';
import { insertSupplier } from '@/data/shop';
import type { ExchangeItem } from '../exchangeItem';
import { type Preview, previewImport } from '../preview';

const CONTENT = {
  type: 'string',
  minLength: 1,
  maxLength: Math.ceil((LIMITS.listBytes.most * 4) / 3) + 4,
  pattern: '^[A-Za-z0-9+/]+={0,2}$',
  description: `The file, base64: ${mostOf('listBytes')}`,
} as const;

/** A list as it is sent: its bytes, and what its unknown headers mean (a symbol or column, null to leave it out). */
const listFields = {
  content: CONTENT,
  mapping: {
    type: 'object',
    maxProperties: LIMITS.listColumns.most,
    additionalProperties: { type: ['string', 'null'], maxLength: 40 },
  },
} as const;

/** The same where nothing is entered yet. */
export const previewFields = {
  ...listFields,
  formId: {
    type: 'string',
    format: 'uuid',
    description: 'By which /api/v1/progress tells meanwhile how far it has come',
  },
} as const;

const changedSince = () =>
  new Problem('CONFLICT', 'The catalogue is no longer as the preview showed it', {
    field: 'accepted',
    limit: 'the preview as it would be now',
    wayOut:
      'Look at the preview again: somebody changed or imported something meanwhile. Nothing was written.',
  });

export const importItems = defineVerb({
  name: 'importItems',
  may: ['crib', 'planner'],
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
  async prepare(input, c, beside, tell) {
    const bytes = Buffer.from(input.content, 'base64');
    const preview = await previewImport(c, bytes, input.mapping, { beside, tell });
    if (preview.digest !== input.accepted) throw changedSince();
    if (!preview.added.length && !preview.changed.length)
      throw new Problem('REFUSED', 'There is nothing to bring in', {
        field: 'content',
        wayOut: preview.refused.length
          ? 'Correct the refused rows first.'
          : 'The catalogue says all of this already.',
      });
    const batch = randomUUID();
    const { suppliers, asOf } = preview;
    const counted = {
      added: preview.added.length,
      changed: preview.changed.length,
      refused: preview.refused.length,
    };
    try {
      await layDown(c, batch, preview, tell);
    } catch (error) {
      await dropStaged(c, batch);
      throw error;
    }
    const digest = createHash('sha256').update(bytes).digest('hex');
    return { batch, suppliers, asOf, counted, digest };
  },
  async enterAhead(c, entryId, { batch, suppliers, asOf }, tell) {
    // What was laid down is what was shown only while nothing was entered since that may change it.
    if (await catalogueChangedBetween(c, asOf, entryId)) throw changedSince();
    await asJoined(c, async () => {
      for (const code of suppliers) await insertSupplier(c, entryId, { code, name: code });
    });
    await enterStaged(c, batch, entryId, (done, of) => tell({ step: 'entering', done, of }));
  },
  async run(c, input, moment, { batch, counted, digest }) {
    await showStaged(c, batch);
    await insertMappings(c, moment.entryId, input.mapping ?? {});
    const { added, changed, refused } = counted;
    const said = { name: input.name.trim(), added, changed };
    await insertImportList(c, moment.entryId, { ...said, digest });
    return { ...said, refused };
  },
  release: (c, { batch }) => dropStaged(c, batch),
  bringsMany: true,
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

/** Lays a list down in steps that let others in between; what lies there is taken off the preview, so that it is not kept twice. */
async function layDown(c: Database, batch: string, preview: Preview, tell: TellFar): Promise<void> {
  const of = preview.added.length + preview.changed.length;
  const next = () =>
    preview.added.length
      ? preview.added.splice(0, LAID_AT_ONCE).map((item) => ({ ...item, fresh: true }))
      : preview.changed.splice(0, LAID_AT_ONCE).map(({ item, changes }) => ({
          ...narrowed(
            item,
            changes.map((x) => x.field),
          ),
          fresh: false,
        }));
  let done = 0;
  for (let items = next(); items.length; items = next()) {
    tell({ step: 'laying down', done, of });
    await c.longTransaction(async (step) => {
      await stageItems(step, batch, items);
      await step.letReadersIn();
    });
    done += items.length;
  }
}
/** Whoever reads or writes meanwhile waits for one step. */
const LAID_AT_ONCE = 30;
