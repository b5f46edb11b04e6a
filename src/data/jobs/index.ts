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
  SetupSheetRow,
  SignatureRow,
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
  maybeProgramBefore,
  maybeProgramText,
  maybeReport,
} from './read';
// How they are set up, and who signed for it
export {
  copyOperation,
  insertSetupSheet,
  insertSignature,
  manySetupSheets,
  manySignatures,
  maybeSetupSheet,
  maybeSetupSheetOf,
} from './setup';
// What is planned on each T, and what was pulled for it
export { insertKitMove, insertToolPlan, manyKitMoves, manyToolPlans } from './plan';
export type { KitMoveRow, ToolPlanRow } from './plan';
// When it is changed
export { insertChangeRule, manyChangeRules, manyPartsCut } from './change';
export type { ChangeRuleRow } from './change';
// How long a part took
export { insertCycleRun, manyCycleRuns } from './cycle';
export type { CycleRunRow } from './cycle';
// Writing
export {
  insertJob,
  insertJobChange,
  insertOperation,
  insertOperationFigures,
  insertOperationMoved,
  insertOperationStart,
  insertPartsLog,
  insertPassDepth,
  insertProgram,
  insertTie,
  insertUseAssignment,
  insertUses,
} from './write';
