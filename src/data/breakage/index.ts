// Rows
export type {
  BreakageRow,
  CutByRow,
  HoldRow,
  HoldVerdictRow,
  LoggedRow,
  LogOfEdgesRow,
  OpenFragmentsRow,
  PieceDoubtRow,
} from './types';
// Reading
export {
  manyBreakages,
  manyBreakagesSince,
  manyConfirmedCases,
  manyCutBy,
  manyHeldBack,
  manyHolds,
  manyHoldsOf,
  manyHoldsOfOperations,
  manyHoldVerdicts,
  manyLastGood,
  manyLogged,
  manyLogsOfEdges,
  manyOpenFragments,
  manyOpenHolds,
  manyPieceDoubts,
  maybeBreakage,
  maybeFragmentsOn,
  maybeHold,
} from './read';
// Writing
export {
  insertBreakage,
  insertCauseConfirmed,
  insertFragments,
  insertHold,
  insertHoldVerdict,
  insertPartCheck,
  insertPieceCleared,
  insertPieceDoubt,
} from './write';
