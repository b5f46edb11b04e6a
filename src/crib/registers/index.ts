// What people do
export { giveRegisters } from './verbs/giveRegisters';
// What screens show
export { registersView } from './views/registersView';
export type { RegistersView } from './views/registersView';
export type { SheetLine } from './sheet';
// Files out
export { exportRegisters, REGISTER_FILES } from './exportRegisters';
export type { RegisterFile } from './exportRegisters';
