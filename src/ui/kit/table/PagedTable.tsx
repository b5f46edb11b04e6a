'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { GridColDef, GridRenderCellParams } from '@mui/x-data-grid';
import { Link } from '@/ui/kit/link';
import { useEffect, useState, type ReactNode } from 'react';
import type { PagedTableProps } from './props';
import styles from './table.module.css';

/**
 * A table whose rows come a page at a time from the server: sorted and searched there, opened beside and not on top,
 * walked by arrow keys and opened by Enter. The address holds its state; this only says what was asked for. What is there
 * is read at once; the grid that walks and sorts it is half as much script again and comes after the first view.
 */
export function PagedTable<Row extends object>(t: PagedTableProps<Row>) {
  const [Grid, setGrid] = useState<typeof import('./Grid').default | null>(null);
  useEffect(() => {
    void import('./Grid').then((module) => setGrid(() => module.default));
  }, []);
  return (
    <>
      {Grid ? <Grid<Row> {...t} /> : <FirstRows {...t} />}
      <div className={styles.pages}>
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
    </>
  );
}

/** The rows as the server draws them, before there is a grid. */
function FirstRows<Row extends object>({
  label,
  columns,
  rows,
  idOf,
  isOpen,
  shown,
  empty,
}: PagedTableProps<Row>) {
  const visible = columns.filter((c) => shown.includes(c.field));
  const cell = (column: GridColDef<Row>, row: Row): ReactNode =>
    column.renderCell
      ? // Of all that the grid hands a cell, ours read the row and where Tab goes.
        column.renderCell({ row, tabIndex: 0 } as unknown as GridRenderCellParams<Row>)
      : String((row as Record<string, unknown>)[column.field] ?? '');
  const wide = (c: GridColDef<Row>) => (c.flex ? { minWidth: c.minWidth } : { width: c.width });
  if (!rows.length) return <div className={styles.none}>{empty}</div>;
  return (
    <Table aria-label={label}>
      <TableHead>
        <TableRow>
          {visible.map((c) => (
            <TableCell key={c.field} style={wide(c)} align={c.headerAlign ?? 'left'}>
              {c.headerName}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={idOf(row)} className={isOpen(row) ? 'open' : undefined}>
            {visible.map((c) => (
              <TableCell key={c.field} align={c.align ?? 'left'}>
                {cell(c, row)}
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
