import type { GridColDef } from '@mui/x-data-grid';
import type { ReactNode } from 'react';

export interface PagedTableProps<Row extends object> {
  /** What the table is of, for those who don't see it. */
  label: string;
  columns: readonly GridColDef<Row>[];
  rows: readonly Row[];
  idOf: (row: Row) => string;
  /** Whether what a row is about is open beside the table. */
  isOpen: (row: Row) => boolean;
  hrefOf: (row: Row) => string;
  /** '-code' is code, turned round. Columns that sort have `sortable: true`. */
  sort: string;
  onSort: (sort: string) => void;
  /** Columns shown, by field. */
  shown: readonly string[];
  onShown: (fields: string[]) => void;
  total: string;
  next: string | null;
  previous: string | null;
  /** Where what is seen comes as a file. */
  exportHref?: (format: 'csv' | 'xlsx') => string;
  /** What stands where there is no row. */
  empty: ReactNode;
}
