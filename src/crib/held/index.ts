// What people do
export { checkPart } from './verbs/checkPart';
export { clearCutter } from './verbs/clearCutter';
export { holdCutter } from './verbs/holdCutter';
export { holdParts } from './verbs/holdParts';
export { judgeParts } from './verbs/judgeParts';
// What screens show
export { heldView, holdSheet } from './views/heldView';
export type { HeldView, HoldLine, HoldSheet } from './views/heldView';
export { traceView } from './views/traceView';
export type { TraceView } from './views/traceView';
