'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { isSymbol, type MissingFact, SYMBOLS } from '@/core/cutters';
import { Empty } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';

/** Gaps and guesses that block something booked, the worst first; each opens where it is stated. */
export function Missing({ facts }: { facts: MissingFact[] }) {
  const query = useQuery('cutters');
  if (!facts.length)
    return <Empty>Nothing that is booked waits for a fact, and none of it leans on a guess.</Empty>;
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>Fact</TableCell>
          <TableCell>Of</TableCell>
          <TableCell>Blocks</TableCell>
          <TableCell>For</TableCell>
          <TableCell className="num">Minutes booked</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {facts.map((f) => (
          <TableRow key={`${f.item} ${f.symbol}`}>
            <TableCell>
              {f.state === 'guess' ? '▲ a guess: ' : '■ not known: '}
              {isSymbol(f.symbol) ? SYMBOLS[f.symbol].words : f.symbol}
            </TableCell>
            <TableCell>
              <Link
                className="fig"
                href={query.href({ open: f.item, do: 'facts', new: null })}
                scroll={false}
              >
                {f.item}
              </Link>
            </TableCell>
            <TableCell>{f.results.join(', ')}</TableCell>
            <TableCell className="fig small">{f.of.slice(0, 4).join(' ')}</TableCell>
            <TableCell className="num fig">{f.minutes > 0 ? Math.round(f.minutes) : ''}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
