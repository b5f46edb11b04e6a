// What people do
export { counterEntryOf } from './verbs/counterEntry';
// What screens show
export { historyView } from './views/historyView';
export type { HistoryLine } from './views/historyView';
