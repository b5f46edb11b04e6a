// What people do
export { accountFragments } from './verbs/accountFragments';
export { confirmCause } from './verbs/confirmCause';
// What screens show
export { breakageSheet, breakagesView } from './views/breakagesView';
export type { BreakageLine, BreakageSheet, BreakagesView } from './views/breakagesView';
// Shared with other rooms
export { bookEnding, endingFields, fragmentFields, mustBeClear, signsField } from './bookEnding';
export type { EndingSaid } from './bookEnding';
export { suspectsOf } from './suspectsOf';
export type { SuspectParts } from './suspectsOf';
// What can be reckoned
export { BREAKAGE_COMPUTATIONS } from './computations';
