import { CUT_FIELD_NAMES, FEATURE_NAMES, GROUPS } from '../choosing';
import { ITEM_KINDS } from '../cutters';
import { byName } from '../units';
import type { QuestionSpec } from './question';

const bothWays = <const S extends string>(names: readonly S[]) =>
  [...names, ...names.map((n) => `-${n}` as const)] as readonly (S | `-${S}`)[];
const UNITS = ['mm', 'inch'] as const;

/** The catalogue, a page at a time: after or before a code. A minus turns the order. */
export const CATALOGUE = {
  q: 'words',
  kind: ITEM_KINDS,
  place: 'code',
  sort: bothWays(['code', 'dc', 'unused']),
  after: 'code',
  before: 'code',
  unit: UNITS,
  limit: 'number',
} as const satisfies QuestionSpec;

/** Where things may be looked for, in a word. */
export const LIES = ['crib', 'lent', 'machine', 'regrind', 'builds', 'scrap', 'lost', 'anywhere'] as const;

/** All that lies somewhere: after or before a line. Owner: ours, theirs (any supplier's until used), or a supplier. */
export const STOCK = {
  ...CATALOGUE,
  sort: bothWays(['item', 'place', 'quantity']),
  after: 'number',
  before: 'number',
  lies: LIES,
  owner: 'code',
} as const satisfies QuestionSpec;

/** What moved, newest first, before a movement. */
export const MOVEMENTS = {
  item: 'code',
  piece: 'code',
  place: 'code',
  who: 'code',
  before: 'number',
} as const satisfies QuestionSpec;

/** What can be taken for a build: words, ranges or a mark; an item whose stock comes first. */
export const TAKEABLE = {
  what: ['cutter', 'holder'],
  q: 'words',
  like: 'code',
} as const satisfies QuestionSpec;

export const NOTHING = {} as const satisfies QuestionSpec;
export const AN_ITEM = { code: 'code' } as const satisfies QuestionSpec;
export const A_PLACE = { code: 'code' } as const satisfies QuestionSpec;
export const A_COUNT = { number: 'code' } as const satisfies QuestionSpec;
export const AN_ASSEMBLY = { tag: 'code' } as const satisfies QuestionSpec;
export const A_JOB = { number: 'code' } as const satisfies QuestionSpec;
export const A_RUN = { operation: 'number' } as const satisfies QuestionSpec;
export const A_LIFE = { item: 'code', material: 'code' } as const satisfies QuestionSpec;
/** A page that goes on after a row. */
export const AFTER_ROW = { after: 'number' } as const satisfies QuestionSpec;
export const LIVES = { after: 'words' } as const satisfies QuestionSpec;
export const ENTRIES = { before: 'number' } as const satisfies QuestionSpec;
/** A cut as it is described: what each field may be is judged with the cut. */
export const A_CUT = {
  ...byName(CUT_FIELD_NAMES, () => 'code' as const),
  feature: FEATURE_NAMES,
  group: GROUPS,
  plunge: ['yes', 'no'],
} as const satisfies QuestionSpec;
