// What speaks against a holder, extension or collet
export { HOLDER_LOOKS, HOLDER_LOOK_NAMES, judgeHolder, MARKED_KINDS, measuredBefore } from './judgeHolder';
export type { HolderLook, HolderSaid } from './judgeHolder';
// What is due, and by whose rule
export { counted, holderDue, takesStud } from './holderDue';
export type { HolderAges, HolderDue } from './holderDue';
export { holderRule, RULE_ASSUMED } from './rule';
export type { HolderRule, RuleSaid } from './rule';
export { runoutTrend } from './runoutTrend';
export type { RunoutAt, RunoutTrend } from './runoutTrend';
