import type { SheetTexts, StockBox } from '@/core/jobs';
import type { SetupSheetRow } from '@/data/jobs';

/** A sheet's texts as they were entered: what its versions are compared by. */
export const textsOf = (s: SetupSheetRow): SheetTexts => ({
  drawing: s.drawing,
  revision: s.revision,
  programNumber: s.programNumber,
  fixture: s.fixture,
  against: s.against,
  workOffset: s.workOffset,
  stockX: s.stockXEntered,
  stockY: s.stockYEntered,
  stockZ: s.stockZEntered,
  parallels: s.parallelsEntered,
  zeroX: s.zeroXEntered,
  zeroY: s.zeroYEntered,
  zeroZ: s.zeroZEntered,
  notes: s.notes,
});

/** The stock with its zero, mm. */
export const boxOf = (s: SetupSheetRow): StockBox => ({
  stock: { x: s.stockXMm, y: s.stockYMm, z: s.stockZMm },
  zero: { x: s.zeroXMm, y: s.zeroYMm, z: s.zeroZMm },
  parallels: s.parallelsMm,
});
