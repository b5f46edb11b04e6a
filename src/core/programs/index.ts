// Reading an NC program
export { readProgram } from './readProgram';
export { READ_DEFAULTS } from './report';
export type { ProgramReport, ProgramWarning, ReadOptions, ToolReport, WarningCode } from './report';
