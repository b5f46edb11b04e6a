// What a machine was given, and what changed since
export { sinceGiven } from './sinceGiven';
export type { Numbers, SinceGiven } from './sinceGiven';
// What was read back from its control
export { registerNumber, whyOther } from './readBack';
// As a program that writes it
export { G10_FORMS, readOffsets, registersAsG10, WORK_OFFSETS, workOffsetAsG10 } from './g10';
export type { G10Form, OffsetLine, Sheet, WorkOffset } from './g10';
