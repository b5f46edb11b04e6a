// What people do
export { buildAssembly } from './verbs/buildAssembly';
export { resetStickout } from './verbs/resetStickout';
export { takeDown } from './verbs/takeDown';
export { writeBuildSheet } from './verbs/writeBuildSheet';
// What screens show
export { sheetsView } from './views/sheetsView';
export type { SheetLine } from './views/sheetsView';
export { cutterStep, sheetView } from './views/sheetView';
export { type FullSheet, fullSheets, shapeOf } from './sheetOf';
export type { SheetStep, SheetView } from './views/sheetView';
// Shared with other rooms
export { build } from './build';
export { cutterSourceSchema, heldBy } from './taking';
export { mustOfInput, mustSchema } from './must';
export { expectedOf } from './expectedOf';
export { partsWith, putTogether } from './putTogether';
export type { CutterSource } from './taking';
export { BACK, dismantle, standing } from './dismantle';
export { buildOf, goesInto, hereOf, machineOf, partsLeftOf } from './useFigures';
// What can be reckoned
export { ASSEMBLIES_COMPUTATIONS } from './computations';
export { readByMachine, readOtherwiseOn } from './reading';
