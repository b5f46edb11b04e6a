'use client';
import Button from '@mui/material/Button';
import {
  DataGrid,
  type GridColDef,
  type GridColumnVisibilityModel,
  type GridRowParams,
} from '@mui/x-data-grid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';

interface PagedTableProps<Row extends object> {
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

/**
 * A table whose rows come a page at a time from the server: sorted and searched there, opened beside and not on top,
 * walked by arrow keys and opened by Enter. The address holds its state; this only says what was asked for.
 */
export function PagedTable<Row extends object>(t: PagedTableProps<Row>) {
  const router = useRouter();
  const [field, direction] = t.sort.startsWith('-') ? [t.sort.slice(1), 'desc'] : [t.sort, 'asc'];
  const visible: GridColumnVisibilityModel = Object.fromEntries(
    t.columns.map((c) => [c.field, t.shown.includes(c.field)]),
  );
  const go = (params: Pick<GridRowParams<Row>, 'row'>) =>
    router.push(t.hrefOf(params.row), { scroll: false });
  return (
    <div className="paged">
      <DataGrid<Row>
        aria-label={t.label}
        columns={[...t.columns]}
        rows={[...t.rows]}
        getRowId={t.idOf}
        getRowClassName={({ row }) => (t.isOpen(row) ? 'open' : '')}
        density="compact"
        getRowHeight={() => 'auto'}
        hideFooter
        disableColumnFilter
        disableRowSelectionOnClick
        disableVirtualization
        sortingMode="server"
        sortingOrder={['asc', 'desc']}
        sortModel={[{ field, sort: direction as 'asc' | 'desc' }]}
        onSortModelChange={([first]) =>
          first && t.onSort(`${first.sort === 'desc' ? '-' : ''}${first.field}`)
        }
        columnVisibilityModel={visible}
        onColumnVisibilityModelChange={(model) =>
          t.onShown(t.columns.map((c) => c.field).filter((f) => model[f] !== false))
        }
        onRowClick={go}
        onCellKeyDown={(params, event) => {
          if (event.key === 'Enter') go(params);
        }}
        slots={{ noRowsOverlay: () => <div className="none">{t.empty}</div> }}
      />
      <div className="pages">
        <span className="soft" role="status">
          {t.total}
        </span>
        {t.previous && (
          <Button component={Link} href={t.previous} scroll={false}>
            Earlier
          </Button>
        )}
        {t.next && (
          <Button component={Link} href={t.next} scroll={false}>
            Further
          </Button>
        )}
        {t.exportHref && t.rows.length > 0 && (
          <span className="soft small">
            all of it as{' '}
            <a href={t.exportHref('csv')} download>
              CSV
            </a>{' '}
            or{' '}
            <a href={t.exportHref('xlsx')} download>
              XLSX
            </a>
          </span>
        )}
      </div>
    </div>
  );
}
