// Reading an NC program
export { readProgram } from './readProgram';
export { POINTS, READ_DEFAULTS } from './report';
export type { Points, ProgramReport, ProgramWarning, ReadOptions, ToolReport, WarningCode } from './report';
