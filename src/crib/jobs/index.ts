// Jobs: verbs
export { addJob } from './addJob';
export { assignUse, bookParts, logParts } from './logParts';
export { stateOperation } from './stateOperation';
export { checkProgramText, storeProgram } from './storeProgram';
export { statePassDepth, tieTool } from './tieTool';
// Jobs as a list
export { jobsView } from './jobsView';
export type { JobLine, JobsView, ToolLine } from './jobsView';
export { openUsesOf } from './openUses';
