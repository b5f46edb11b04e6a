// What people do
export { importItems, previewFields } from './verbs/importItems';
// What screens show
export { exchangeView } from './views/exchangeView';
export type { ExchangeView } from './views/exchangeView';
// Shared with other rooms
export { exportItems } from './exportItems';
export { exportMovements, exportStock } from './exportStock';
export { previewImport, shownPreview } from './preview';
export { readList, writeList } from './tasks';
export type { RowsRead } from './tasks';
export type { Preview, ShownPreview } from './preview';
export { FORMATS, marked, unmarked } from './table';
export type { Format } from './table';
