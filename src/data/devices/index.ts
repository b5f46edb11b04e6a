// Rows
export type { DeviceRow } from './types';
// Reading
export { manyDevices, manyReadSince, maybeDevice, maybeLastGood, maybeTaken } from './read';
// Writing
export { insertDevice, insertReading, insertZeroCheck } from './write';
