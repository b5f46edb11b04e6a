// What people do
export { sayOfWork } from './verbs/sayOfWork';
// What screens show
export { dayView } from './views/dayView';
export type { DayLine, DayMachine, DayView } from './views/dayView';
export { missingView } from './views/missingView';
export { todayView } from './views/todayView';
export type { TodayView } from './views/todayView';
export type { WorkKind, WorkLine } from './worklist';
