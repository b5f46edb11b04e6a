import { registerNumber } from './readBack';

/** What goes into a register for wear, and what is in it by all that is recorded; had null: nobody read it. */
export interface WearDue {
  due: string;
  had: string | null;
}

/**
 * Whether a register for wear is to be entered and read back: another figure is in it than is due. One that nobody read is
 * only asked for where something is to be in it. Example: −0.030 in it and 0.000 due: true.
 */
export const wearToRead = (wear: WearDue): boolean =>
  wear.had === null ? registerNumber(wear.due) !== 0 : wear.had !== wear.due;
