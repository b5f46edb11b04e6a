'use client';
import Link from 'next/link';
import { linkTo } from '@/core/links';
import type { PlacesView } from '@/crib/places';
import { useTimes } from '@/ui/shell';

/** Who has what, since when, and how late it is. */
export function Loans({ view }: { view: PlacesView }) {
  const { day } = useTimes();
  if (!view.loans.length)
    return (
      <div className="empty">Nobody has anything. Hand things out from a cutter’s tag in the catalogue.</div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Who</th>
          <th>What</th>
          <th className="num">Still out</th>
          <th>Since</th>
          <th>Wanted back</th>
        </tr>
      </thead>
      <tbody>
        {view.loans.map((l) => (
          <tr key={l.entryId}>
            <td>
              <strong>{l.person}</strong>
            </td>
            <td>
              <Link className="fig" href={linkTo('cutters', { open: l.item, do: 'return' })}>
                {l.piece ?? l.item}
              </Link>
            </td>
            <td className="num fig">{l.out}</td>
            <td>{day(l.happenedAt)}</td>
            <td>
              {l.due === null ? (
                <span className="soft">no day was said</span>
              ) : l.daysLate > 0 ? (
                <strong style={{ color: 'var(--rust)' }}>■ {l.daysLate} days late</strong>
              ) : (
                l.due
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
