'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useRef } from 'react';
import styles from './table.module.css';

/** Up to so many rows all of them are drawn, and the page scrolls; of more only those that are looked at. */
const LONG = 100;

/**
 * A table that may be long and can't come by the page, since it is filled in as one: a count of a whole crib. What is
 * typed in a row that is scrolled away is kept by its form, not by the row.
 */
export function LongTable<Row>({
  label,
  head,
  rows,
  keyOf,
  cells,
}: {
  label: string;
  head: ReactNode;
  rows: readonly Row[];
  keyOf: (row: Row) => string;
  cells: (row: Row) => ReactNode;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const long = rows.length > LONG;
  const { getVirtualItems, getTotalSize, measureElement } = useVirtualizer({
    enabled: long,
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => 62,
    overscan: 10,
    // Before anybody has measured the frame it is taken as this high.
    initialRect: { width: 600, height: 600 },
  });
  const drawn = long ? getVirtualItems() : rows.map((_, index) => ({ index, start: 0, end: 0 }));
  const above = drawn[0]?.start ?? 0;
  const below = getTotalSize() - (drawn.at(-1)?.end ?? 0);
  return (
    <div ref={frame} className={long ? styles.long : undefined} tabIndex={long ? 0 : undefined}>
      <Table aria-label={label} aria-rowcount={rows.length + 1}>
        <TableHead>{head}</TableHead>
        <TableBody>
          {long && <tr aria-hidden="true" style={{ height: above }} />}
          {drawn.map(({ index }) => {
            const row = rows[index];
            return row === undefined ? null : (
              <TableRow
                key={keyOf(row)}
                data-index={index}
                aria-rowindex={index + 2}
                ref={long ? measureElement : undefined}
              >
                {cells(row)}
              </TableRow>
            );
          })}
          {long && <tr aria-hidden="true" style={{ height: below }} />}
        </TableBody>
      </Table>
    </div>
  );
}
