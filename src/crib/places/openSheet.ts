import { found, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { maybeSheet, type SheetRow } from '@/data/stock';

/** The open sheet of a number; a Problem when it is booked, naming who did it and when. */
export async function openSheet(c: Connection, moment: Moment, number: string): Promise<SheetRow> {
  const sheet = found(await maybeSheet(c, number.toUpperCase()), 'sheet', number, 'count sheet');
  if (sheet.bookedEntryId !== null)
    throw new Problem('CONFLICT', `${sheet.number} was booked by ${sheet.bookedBy}`, {
      field: 'sheet',
      value: sheet.number,
      wayOut: 'Start a new sheet; or take that booking back if it was wrong.',
    });
  moment.leansOn(sheet.entryId);
  return sheet;
}

export const sum = (lines: { counted: number; expected: number }[], sign: 1 | -1) =>
  lines.reduce((n, l) => n + Math.max(0, sign * (l.expected - l.counted)), 0);
