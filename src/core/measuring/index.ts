// Schools of registers
export { DIAMETER_SCHOOLS, LENGTH_SCHOOLS } from './schools';
export type { DiameterSchool, LengthSchool, MachineLengths, Register } from './schools';
// One measurement, every register
export {
  commonOffset,
  figureNeeded,
  lengthReason,
  lengthRegister,
  machineZAtPartZero,
  workOffset,
} from './lengthRegister';
export { diameterRegister } from './diameterRegister';
export { registerText } from './registerText';
export { gaugeLengthFromTouch } from './gaugeLengthFromTouch';
// Is it in question?
export { questionMeasurement } from './questionMeasurement';
export type { MeasuredAgainst } from './questionMeasurement';
export { measurementCounts } from './measurementCounts';
