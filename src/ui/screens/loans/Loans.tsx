'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import type { PlacesView } from '@/crib/places';
import { Empty } from '@/ui/kit/page';
import { useTimes } from '@/ui/shell';

/** Who has what, since when, and how late it is. */
export function Loans({ view }: { view: PlacesView }) {
  const { day } = useTimes();
  if (!view.loans.length)
    return <Empty>Nobody has anything. Hand things out from a cutter’s tag in the catalogue.</Empty>;
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>Who</TableCell>
          <TableCell>What</TableCell>
          <TableCell className="num">Still out</TableCell>
          <TableCell>Since</TableCell>
          <TableCell>Wanted back</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {view.loans.map((l) => (
          <TableRow key={l.entryId}>
            <TableCell>
              <strong>{l.person}</strong>
            </TableCell>
            <TableCell>
              <Link className="fig" href={linkTo('cutters', { open: l.item, do: 'return' })}>
                {l.piece ?? l.item}
              </Link>
            </TableCell>
            <TableCell className="num fig">{l.out}</TableCell>
            <TableCell>{day(l.happenedAt)}</TableCell>
            <TableCell>
              {l.due === null ? (
                <span className="soft">no day was said</span>
              ) : l.daysLate > 0 ? (
                <strong style={{ color: 'var(--rust)' }}>■ {l.daysLate} days late</strong>
              ) : (
                l.due
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
