import { type AssemblyOutline, assemblyOutline, expectedGaugeLength } from '@/core/assemblies';
import { describeCutter } from '@/core/cutters';
import type { Connection } from '@/data/database';
import { manySheetsNow } from '@/data/sheets';
import { type FullSheet, fullSheets } from '../sheetOf';

/** A build sheet as a list of them shows it. */
export interface SheetLine {
  code: string;
  version: number;
  name: string;
  /** What cuts: the item, or what any must have, in words. */
  cutter: string;
  holder: string;
  stickoutMm: number;
  stickoutEntered: string;
  /** Gauge length by all that is in it, mm. */
  expectedMm: number;
  outline: AssemblyOutline;
}

/** The build sheets in force, by code. */
export const sheetsView = async (c: Connection): Promise<SheetLine[]> =>
  (await fullSheets(c, await manySheetsNow(c))).map(lineOf);

export function lineOf(s: FullSheet): SheetLine {
  const outline = assemblyOutline(s.shape, s.held.holder, s.row.stickoutMm);
  return {
    code: s.row.code,
    version: s.row.version,
    name: s.row.name,
    cutter: s.cutter ? `${s.cutter.code}, ${s.cutter.words}` : `any ${describeCutter(s.shape, null)}`,
    holder: s.holder.code,
    stickoutMm: s.row.stickoutMm,
    stickoutEntered: s.row.stickoutEntered,
    expectedMm: expectedGaugeLength(s.held.holder.LF, s.row.stickoutMm),
    outline: { ...outline, assumed: [...s.held.assumed, ...outline.assumed] },
  };
}
