import {
  checkHolder,
  HOLDER_SYMBOLS,
  type HolderGeometry,
  type HolderSegment,
  type HolderSymbol,
} from '@/core/cutters';
import { defineVerb, field, Problem, toLength } from '@/crib/door';
import { insert } from '@/data/database';
import { supplySchema, writeSupply } from './supplyAndLife';
import { factSchema, insertFacts, readFacts, refuseFaults, type Fact } from './writeFacts';

/** Geometry from facts; null where there is none. LF is checked before this. */
export function holderFromFacts(
  facts: readonly Pick<Fact, 'symbol' | 'value'>[],
  segments: HolderSegment[],
): HolderGeometry {
  const value = (symbol: HolderSymbol) => facts.find((f) => f.symbol === symbol)?.value ?? null;
  return {
    LF: value('LF')!,
    CLAMP_MIN: value('CLAMP_MIN'),
    CLAMP_MAX: value('CLAMP_MAX'),
    GRIP_MIN: value('GRIP_MIN'),
    DEPTH_MAX: value('DEPTH_MAX'),
    RPM_MAX: value('RPM_MAX'),
    segments,
  };
}

const segmentLength = field.length(0.1, 500);

export const addHolder = defineVerb({
  name: 'addHolder',
  path: 'holders',
  summary:
    'Add a holder: taper, gauge line to face, outline as segments from the gauge line down, clamping range, grip, rpm limit.',
  properties: {
    code: field.words(40),
    taper: field.words(24),
    maker: field.words(),
    facts: {
      type: 'object',
      properties: {
        LF: factSchema,
        CLAMP_MIN: factSchema,
        CLAMP_MAX: factSchema,
        GRIP_MIN: factSchema,
        DEPTH_MAX: factSchema,
        RPM_MAX: factSchema,
      },
      required: ['LF'],
      additionalProperties: false,
    },
    segments: {
      type: 'array',
      maxItems: 40,
      items: {
        type: 'object',
        properties: { length: segmentLength, upper: segmentLength, lower: segmentLength },
        required: ['length', 'upper', 'lower'],
        additionalProperties: false,
      },
    },
    supply: supplySchema,
  },
  required: ['code', 'taper', 'facts'],
  async run(c, input, moment) {
    const facts = readFacts(input.facts, HOLDER_SYMBOLS);
    if (!facts.some((f) => f.symbol === 'LF'))
      throw new Problem('INVALID_INPUT', 'LF (gauge line to face) is needed', {
        field: 'facts.LF.value',
        value: null,
        limit: 'needed',
        wayOut: 'Measure it, or copy it from the maker’s sheet.',
      });
    const segments = (input.segments ?? []).map((s) => ({
      length: toLength(s.length).mm,
      upper: toLength(s.upper).mm,
      lower: toLength(s.lower).mm,
    }));
    refuseFaults(checkHolder(holderFromFacts(facts, segments)));
    const code = input.code.trim();
    const id = await insert(
      c,
      'item',
      {
        code,
        kind: 'holder',
        maker: input.maker?.trim() ?? null,
        family: null,
        substrate: null,
        centre_cutting: null,
        taper: input.taper.trim(),
        entry_id: moment.entryId,
      },
      'id',
    );
    await insertFacts(c, moment.entryId, id, facts);
    for (const [ordinal, s] of segments.entries())
      await insert(c, 'holder_segment', {
        entry_id: moment.entryId,
        item_id: id,
        ordinal,
        length_mm: s.length,
        upper_mm: s.upper,
        lower_mm: s.lower,
      });
    if (input.supply) await writeSupply(c, moment, id, input.supply);
    return { code };
  },
});
