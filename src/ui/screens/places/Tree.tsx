'use client';
import Link from 'next/link';
import { inCrib } from '@/core/stock';
import type { PlacesView } from '@/crib/places';
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
  hand: 'lent',
  scrap: 'scrap',
  lost: 'lost',
};

/** All places, one inside the other, with how much lies in each. */
export function Tree({ view, open }: { view: PlacesView; open: string | null }) {
  const query = useQuery('places');
  if (!view.places.some((p) => inCrib(p.kind)))
    return (
      <div className="empty">
        Here stand the rooms, cabinets, drawers and carts, one inside the other, each with a code to scan. Add
        the first: usually the cabinet you stand at.
      </div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Place</th>
          <th>Name</th>
          <th>Kind</th>
          <th className="num">Items</th>
          <th className="num">Pieces</th>
        </tr>
      </thead>
      <tbody>
        {view.places.map((p) => (
          <tr key={p.code} className={p.code === open ? 'open' : undefined}>
            <td style={{ paddingLeft: p.depth * 20 }}>
              <Link
                className="fig"
                href={query.href({ open: p.code, new: null, sheet: null })}
                scroll={false}
              >
                {p.code}
              </Link>
            </td>
            <td>{p.name}</td>
            <td className="soft">{KIND_WORDS[p.kind]}</td>
            <td className="num fig">{p.items || ''}</td>
            <td className="num fig">{p.pieces || ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
