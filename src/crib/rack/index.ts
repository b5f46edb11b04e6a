// What screens show
export { assemblyView } from './views/assemblyView';
export type { AssemblyView } from './views/assemblyView';
export { rackView } from './views/rackView';
export type { RackCard, RackView } from './views/rackView';
export { runView } from './views/runView';
export type { RunView } from './views/runView';
// Shared with other rooms
export { standingCards } from './cards';
export type { AssemblyCard } from './cards';
export type { MachineRegisters } from './registers';
