// What people do
export { judgeMeasurement } from './verbs/judgeMeasurement';
export { recordMeasurement } from './verbs/recordMeasurement';
// Shared with other rooms
export { measuredState } from './measuredState';
export type { MeasuredState } from './measuredState';
// What can be reckoned
export { MEASURING_COMPUTATIONS } from './computations';
