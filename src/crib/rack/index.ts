// What screens show
export { assemblyView } from './views/assemblyView';
export type { AssemblyView } from './views/assemblyView';
export { rackCard, rackView } from './views/rackView';
export type { RackCard, RackView } from './views/rackView';
export { labelOf, labelsAsked } from './label';
export type { Label } from './label';
// Shared with other rooms
export { staleLabel } from './labelScanned';
export { standingCards, standingOn, standingThese } from './cards';
export type { AssemblyCard } from './cards';
export { calledAt, sistersOn, standingAt, standsInAt, standsInFor } from './sisters';
export type { SisterOn } from './sisters';
export { judgedUse } from './judgedUse';
export { correctionsOn, lengthsOf, registersOn } from './registers';
export type { MachineRegisters } from './registers';
export { toMeasureView } from './views/toMeasureView';
export type { ToMeasureView } from './views/toMeasureView';
