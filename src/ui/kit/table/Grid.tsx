'use client';
import { DataGrid, type GridColumnVisibilityModel, type GridRowParams } from '@mui/x-data-grid';
import { useRouter } from 'next/navigation';
import { nonceOfPage } from '@/ui/kit/theme/nonce';
import type { PagedTableProps } from './props';
import styles from './table.module.css';

/** The rows of a paged table, to be walked by arrow keys, its columns chosen and sorted. */
export default function Grid<Row extends object>(t: PagedTableProps<Row>) {
  const router = useRouter();
  const field = t.sort.replace(/^-/, '');
  const sort = t.sort.startsWith('-') ? 'desc' : 'asc';
  const visible: GridColumnVisibilityModel = Object.fromEntries(
    t.columns.map((c) => [c.field, t.shown.includes(c.field)]),
  );
  const go = (params: Pick<GridRowParams<Row>, 'row'>) =>
    router.push(t.hrefOf(params.row), { scroll: false });
  return (
    <DataGrid<Row>
      aria-label={t.label}
      columns={[...t.columns]}
      rows={[...t.rows]}
      getRowId={t.idOf}
      getRowClassName={({ row }) => (t.isOpen(row) ? 'open' : '')}
      density="compact"
      getRowHeight={() => 'auto'}
      hideFooter
      nonce={nonceOfPage()}
      disableColumnFilter
      disableRowSelectionOnClick
      disableVirtualization
      sortingMode="server"
      sortingOrder={['asc', 'desc']}
      sortModel={[{ field, sort }]}
      onSortModelChange={([first]) => first && t.onSort(`${first.sort === 'desc' ? '-' : ''}${first.field}`)}
      columnVisibilityModel={visible}
      onColumnVisibilityModelChange={(model) =>
        t.onShown(t.columns.map((c) => c.field).filter((f) => model[f] !== false))
      }
      onRowClick={go}
      onCellKeyDown={(params, event) => {
        if (event.key === 'Enter') go(params);
      }}
      slots={{ noRowsOverlay: () => <div className={styles.none}>{t.empty}</div> }}
    />
  );
}
