// What a machine does with its registers
export { hasWear, OWN_SETTERS, TAKES } from './machine';
export type { OwnSetter, Takes } from './machine';
// Where a tool's figures stand
export { callsAnother, registerNumbers } from './registerNumbers';
export type { RegisterNumbers } from './registerNumbers';
// What a machine was given, and what changed since
export { sinceGiven, sinceItsSetter } from './sinceGiven';
export type { Numbers, SinceGiven } from './sinceGiven';
// What was corrected after a part was measured
export { corrected, CORRECTION_PLACES, isAfter, stillCorrects, withCorrection } from './corrections';
export type { Corrected, Correction, CorrectionPlace } from './corrections';
export { asEntered, asRead } from './asEntered';
export { judgeCorrection } from './judgeCorrection';
export { wearToRead } from './wear';
export type { WearDue } from './wear';
// What was read back from its control
export { registerNumber, whyOther } from './readBack';
// As a program that writes it
export { G10_FORMS, isWear, readOffsets, registersAsG10, WORK_OFFSETS, workOffsetAsG10 } from './g10';
export type { G10Form, OffsetLine, Sheet, ToolOffsets, WorkOffset } from './g10';
