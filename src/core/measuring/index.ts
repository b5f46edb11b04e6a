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
export { digitsOf, registerText, unitOf } from './registerText';
export type { AsForm, RegisterForm } from './registerText';
export { gaugeLengthFromTouch } from './gaugeLengthFromTouch';
export { ALONG, fixtureOffset, ZERO_X, ZERO_Y, ZERO_Z, zeroInFixture } from './fixtureOffset';
export type { Clamped, Fixture, FixtureOffset, Laid } from './fixtureOffset';
export { at20 } from './expansion';
export type { At20 } from './expansion';
export { findK } from './findK';
export type { FoundK, TouchedTool } from './findK';
// From a measured part back to the register
export { aimedAt, correctSize, FEATURES, registerOf, standOff } from './sizeCorrection';
export type { FeatureKind, MeasuredFeature, SizeCorrection } from './sizeCorrection';
// Is it in question?
export { questionMeasurement } from './questionMeasurement';
export type { MeasuredAgainst } from './questionMeasurement';
export { measurementCounts } from './measurementCounts';
