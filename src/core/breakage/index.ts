export { CAUSE_NAMES, CAUSES } from './causes';
export type { Cause } from './causes';
export { rankCauses } from './rankCauses';
export type { ConfirmedCase, RankedCause, Scene } from './rankCauses';
export { SEEN, SEEN_NAMES } from './seen';
export type { Seen } from './seen';
