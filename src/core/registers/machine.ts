import type { G10Form } from './g10';

/** What a machine measures of its tools with a setter of its own: those figures are its own, read back and never written. */
export const OWN_SETTERS = ['length', 'length and diameter'] as const;
export type OwnSetter = (typeof OWN_SETTERS)[number];

/** Whether a machine has registers for wear beside those for length and diameter; null: nobody said, and its program form does not tell. */
export const hasWear = (machine: {
  wearRegisters: boolean | null;
  g10Form: G10Form | null;
}): boolean | null => machine.wearRegisters ?? (machine.g10Form === 'geometry and wear' ? true : null);

/** Whose H and D a machine takes when it changes to a sister: those of what it put in, or those its program calls. */
export const TAKES = ['its own', 'as called'] as const;
export type Takes = (typeof TAKES)[number];
