// What people do
export { addJob } from './verbs/addJob';
export { addOperation } from './verbs/addOperation';
export { assignUse } from './verbs/assignUse';
export { changeJob } from './verbs/changeJob';
export { copyJob } from './verbs/copyJob';
export { moveKit } from './verbs/moveKit';
export { moveOperation } from './verbs/moveOperation';
export { logParts } from './verbs/logParts';
export { planTool } from './verbs/planTool';
export { renumberTools } from './verbs/renumberTools';
export { planStart } from './verbs/planStart';
export { recipeFromTool } from './verbs/recipeFromTool';
export { recordCycle } from './verbs/recordCycle';
export { signSetup } from './verbs/signSetup';
export { stateOperation } from './verbs/stateOperation';
export { stateChange } from './verbs/stateChange';
export { statePassDepth } from './verbs/statePassDepth';
export { storeProgram } from './verbs/storeProgram';
export { tieTool } from './verbs/tieTool';
export { writeSetupSheet } from './verbs/writeSetupSheet';
// What screens show
export { jobView, standingChoices } from './views/jobView';
export type { JobView, OperationOf } from './views/jobView';
export type { SetupView } from './setup/setupView';
export { jobsView } from './views/jobsView';
export type { JobSummary, JobsView } from './views/jobsView';
export { runView } from './views/runView';
export { unwatchedView } from './views/unwatchedView';
export type { UnwatchedView } from './views/unwatchedView';
export type { RunView } from './views/runView';
// Shared with other rooms
export { cycleFactors, type TimedParts } from './cycleOf';
export { readProgramAgain } from './verbs/readProgramAgain';
export { programPieces } from './checkProgramText';
export { READ_QUERY, readOptionsOf } from './readOptions';
export { readProgramFile, readProgramText, renumberText } from './tasks';
export { jobLines, openJobs, plannedLine } from './jobLines';
export { sistersReady } from './sisters';
export type { SisterLine } from './sisters';
export type { JobLine, PlannedLine, ToolLine } from './jobLines';
// What can be reckoned
export { JOBS_COMPUTATIONS } from './computations';
