import {
  checkItem,
  cutterFrom,
  factsOf,
  type Family,
  FAMILY_NAMES,
  ITEM_KINDS,
  type ItemKind,
  KINDS,
  questionCutter,
} from '@/core/cutters';
import { defineVerb, field, found, type Moment, Problem, toLength } from '@/crib/door';
import { insertHolderSegment, insertItem, manyFacts, maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { loadItems } from '../loadItems';
import { assumedLifeSchema, supplySchema, writeAssumedLife, writeSupply } from '../supplyAndLife';
import { type Fact, factsSchema, insertFacts, readFacts, refuseFaults, withFollowing } from '../writeFacts';

const segmentLength = field.length(0.1, 500);

/** Facts of a similar item that were not stated, each marked as copied. */
async function similarFacts(
  c: Connection,
  moment: Moment,
  code: string,
  kind: ItemKind,
  family: Family | null,
  stated: readonly Fact[],
): Promise<{ facts: Fact[]; itemId: number }> {
  const similar = found(await maybeItem(c, code), 'similarTo', code, 'item');
  if (similar.kind !== kind)
    throw new Problem('REFUSED', `${code} is a ${KINDS[similar.kind].words}, not a ${KINDS[kind].words}`, {
      field: 'similarTo',
      value: code,
      wayOut: 'Copy from one of the same kind.',
    });
  moment.leansOn(similar.entryId);
  const asked: readonly string[] = factsOf(kind, family);
  const facts = (await manyFacts(c, [similar.id]))
    .filter((f) => asked.includes(f.symbol) && !stated.some((s) => s.symbol === f.symbol))
    .map((f): Fact => ({
      symbol: f.symbol,
      text: f.text,
      unit: f.unit,
      value: f.value,
      origin: 'similar',
    }));
  return { facts, itemId: similar.id };
}

export const addItem = defineVerb({
  name: 'addItem',
  may: ['crib', 'planner'],
  path: 'items',
  summary:
    'Add an item with its facts by ISO 13399 symbol, each with its origin. Impossible geometry is refused, unlikely geometry asked about.',
  properties: {
    code: field.words(40),
    kind: field.choice(ITEM_KINDS),
    family: field.choice(FAMILY_NAMES),
    maker: field.words(),
    facts: factsSchema,
    similarTo: field.words(40),
    segments: {
      type: 'array',
      maxItems: 40,
      description: 'A holder’s outline from the gauge line down',
      items: {
        type: 'object',
        properties: { length: segmentLength, upper: segmentLength, lower: segmentLength },
        required: ['length', 'upper', 'lower'],
        additionalProperties: false,
      },
    },
    assumedLife: assumedLifeSchema,
    supply: supplySchema,
  },
  required: ['code', 'kind'],
  async run(c, input, moment) {
    const { kind } = input;
    const family = input.family ?? null;
    const needsFamily = kind === 'cutter' || kind === 'body';
    if (needsFamily !== (family !== null))
      throw new Problem(
        'INVALID_INPUT',
        needsFamily ? 'family is needed' : `a ${KINDS[kind].words} has no family`,
        {
          field: 'family',
          value: family,
          limit: needsFamily ? FAMILY_NAMES.join(', ') : 'left out',
        },
      );
    const stated = readFacts(input.facts ?? {}, factsOf(kind, family));
    const similar =
      input.similarTo === undefined
        ? null
        : await similarFacts(c, moment, input.similarTo, kind, family, withFollowing(kind, stated));
    const facts = withFollowing(kind, [...stated, ...(similar?.facts ?? [])]);
    const own = (input.segments ?? []).map((s) => ({
      length: toLength(s.length).mm,
      upper: toLength(s.upper).mm,
      lower: toLength(s.lower).mm,
    }));
    // An outline belongs to its own length: it is copied only where that is copied too.
    const copied =
      similar && !own.length && !stated.some((f) => f.symbol === 'LF')
        ? ((await loadItems(c, [similar.itemId]))[0]?.segments ?? [])
        : [];
    const segments = own.length ? own : copied;
    if (segments.length && kind !== 'holder' && kind !== 'extension')
      throw new Problem('INVALID_INPUT', `a ${KINDS[kind].words} has no outline of its own`, {
        field: 'segments',
      });
    refuseFaults(checkItem(kind, family, facts, segments));
    const code = input.code.trim();
    const id = await insertItem(c, moment.entryId, {
      code,
      kind,
      maker: input.maker?.trim() ?? null,
      family,
    });
    await insertFacts(c, moment.entryId, id, facts);
    for (const [ordinal, s] of segments.entries())
      await insertHolderSegment(c, moment.entryId, {
        itemId: id,
        ordinal,
        lengthMm: s.length,
        upperMm: s.upper,
        lowerMm: s.lower,
      });
    if (input.assumedLife) await writeAssumedLife(c, moment, id, input.assumedLife);
    if (input.supply) await writeSupply(c, moment, id, input.supply);
    const asked = needsFamily && family ? questionCutter(cutterFrom(family, facts)) : [];
    return {
      code,
      copied: similar?.facts.map((f) => f.symbol) ?? [],
      questions: asked.map((q) => `${q.field} = ${q.value}: ${q.words} (${q.limit})`),
    };
  },
  says: (a) => `item ${a.code}`,
});
