// Jobs: verbs
export { addJob } from './addJob';
export { assignUse, bookParts, logParts } from './logParts';
export { stateOperation } from './stateOperation';
export { checkProgramText, storeProgram } from './storeProgram';
export { statePassDepth, tieTool } from './tieTool';
// Jobs as a list, and one with its tools
export { jobLines, openJobs } from './jobLines';
export { openWork, workAround } from './openWork';
export type { Work } from './openWork';
export type { JobLine, ToolLine } from './jobLines';
export { jobsView, jobView, standingChoices } from './jobsView';
export type { JobsView, JobSummary, JobView } from './jobsView';
