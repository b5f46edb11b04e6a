// The worklist
export { todayView } from './todayView';
export type { TodayView, WorkKind, WorkLine } from './todayView';
// Facts that something booked waits for
export { missingView } from './missingView';
