// Rows
export type { SheetMust, SheetPartRow, SheetRow } from './types';
// Reading
export {
  highestVersion,
  manySheetParts,
  manySheetsNow,
  manySheetVersions,
  manyStandingFrom,
  maybeBuiltFrom,
  maybeSheetNow,
} from './read';
// Writing
export { insertBuiltFrom, insertSheet, insertSheetPart } from './write';
