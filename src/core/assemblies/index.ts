// Builds: expected length, judgement, drawing
export { expectedGaugeLength } from './expectedGaugeLength';
export { judgeBuild } from './judgeBuild';
export { stickoutRange } from './stickoutRange';
export type { StickoutRange } from './stickoutRange';
export { stiffAs } from './stiffAs';
export type { Build } from './judgeBuild';
export { assemblyOutline } from './assemblyOutline';
export type { AssemblyOutline } from './assemblyOutline';
// What stands between spindle and cutter
export { addsLength, holdsAs } from './holdsAs';
export { fitsNext } from './fitsNext';
export { isSeated, PART_KINDS } from './parts';
export type { CutterDetails, HolderDetails, Part, PartKind } from './parts';
// What it weighs, how fast it may turn, how far it gives way
export { cutterKg, revolvedVolume, weightOf } from './weight';
export { permissibleUnbalance } from './permissibleUnbalance';
export { rpmLimit } from './rpmLimit';
export type { Weight } from './weight';
export { deflection } from './deflection';
export { buildFigures } from './buildFigures';
export type { BuildFigures } from './buildFigures';
// A design that is built again and again
export { holderStandsIn, judgeBySheet, mustOf, partsStandIn, standsIn } from './buildSheet';
export type { BuiltAfter, MustHave, Offered, SheetDesign } from './buildSheet';
// Looking for one on the rack
export { answersTo } from './answersTo';
export type { RackAsked } from './answersTo';
// Beside a wall
export { besideWall, standsBeside } from './besideWall';
export { clearanceOf, leastStickout } from './clearance';
export type { Wall } from './clearance';
