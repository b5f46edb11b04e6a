// Reading an NC program
export { readProgram } from './readProgram';
export { COMPARED, compareTools } from './compare';
export type { Change, Compared, ToolChange } from './compare';
export { bytesSource, textSource, type ProgramSource } from './source';
export { DWELLS, POINTS, READ_DEFAULTS } from './report';
export type {
  DwellUnit,
  FirstZ,
  InForce,
  Points,
  ProgramReport,
  ProgramWarning,
  ReadOptions,
  Tapping,
  ToolReport,
  WarningCode,
} from './report';
// Other numbers for its tools
export { NotRenumbered, numbersInOrder, renumberProgram, wrongNumbers } from './renumber';
export type { Renumbered, RenumberedProgram } from './renumber';
