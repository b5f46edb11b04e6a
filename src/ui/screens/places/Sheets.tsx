'use client';
import Link from 'next/link';
import type { PlacesView } from '@/crib/places';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';

/** Count sheets, the latest first. */
export function Sheets({ view }: { view: PlacesView }) {
  const query = useQuery('places');
  const { day } = useTimes();
  if (!view.sheets.length)
    return (
      <div className="empty">
        A count sheet lists what lies at a place by the books; you enter what is there, and each difference is
        explained before it is booked. Open a place and press ‘Count this place’.
      </div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Sheet</th>
          <th>Place</th>
          <th>Begun</th>
          <th>State</th>
        </tr>
      </thead>
      <tbody>
        {view.sheets.map((s) => (
          <tr key={s.number}>
            <td>
              <Link
                className="fig"
                href={query.href({ sheet: s.number, open: null, new: null })}
                scroll={false}
              >
                {s.number}
              </Link>
            </td>
            <td>{s.place}</td>
            <td>
              {day(s.happenedAt)}, {s.who}
            </td>
            <td>
              {s.bookedEntryId === null ? (
                <strong>open</strong>
              ) : (
                `booked by ${s.bookedBy} on ${day(s.bookedAt!)}`
              )}
              {s.explained ? <span className="soft"> {s.explained}</span> : null}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
