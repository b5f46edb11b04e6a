// Rows
export type { EdgeUseRow, ForetoldRow, LifeRow, LifeTimesRow, RunningRow, WearRow, WornRow } from './types';
// Reading
export {
  manyCuttersIn,
  manyEdgePictures,
  manyEdgeUses,
  manyFittedLives,
  manyForetold,
  manyLatestWear,
  manyLifeLines,
  manyLifeTimes,
  manyLivesApart,
  manyLivesInHolders,
  manyRunningEdges,
  manyUncutEdges,
  manyWearReadings,
  maybeLadder,
} from './read';
// Writing
export {
  insertEdgeSet,
  insertEnding,
  insertForecast,
  insertGrade,
  insertGradeLadder,
  insertWearReading,
} from './write';
