import { type LimitName, LIMITS, mostOf } from '@/core/limits';
import { Problem } from '@/crib/door';

/** A list as people have it: a header and rows of texts. */
export interface Table {
  headers: string[];
  rows: string[][];
  /** The row of the file in which each stands, as a spreadsheet counts: the header is row 1; left out: from 2 on. */
  at?: readonly number[];
}

export const wrong = (detail: string, wayOut: string, limit?: string): Problem =>
  new Problem('INVALID_INPUT', detail, { field: 'content', limit, wayOut });
export const tooLarge = (detail: string, limit: LimitName, wayOut: string): Problem =>
  new Problem('TOO_LARGE', `${detail} (${mostOf(limit)})`, {
    field: 'content',
    limit: mostOf(limit),
    wayOut,
  });

/**
 * Gathers a table row by row and refuses it as soon as it is larger than one may be: what is too large is not read to
 * its end. A cell that is too long is refused too: cut off it would say something else.
 */
export class TableBuilder {
  private headers: string[] | null = null;
  private readonly rows: string[][] = [];
  private readonly at: number[] = [];
  /** The row last seen, blank ones too. */
  private row = 0;
  private cells = 0;

  /** Refuses a row of so many columns, before it is made. */
  checkColumns(columns: number, row = this.row + 1): void {
    if (columns > LIMITS.listColumns.most)
      throw tooLarge(`Row ${row} has ${columns} columns`, 'listColumns', 'Leave out what is not needed.');
  }

  /** Takes the next row, or the one of that number; blank ones are left out. */
  add(cells: readonly string[], row = this.row + 1): void {
    this.checkColumns(cells.length, row);
    this.row = row;
    const filled = cells.filter((c) => c.trim() !== '').length;
    if (!filled) return;
    if (!this.headers) {
      const long = cells.find((c) => c.length > LIMITS.headerCharacters.most);
      if (long !== undefined)
        throw tooLarge(
          `A header has ${long.length} characters`,
          'headerCharacters',
          'Name the columns shorter.',
        );
      this.headers = cells.map((c) => c.trim());
      return;
    }
    const long = cells.findIndex((c) => c.length > LIMITS.cellCharacters.most);
    if (long >= 0)
      throw tooLarge(
        `Row ${row}, column ${long + 1}: the cell has ${cells[long]?.length} characters`,
        'cellCharacters',
        'Write less into it; nothing was read.',
      );
    this.cells += filled;
    if (this.cells > LIMITS.listCells.most)
      throw tooLarge('The list has too many cells', 'listCells', 'Bring it in in parts.');
    if (this.rows.length >= LIMITS.listRows.most)
      throw tooLarge('The list has too many rows', 'listRows', 'Bring it in in parts.');
    this.rows.push([...cells]);
    this.at.push(row);
  }

  table(): Table {
    if (!this.headers)
      throw wrong('The list has no header', 'Its first row must name the columns, one of them ‘code’.');
    return { headers: this.headers, rows: this.rows, at: this.at };
  }
}
