// Lists out
export { exportedItems, exportItems, itemTable } from './exportItems';
export type { Exported } from './exportItems';
export { exportMovements, exportStock } from './exportStock';
// Lists in
export { importItems, listFields } from './importItems';
export { previewImport } from './preview';
export type { Change, Preview } from './preview';
export { meaningOf, PLAIN_COLUMNS, readRows } from './itemRows';
export type { ExchangeItem, Meaning, RefusedRow } from './itemRows';
export { FORMATS, readTable, writeTable } from './table';
export type { Format, Table } from './table';
export { exchangeView } from './exchangeView';
export type { ExchangeView } from './exchangeView';
