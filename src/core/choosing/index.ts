// What is to be cut
export {
  BLANK_CUT,
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  ALLOY_NAMES,
  ALLOYS,
  BOTTOMS,
  FEATURE_NAMES,
  FEATURES,
  GROUP_WORDS,
  GROUPS,
  isRough,
} from './cut';
export type { Alloy, Cut, CutField, Feature, Group } from './cut';
// The shop's rules
export { DEFAULT_RULES, REASON_NAMES, REASONS } from './rules';
export type { ChoosingRules, Reason } from './rules';
// Cutters for it, and kits for threads and close holes
export { chooseCutters, judgeCandidate } from './chooseCutter';
export { DRILLED_FROM_UM } from './featureRules';
export type { Availability, Candidate, Choice } from './candidate';
export { windowsOf } from './windows';
export { kitFor, reamingAllowance } from './kit';
export type { KitStep } from './kit';
