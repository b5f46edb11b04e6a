// Rows
export type { EdgeUseRow, LifeRow, LifeTimesRow, RunningRow, WearRow, WornRow } from './types';
// Reading
export {
  manyEdgeUses,
  manyFittedLives,
  manyLatestWear,
  manyLifeLines,
  manyLifeTimes,
  manyLivesApart,
  manyRunningEdges,
  manyWearReadings,
  maybeLadder,
} from './read';
// Writing
export { insertEdgeSet, insertEnding, insertGrade, insertGradeLadder, insertWearReading } from './write';
