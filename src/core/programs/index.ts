// Reading an NC program
export { readProgram } from './readProgram';
export { oneSpeed } from './oneSpeed';
export { COMPARED, compareTools } from './compare';
export type { Change, Compared, ToolChange } from './compare';
export { type ReadAs, readAs, readOtherwise } from './readAs';
export { bytesSource, textSource, type ProgramSource } from './source';
export { DWELLS, POINTS, READ_DEFAULTS } from './options';
export type { DwellUnit, Points, ReadOptions } from './options';
export type {
  FirstZ,
  InForce,
  ProgramReport,
  ProgramWarning,
  Tapping,
  ToolReport,
  WarningCode,
} from './report';
// Its path, for pictures and times
export type { MachineMotion, RunSeconds } from './path/machineClock';
export type { Extent } from './extent';
export { Extents, type PathExtents } from './path/extents';
export { DepthPicture, type ToolSpan } from './path/depthPicture';
export { nearestDot, PLAN_MARK, type PlanFrame, planFrame, PlanPicture } from './path/planPicture';
export { bothHear, type PathListener } from './path/path';
// Other numbers for its tools
export { NotRenumbered, numbersInOrder, renumberProgram, wrongNumbers } from './renumber';
export type { Renumbered, RenumberedProgram } from './renumber';
