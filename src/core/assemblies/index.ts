// Builds: expected length, judgement, drawing
export { expectedGaugeLength } from './expectedGaugeLength';
export { judgeBuild, stiffAs } from './judgeBuild';
export type { Build } from './judgeBuild';
export { assemblyOutline } from './assemblyOutline';
export type { AssemblyOutline } from './assemblyOutline';
