export { counterEntry } from './counterEntry';
export { historyView } from './historyView';
export type { HistoryLine } from './historyView';
