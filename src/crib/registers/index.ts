// What people do
export { giveRegisters } from './verbs/giveRegisters';
export { recordCorrection } from './verbs/recordCorrection';
// What screens show
export { registersView } from './views/registersView';
export type { RegistersView } from './views/registersView';
export type { SheetLine } from './sheet';
export { controlOf, controlRules } from './controlOf';
export type { ControlRules, InControl } from './controlOf';
// Files out
export { exportRegisters, REGISTER_FILES } from './exportRegisters';
export type { RegisterFile } from './exportRegisters';
