// What a device says
export { PRESETTER_RANGE, readLine, sumOf } from './readLine';
export type { LineRead, Reading } from './readLine';
// Readings that repeat
export { agree } from './agree';
export type { Agreement } from './agree';
// Whether it may be believed
export { isNear, judgeDevice } from './judgeDevice';
export type { ZeroCheck } from './judgeDevice';
