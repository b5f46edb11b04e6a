// Rows
export { DEVICE_KINDS } from './types';
export type { CalibrationRow, DeviceKind, DeviceRow, DoubtedRow, GaugeRow } from './types';
// Reading
export {
  manyCalibrated,
  manyCheckedAt,
  manyDevices,
  manyDoubted,
  manyGauges,
  manyMeasuredWith,
  manyReadSince,
  manySizedWith,
  manyTightened,
  manyTightenedWith,
  maybeDevice,
  maybeGauge,
  maybeLastGood,
  maybeLastPassed,
  maybeTaken,
} from './read';
// Writing
export {
  insertCalibration,
  insertDevice,
  insertDoubt,
  insertGauge,
  insertReading,
  insertTightening,
  insertZeroCheck,
} from './write';
