import { marked, unmarked } from '@/crib/exchange';

/** Nothing, where an empty cell is an empty text (Table Schema: missingValues). */
export const NOTHING_HERE = '\\N';
/** Texts that begin like it are marked as texts that would run as a formula are. */
const LIKE_NOTHING = /^'*\\/;

/** A value as it stands in a cell; no spreadsheet runs it as a formula. Example: null is '\N', '=1+1' is "'=1+1". */
export const cellOf = (text: string | null): string =>
  text === null ? NOTHING_HERE : LIKE_NOTHING.test(text) ? `'${text}` : marked(text);
/** And back. */
export const textOf = (cell: string): string | null =>
  cell === NOTHING_HERE
    ? null
    : cell.startsWith("'") && LIKE_NOTHING.test(cell)
      ? cell.slice(1)
      : unmarked(cell);
