// What was seen, and what may have caused it
export { CAUSE_NAMES, CAUSES } from './causes';
export type { Cause } from './causes';
export { rankCauses } from './rankCauses';
export type { ConfirmedCase, RankedCause, Scene } from './rankCauses';
export { SEEN, SEEN_NAMES, signsAsked } from './seen';
export type { Seen } from './seen';
// Where something broke, and what lies there
export { BREAKS, FRAGMENT_STATES, isBreak, judgeFragments, leavesFragments } from './fragments';
export type { Break, FragmentState } from './fragments';
// Parts that may be spoilt
export { joined, PART_VERDICTS, partsIn, partWords, standsOf, suspects, without } from './suspects';
export type { Decided, LoggedParts, PartRange, PartVerdict } from './suspects';
// What it has in common with others, and what it cost
export { repeatsOf, SHARED } from './repeats';
export type { Keys, Repeat, Shared } from './repeats';
export { COST_KEYS, costsBy } from './costs';
export type { Cost, CostKey, CostSum } from './costs';
