// Rows
export type { AssemblyRow, MeasuredRow, MeasurementRow } from './types';
// Reading
export {
  manyAssembliesById,
  manyMeasurements,
  manyStandingAssemblies,
  manyTagsOfItems,
  maybeAssembly,
  maybeMeasurement,
  maybeStandingAssemblyOfPiece,
  measuredNow,
  nextNumber,
} from './read';
// Writing
export { insertAssembly, insertMeasurement, insertTakeDown, insertVerdict } from './write';
