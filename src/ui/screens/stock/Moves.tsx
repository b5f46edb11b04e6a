'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import type { MovementsView } from '@/crib/stock';
import { Acts, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';

/** Kinds of entry in a word or two, where the movement's ends don't say it. */
const ENTRY_WORDS: Record<string, string> = {
  receiveStock: 'received',
  receiveOrder: 'received on order',
  foundStock: 'found',
  moveStock: 'moved',
  issueStock: 'handed out',
  returnStock: 'came back',
  scrapStock: 'scrapped',
  loseStock: 'lost',
  bookCount: 'count',
  gradePiece: 'graded',
  buildAssembly: 'built',
  takeDown: 'taken down',
  endLife: 'life ended',
  resetStickout: 're-set',
  sendToRegrind: 'to regrind',
  takeFromRegrind: 'from regrind',
  counterEntry: 'taken back',
};

/** What moved, newest first, of everything or of what is asked for. */
export function Moves({ view }: { view: MovementsView | { problem: string } }) {
  const query = useQuery('places');
  const { moment } = useTimes();
  const of = (['item', 'piece', 'place', 'who'] as const).flatMap((name) => {
    const asked = query.get(name);
    return asked ? [[name, asked] as const] : [];
  });
  if ('problem' in view)
    return (
      <Notice kind="stop" now>
        {view.problem}. <Link href={linkTo('places', { show: 'moves' })}>Everything that moved</Link>
      </Notice>
    );
  return (
    <>
      <p className="soft">
        {of.length ? `Of ${of.map(([n, v]) => `${n} ${v}`).join(', ')}. ` : 'Everything, newest first. '}
        {of.length > 0 && <Link href={linkTo('places', { show: 'moves' })}>everything</Link>}
        {view.movements.length > 0 && (
          <span className="small">
            {' '}
            as{' '}
            <a href={`/api/v1/movements.csv?${new URLSearchParams(of.map(([n, v]) => [n, v]))}`} download>
              CSV
            </a>{' '}
            or{' '}
            <a href={`/api/v1/movements.xlsx?${new URLSearchParams(of.map(([n, v]) => [n, v]))}`} download>
              XLSX
            </a>
          </span>
        )}
      </p>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>When</TableCell>
            <TableCell>What</TableCell>
            <TableCell className="num">How many</TableCell>
            <TableCell>From</TableCell>
            <TableCell>To</TableCell>
            <TableCell>Who</TableCell>
            <TableCell>Entry</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {view.movements.map((m) => (
            <TableRow
              key={m.id}
              style={m.counteredBy !== null ? { textDecoration: 'line-through' } : undefined}
            >
              <TableCell>{moment(m.happenedAt)}</TableCell>
              <TableCell>
                <Link className="fig" href={linkTo('places', { show: 'moves', item: m.item })}>
                  {m.item}
                </Link>{' '}
                {m.piece && (
                  <Link className="fig" href={linkTo('places', { show: 'moves', piece: m.piece })}>
                    {m.piece}
                  </Link>
                )}
                {m.lot ? <span className="soft"> lot {m.lot}</span> : null}
              </TableCell>
              <TableCell className="num fig">{m.quantity}</TableCell>
              <TableCell>{m.fromPlace ?? <span className="soft">outside</span>}</TableCell>
              <TableCell>{m.toPlace ?? <span className="soft">outside</span>}</TableCell>
              <TableCell>
                <Link href={linkTo('places', { show: 'moves', who: m.who })}>{m.who}</Link>
              </TableCell>
              <TableCell>
                {ENTRY_WORDS[m.kind] ?? m.kind}
                {m.note ? <span className="soft"> {m.note}</span> : null}{' '}
                {m.counteredBy === null && m.counters === null && (
                  <EntryBack entry={m.entryId} what={`entry ${m.entryId}`} />
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {view.next !== null && (
        <Acts>
          <Button component={Link} href={query.href({ before: view.next })}>
            Further back
          </Button>
        </Acts>
      )}
    </>
  );
}
