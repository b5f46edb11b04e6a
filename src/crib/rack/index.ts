// The rack: assemblies that stand, drawn and judged
export { rackView } from './rackView';
export type { AssemblyCard, MachineRegisters, RackView, TiedTo } from './rackView';
