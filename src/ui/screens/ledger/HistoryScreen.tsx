'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import type { HistoryLine } from '@/crib/ledger';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { Middle, useTimes } from '@/ui/shell';

/** Who else stands behind an entry, in words. */
const behind = (l: HistoryLine): string =>
  [
    l.signedBy && `entered by ${l.signedBy}`,
    l.keyName && `key ${l.keyName}`,
    l.second && `confirmed by ${l.second}`,
  ]
    .filter(Boolean)
    .join(', ');

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
      <Table>
        <TableHead>
          <TableRow>
            <TableCell className="num">Entry</TableCell>
            <TableCell>When it happened</TableCell>
            <TableCell>Who</TableCell>
            <TableCell>What</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map((l) => (
            <TableRow key={l.id}>
              <TableCell className="num fig">{l.id}</TableCell>
              <TableCell className="fig">{moment(l.happenedAt)}</TableCell>
              <TableCell className="fig">
                {l.who}
                {behind(l) && <div className="soft small">{behind(l)}</div>}
              </TableCell>
              <TableCell>
                <span style={l.counteredBy ? { textDecoration: 'line-through' } : undefined}>{l.words}</span>
                {l.note && <span className="soft"> · {l.note}</span>}
                {l.counteredBy && <span className="soft"> · taken back by entry {l.counteredBy}</span>}
              </TableCell>
              <TableCell>{!l.stays && <EntryBack entry={l.id} what={`entry ${l.id}`} />}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {last && last.id > 1 && lines.length > 0 && (
        <Link href={linkTo('history', { before: last.id })}>earlier ones</Link>
      )}
    </Middle>
  );
}
