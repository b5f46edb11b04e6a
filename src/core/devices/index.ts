// What a device says
export { DIAL_RANGE, PRESETTER_RANGE, readLine, sumOf } from './readLine';
export type { LineRead, Reading } from './readLine';
// Readings that repeat
export { agree } from './agree';
export type { Agreement } from './agree';
// Whether it may be believed
export { GAUGE_KINDS, hasSize, judgeCalibration, namedGauge } from './calibration';
export type { Calibrated, GaugeKind } from './calibration';
export { isNear, judgeDevice } from './judgeDevice';
export type { ZeroCheck } from './judgeDevice';
