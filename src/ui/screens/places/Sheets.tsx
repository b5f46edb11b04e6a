'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import type { PlacesView } from '@/crib/places';
import { Empty } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';

/** Count sheets, the latest first. */
export function Sheets({ view }: { view: PlacesView }) {
  const query = useQuery('places');
  const { day } = useTimes();
  if (!view.sheets.length)
    return (
      <Empty>
        A count sheet lists what lies at a place by the books; you enter what is there, and each difference is
        explained before it is booked. Open a place and press ‘Count this place’.
      </Empty>
    );
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>Sheet</TableCell>
          <TableCell>Place</TableCell>
          <TableCell>Begun</TableCell>
          <TableCell>State</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {view.sheets.map((s) => (
          <TableRow key={s.number}>
            <TableCell>
              <Link
                className="fig"
                href={query.href({ sheet: s.number, open: null, new: null })}
                scroll={false}
              >
                {s.number}
              </Link>
            </TableCell>
            <TableCell>{s.place}</TableCell>
            <TableCell>
              {day(s.happenedAt)}, {s.who}
            </TableCell>
            <TableCell>
              {s.bookedEntryId === null ? (
                <strong>open</strong>
              ) : (
                `booked by ${s.bookedBy} on ${s.bookedAt ? day(s.bookedAt) : 'an unknown day'}`
              )}
              {s.explained ? <span className="soft"> {s.explained}</span> : null}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
