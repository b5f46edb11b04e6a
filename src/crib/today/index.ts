// What screens show
export { missingView } from './views/missingView';
export { todayView } from './views/todayView';
export type { TodayView, WorkKind } from './views/todayView';
