'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { inCrib } from '@/core/stock';
import type { PlacesView } from '@/crib/places';
import { Empty } from '@/ui/kit/page';
import { useQuery } from '../common/query';

/** What kinds of place are called. */
export const KIND_WORDS: Record<string, string> = {
  room: 'room',
  cabinet: 'cabinet',
  shelf: 'shelf',
  drawer: 'drawer',
  bin: 'bin',
  cart: 'cart',
  machine: 'machine',
  regrind: 'regrind shop',
  quarantine: 'quarantine',
  hand: 'lent',
  scrap: 'scrap',
  lost: 'lost',
};

/** All places, one inside the other, with how much lies in each. */
export function Tree({ view, open }: { view: PlacesView; open: string | null }) {
  const query = useQuery('places');
  if (!view.places.some((p) => inCrib(p.kind)))
    return (
      <Empty>
        Here stand the rooms, cabinets, drawers and carts, one inside the other, each with a code to scan. Add
        the first: usually the cabinet you stand at.
      </Empty>
    );
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>Place</TableCell>
          <TableCell>Name</TableCell>
          <TableCell>Kind</TableCell>
          <TableCell className="num">Items</TableCell>
          <TableCell className="num">Pieces</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {view.places.map((p) => (
          <TableRow key={p.code} className={p.code === open ? 'open' : undefined}>
            <TableCell style={{ paddingLeft: p.depth * 20 }}>
              <Link
                className="fig"
                href={query.href({ open: p.code, new: null, sheet: null })}
                scroll={false}
              >
                {p.code}
              </Link>
            </TableCell>
            <TableCell>{p.name}</TableCell>
            <TableCell className="soft">{KIND_WORDS[p.kind]}</TableCell>
            <TableCell className="num fig">{p.items || ''}</TableCell>
            <TableCell className="num fig">{p.pieces || ''}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
