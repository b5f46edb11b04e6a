// Builds: expected length, judgement, drawing
export { expectedGaugeLength } from './expectedGaugeLength';
export { judgeBuild } from './judgeBuild';
export { stiffAs } from './stiffAs';
export type { Build } from './judgeBuild';
export { assemblyOutline } from './assemblyOutline';
export type { AssemblyOutline } from './assemblyOutline';
// What stands between spindle and cutter
export { addsLength, holdsAs } from './holdsAs';
export { isSeated, PART_KINDS } from './parts';
export type { CutterDetails, HolderDetails, Part, PartKind } from './parts';
// What it weighs, how fast it may turn, how far it gives way
export { revolvedVolume, weightOf } from './weight';
export { permissibleUnbalance } from './permissibleUnbalance';
export { rpmLimit } from './rpmLimit';
export type { Weight } from './weight';
export { deflection } from './deflection';
// Beside a wall
export { clearanceOf, leastStickout } from './clearance';
export type { Wall } from './clearance';
