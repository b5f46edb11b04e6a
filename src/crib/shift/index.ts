// What people do
export { handOver } from './verbs/handOver';
export { takeOver } from './verbs/takeOver';
// What screens show
export { shiftView } from './views/shiftView';
export type { ShiftView } from './views/shiftView';
