'use client';
import Link from 'next/link';
import { linkTo } from '@/core/links';
import type { HistoryLine } from '@/crib/ledger';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { Middle, useTimes } from '@/ui/shell';

/** The ledger, newest first: nothing here is ever changed, only answered. */
export function HistoryScreen({ lines }: { lines: HistoryLine[] }) {
  const { moment } = useTimes();
  const last = lines.at(-1);
  return (
    <Middle>
      <h1>Entries</h1>
      <p className="soft">
        Everything that was recorded, newest first. Nothing is changed or deleted: a mistake is taken back by
        a counter-entry, unless a later entry leans on it.
      </p>
      <table className="list">
        <thead>
          <tr>
            <th className="num">Entry</th>
            <th>When it happened</th>
            <th>Who</th>
            <th>What</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.id}>
              <td className="num fig">{l.id}</td>
              <td className="fig">{moment(l.happenedAt)}</td>
              <td className="fig">{l.who}</td>
              <td>
                <span style={l.counteredBy ? { textDecoration: 'line-through' } : undefined}>{l.words}</span>
                {l.note && <span className="soft"> · {l.note}</span>}
                {l.counteredBy && <span className="soft"> · taken back by entry {l.counteredBy}</span>}
              </td>
              <td>
                {!l.counteredBy && !l.counters && l.kind !== 'addPerson' && (
                  <EntryBack entry={l.id} what={`entry ${l.id}`} />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {last && last.id > 1 && lines.length > 0 && (
        <Link href={linkTo('history', { before: last.id })}>earlier ones</Link>
      )}
    </Middle>
  );
}
