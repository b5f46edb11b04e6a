// The rack: assemblies that stand, drawn and judged
export { standingCards } from './cards';
export type { AssemblyCard, TiedTo } from './cards';
export { assemblyView, rackView, runView } from './rackView';
export type { AssemblyView, RackCard, RackView, RunView } from './rackView';
export type { MachineRegisters } from './registers';
