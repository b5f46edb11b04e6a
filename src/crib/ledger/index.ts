export { counterEntryOf } from './counterEntry';
export { historyView } from './historyView';
export type { HistoryLine } from './historyView';
