// Rows
export type { AssemblyRow, MeasuredRow, MeasurementRow, PartRow } from './types';
// Reading
export {
  manyAssembliesById,
  manyMeasurements,
  manyParts,
  manyStandingAssemblies,
  manyTagsOfItems,
  manyToMeasure,
  maybeAssembly,
  maybeMeasurement,
  maybeStandingAssemblyOfPiece,
  measuredNow,
  nextNumber,
} from './read';
// Writing
export {
  insertAssembly,
  insertAssemblyPart,
  insertMeasurement,
  insertTakeDown,
  insertVerdict,
} from './write';
