// What people do
export { addJob } from './verbs/addJob';
export { assignUse } from './verbs/assignUse';
export { changeJob } from './verbs/changeJob';
export { logParts } from './verbs/logParts';
export { planStart } from './verbs/planStart';
export { stateOperation } from './verbs/stateOperation';
export { statePassDepth } from './verbs/statePassDepth';
export { storeProgram } from './verbs/storeProgram';
export { tieTool } from './verbs/tieTool';
// What screens show
export { jobView, standingChoices } from './views/jobView';
export type { JobView } from './views/jobView';
export { jobsView } from './views/jobsView';
export type { JobSummary, JobsView } from './views/jobsView';
export { runView } from './views/runView';
export type { RunView } from './views/runView';
// Shared with other rooms
export { programPieces } from './checkProgramText';
export { READ_QUERY, readOptionsOf } from './readOptions';
export { readProgramFile, readProgramText } from './tasks';
export { jobLines, openJobs } from './jobLines';
export type { JobLine, ToolLine } from './jobLines';
// What can be reckoned
export { JOBS_COMPUTATIONS } from './computations';
