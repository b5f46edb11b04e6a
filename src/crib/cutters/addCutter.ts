import {
  checkCutter,
  CUTTER_SYMBOLS,
  FAMILY_NAMES,
  SUBSTRATES,
  type CutterGeometry,
  type CutterSymbol,
  type Family,
} from '@/core/cutters';
import { defineVerb, field, Problem } from '@/crib/door';
import { insert } from '@/data/database';
import { assumedLifeSchema, supplySchema, writeAssumedLife, writeSupply } from './supplyAndLife';
import { factSchema, insertFacts, readFacts, refuseFaults, type Fact } from './writeFacts';

/** Geometry from facts; null where there is none. DC is checked before this. */
export function cutterFromFacts(
  family: Family,
  facts: readonly Pick<Fact, 'symbol' | 'value'>[],
): CutterGeometry {
  const value = (symbol: CutterSymbol) => facts.find((f) => f.symbol === symbol)?.value ?? null;
  return {
    family,
    DC: value('DC')!,
    DMM: value('DMM'),
    LCF: value('LCF'),
    OAL: value('OAL'),
    RE: value('RE'),
    SIG: value('SIG'),
    NOF: value('NOF'),
  };
}

export const addCutter = defineVerb({
  name: 'addCutter',
  path: 'cutters',
  summary:
    'Add a cutter with its facts by ISO 13399 symbol, each with its origin. Impossible geometry is refused.',
  properties: {
    code: field.words(40),
    family: field.choice(FAMILY_NAMES),
    maker: field.words(),
    substrate: field.choice(SUBSTRATES),
    centreCutting: field.choice(['yes', 'no']),
    facts: {
      type: 'object',
      properties: {
        DC: factSchema,
        DMM: factSchema,
        LCF: factSchema,
        OAL: factSchema,
        RE: factSchema,
        SIG: factSchema,
        NOF: factSchema,
      },
      required: ['DC'],
      additionalProperties: false,
    },
    assumedLife: assumedLifeSchema,
    supply: supplySchema,
  },
  required: ['code', 'family', 'facts'],
  async run(c, input, moment) {
    const facts = readFacts(input.facts, CUTTER_SYMBOLS);
    if (!facts.some((f) => f.symbol === 'DC'))
      throw new Problem('INVALID_INPUT', 'DC (cutting diameter) is needed', {
        field: 'facts.DC.value',
        value: null,
        limit: 'needed',
        wayOut: 'Measure it, or copy it from the label.',
      });
    refuseFaults(checkCutter(cutterFromFacts(input.family, facts)));
    const code = input.code.trim();
    const id = await insert(
      c,
      'item',
      {
        code,
        kind: 'cutter',
        maker: input.maker?.trim() ?? null,
        family: input.family,
        substrate: input.substrate ?? null,
        centre_cutting: input.centreCutting === undefined ? null : input.centreCutting === 'yes',
        taper: null,
        entry_id: moment.entryId,
      },
      'id',
    );
    await insertFacts(c, moment.entryId, id, facts);
    if (input.assumedLife) await writeAssumedLife(c, moment, id, input.assumedLife);
    if (input.supply) await writeSupply(c, moment, id, input.supply);
    return { code };
  },
});
