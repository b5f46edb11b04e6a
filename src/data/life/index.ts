// Rows
export type {
  CutLogRow,
  CutSumRow,
  UseRow,
  EdgeUseRow,
  ForetoldRow,
  LifeRow,
  LifeLineRow,
  LifeTimesRow,
  LifeWithSpeedRow,
  RunningRow,
  WearRow,
  WornRow,
} from './types';
// Reading
export {
  manyCutLogs,
  manyCutSums,
  manyCuttersIn,
  manyEdgePictures,
  manyEdgeUses,
  manyFittedLives,
  manyForetold,
  manyLatestWear,
  manyLifeLines,
  manyLifeTimes,
  manyLinesWithMost,
  manyLivesApart,
  manyRunningEdges,
  manyUncutEdges,
  manyWearReadings,
  manyLivesReground,
  manyOldestUses,
  maybeChangeCosts,
  maybeLadder,
  maybeUse,
  losses,
} from './read';
export { manyWornBeforeTurn } from './beforeTurn';
// Writing
export {
  insertEdgeSet,
  insertEnding,
  insertChangeCosts,
  insertForecast,
  insertGrade,
  insertGradeLadder,
  insertUseCorrected,
  insertUseSaid,
  insertWearReading,
} from './write';
// Trials
export type { TrialLifeRow, TrialRow } from './trials';
export { insertTrial, insertTrialEnd, manyTrialLives, manyTrials, manyTrialsOf, maybeTrial } from './trials';
export { manyHoldersOf, manyLivesInHolders, manyRecipesCutBy, manyRecipesPlanned, manyWaysOf } from './ranBy';
