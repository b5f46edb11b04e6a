import {
  type Alloy,
  ALLOY_NAMES,
  BOTTOMS,
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  FEATURE_NAMES,
  GROUPS,
  type CutField,
  type Feature,
  type Group,
} from '@/core/choosing';
import type { A_CUT, Question } from '@/core/questions';
import { byName } from '@/core/units';
import { field } from '@/crib/door';

const asked = (name: CutField) => {
  const { kind, limits, words } = CUT_FIELDS[name];
  if (kind === 'text') return field.words(limits[1]);
  return kind === 'length'
    ? field.length(limits[0], limits[1], `${words}.`)
    : field.decimal(limits[0], limits[1], `${words}.`);
};

/** A cut as it is described; only what is said bounds the choice. */
export const CUT_SCHEMA = {
  type: 'object',
  properties: {
    feature: field.choice(FEATURE_NAMES),
    group: field.choice(GROUPS),
    alloy: field.choice(ALLOY_NAMES),
    bottom: field.choice(BOTTOMS),
    plunge: field.choice(['yes', 'no']),
    ...byName(CUT_FIELD_NAMES, asked),
  },
  required: ['feature'],
  additionalProperties: false,
} as const;

/** A cut as an address asks for it. */
export type CutAsked = Question<typeof A_CUT>;
/** A cut as it was said, before it is read. */
export type CutInput = {
  feature: Feature;
  group?: Group;
  alloy?: Alloy;
  bottom?: (typeof BOTTOMS)[number];
  plunge?: 'yes' | 'no';
} & Partial<Record<CutField, string | number>>;
