// Rows
export type { EdgeUseRow, ForetoldRow, LifeRow, LifeTimesRow, RunningRow, WearRow, WornRow } from './types';
// Reading
export {
  manyEdgeUses,
  manyFittedLives,
  manyForetold,
  manyLatestWear,
  manyLifeLines,
  manyLifeTimes,
  manyLivesApart,
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
