// What people do
export { buildAssembly } from './verbs/buildAssembly';
export { resetStickout } from './verbs/resetStickout';
export { takeDown } from './verbs/takeDown';
// Shared with other rooms
export { build, cutterSourceSchema } from './build';
export type { CutterSource } from './build';
export { dismantle, standing } from './dismantle';
export { buildOf, goesInto, hereOf, machineOf, partsLeftOf } from './useFigures';
// What can be reckoned
export { ASSEMBLIES_COMPUTATIONS } from './computations';
