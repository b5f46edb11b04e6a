// What is to be cut
export { BLANK_CUT, FEATURE_NAMES, FEATURES, GROUP_WORDS, GROUPS, isRough, ROUGH_FROM_MM } from './cut';
export type { Cut, Feature, Group } from './cut';
// The shop's rules
export { DEFAULT_RULES, REASON_NAMES, REASONS } from './rules';
export type { ChoosingRules, Reason } from './rules';
// Cutters for it, and kits for threads and close holes
export { chooseCutters, DRILLED_FROM_UM, judgeCandidate } from './chooseCutter';
export type { Availability, Candidate, Choice } from './chooseCutter';
export { windowsOf } from './windows';
export type { Window } from './windows';
export { kitFor, reamingAllowance } from './kit';
export type { KitStep } from './kit';
