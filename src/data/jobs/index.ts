// Rows
export { JOB_STATES, PRIORITIES } from './types';
export type {
  Priority,
  JobState,
  OpenUseSum,
  OperationRow,
  PartsLogRow,
  PassDepthRow,
  ProgramRow,
  TieRow,
} from './types';
// Reading
export {
  manyDoneOperations,
  manyOpenOperations,
  manyOpenOperationsWith,
  manyOpenUseSums,
  manyOpenUses,
  manyOpenUsesOf,
  manyOperationsById,
  manyOperationsOfJob,
  manyPartsLogs,
  manyPassDepths,
  manyPrograms,
  manyTies,
  manyTiesAt,
  manyTiesOfAssemblies,
  maybeJob,
  maybeOperation,
  maybeProgramAt,
  maybeProgramText,
  maybeReport,
} from './read';
// Writing
export {
  insertJob,
  insertJobChange,
  insertOperation,
  insertOperationFigures,
  insertOperationStart,
  insertPartsLog,
  insertPassDepth,
  insertProgram,
  insertTie,
  insertUseAssignment,
  insertUses,
} from './write';
