// Rows
export type { SheetMust, SheetPartRow, SheetRow } from './types';
// Reading
export {
  highestVersion,
  manySheetParts,
  manySheetsByCode,
  manySheetsNow,
  manySheetVersions,
  manyStandingFrom,
  manyBuiltFrom,
  maybeBuiltFrom,
  maybeSheetNow,
} from './read';
// Writing
export { insertBuiltFrom, insertSheet, insertSheetPart } from './write';
