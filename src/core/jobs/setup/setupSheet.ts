import { namesOf } from '../../names';
import type { Extent } from '../../programs';

/** What a setup sheet states beside its tools, and how each is called. */
export const SHEET_FIELDS = {
  drawing: 'drawing',
  revision: 'revision',
  programNumber: 'program number',
  fixture: 'fixture',
  against: 'part lies against',
  workOffset: 'work offset',
  stockX: 'stock X',
  stockY: 'stock Y',
  stockZ: 'stock Z',
  parallels: 'parallels',
  zeroX: 'zero X',
  zeroY: 'zero Y',
  zeroZ: 'zero Z',
  notes: 'notes',
} as const;
export type SheetField = keyof typeof SHEET_FIELDS;
/** A sheet as it was entered; null: blank, which is never a zero. */
export type SheetTexts = Record<SheetField, string | null>;
export const BLANK_SHEET: SheetTexts = {
  ...{ drawing: null, revision: null, programNumber: null, fixture: null, against: null, workOffset: null },
  ...{ stockX: null, stockY: null, stockZ: null, parallels: null },
  ...{ zeroX: null, zeroY: null, zeroZ: null, notes: null },
};

export interface SheetChange {
  field: SheetField;
  was: string | null;
  is: string | null;
}
/** What two versions of a sheet differ in. Example: stock Z '30' and '32' -> [{ field: 'stockZ', was: '30', is: '32' }]. */
export const sheetChanges = (before: SheetTexts, now: SheetTexts): SheetChange[] =>
  namesOf(SHEET_FIELDS).flatMap((field) =>
    before[field] === now[field] ? [] : [{ field, was: before[field], is: now[field] }],
  );

/** One change in words. Example: 'stock Z was 30, is 32'. */
export const changeWords = ({ field, was, is }: SheetChange): string =>
  field === 'notes'
    ? 'the notes are other ones'
    : `${SHEET_FIELDS[field]} ${was === null ? 'was blank' : `was ${was}`}, ${is === null ? 'is blank' : `is ${is}`}`;

/**
 * Two who changed one sheet: what either changed alone is taken, `clashes` are the fields that both changed to something
 * else, of which mine stands until somebody decides. Example: base Z 30; theirs Z 32; mine X 50 -> Z 32, X 50, no clash.
 */
export function mergeSheets(
  base: SheetTexts,
  theirs: SheetTexts,
  mine: SheetTexts,
): { merged: SheetTexts; clashes: SheetField[] } {
  const merged = { ...mine };
  const clashes: SheetField[] = [];
  for (const { field, is } of sheetChanges(base, theirs)) {
    if (mine[field] === base[field]) merged[field] = is;
    else if (mine[field] !== is) clashes.push(field);
  }
  return { merged, clashes };
}

/**
 * The stock as a box, with program zero in it; mm. X counts from the left, Y from the side of the operator, Z from the
 * bottom; null: not stated.
 */
export interface StockBox {
  stock: Record<'x' | 'y' | 'z', number | null>;
  zero: Record<'x' | 'y' | 'z', number | null>;
  /** Height of the parallels under it; null: not stated. */
  parallels: number | null;
}

/** Top and bottom of the stock in the program's Z, mm; null where what they follow from is blank. Example: stock 30, zero at its top: 0 and −30. */
export const stockInZ = ({ stock, zero }: StockBox): { top: number | null; bottom: number | null } => ({
  top: stock.z === null || zero.z === null ? null : stock.z - zero.z,
  bottom: zero.z === null ? null : 0 - zero.z,
});

/**
 * From where to where the stock lies in the program's coordinates, mm; null along an axis where it, or zero in it, is blank.
 * Example: stock 100 in X with zero at its middle: −50 to 50.
 */
export function stockAround({ stock, zero }: StockBox): Record<'x' | 'y' | 'z', Extent | null> {
  const along = (axis: 'x' | 'y' | 'z'): Extent | null => {
    const [long, from] = [stock[axis], zero[axis]];
    return long === null || from === null ? null : { least: 0 - from, most: long - from };
  };
  return { x: along('x'), y: along('y'), z: along('z') };
}

const SIDES = {
  x: ['left', 'middle', 'right'],
  y: ['near', 'middle', 'far'],
  z: ['bottom', '', 'top'],
} as const;
/**
 * Where zero is in the stock, in words; null: not stated. `length` writes a length. Example: X 0 of 100, Y 30 of 60, Z 30 of
 * 31: 'left, middle, 1 mm below the top'.
 */
export function zeroWords(box: StockBox, length: (mm: number) => string): string | null {
  const axis = (name: 'x' | 'y' | 'z'): string | null => {
    const [zero, stock] = [box.zero[name], box.stock[name]];
    if (zero === null) return null;
    const [low, mid, high] = SIDES[name];
    const at = (mm: number) => Math.abs(zero - mm) < 5e-4;
    if (at(0)) return low;
    if (stock === null) return `${length(zero)} from ${name === 'z' ? 'the bottom' : low}`;
    if (at(stock)) return high;
    if (mid && at(stock / 2)) return mid;
    if (name === 'z')
      return zero > stock ? `${length(zero - stock)} above the top` : `${length(stock - zero)} below the top`;
    return `${length(zero)} from ${low}`;
  };
  const words = (['x', 'y', 'z'] as const).map(axis);
  return words.every((w) => w === null) ? null : words.map((w) => w ?? 'not stated').join(', ');
}
