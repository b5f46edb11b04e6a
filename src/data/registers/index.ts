// Rows
export { HOW_GIVEN } from './types';
export type { CorrectionRow, GivenRow, HowGiven } from './types';
// Reading
export { manyCorrections, manyGivenLast, manyLastCorrected, manySetThere } from './read';
// Writing
export { insertRegisterGiven, insertSizeCorrection, insertSizeFeature } from './write';
