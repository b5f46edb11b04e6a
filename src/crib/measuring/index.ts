// Measuring: verbs
export { judgeMeasurement } from './judgeMeasurement';
export { recordMeasurement } from './recordMeasurement';
// What may be believed of a length
export { measuredState } from './state';
export type { MeasuredState } from './state';
