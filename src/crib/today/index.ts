// The worklist
export { todayView } from './todayView';
export type { TodayView, WorkKind, WorkLine } from './todayView';
