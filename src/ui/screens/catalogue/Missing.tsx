'use client';
import Link from 'next/link';
import { isSymbol, type MissingFact, SYMBOLS } from '@/core/cutters';
import { useQuery } from '@/ui/screens/common/query';

/** Gaps and guesses that block something booked, the worst first; each opens where it is stated. */
export function Missing({ facts }: { facts: MissingFact[] }) {
  const query = useQuery('cutters');
  if (!facts.length)
    return (
      <div className="empty">Nothing that is booked waits for a fact, and none of it leans on a guess.</div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Fact</th>
          <th>Of</th>
          <th>Blocks</th>
          <th>For</th>
          <th className="num">Minutes booked</th>
        </tr>
      </thead>
      <tbody>
        {facts.map((f) => (
          <tr key={`${f.item} ${f.symbol}`}>
            <td>
              {f.state === 'guess' ? '▲ a guess: ' : '■ not known: '}
              {isSymbol(f.symbol) ? SYMBOLS[f.symbol].words : f.symbol}
            </td>
            <td>
              <Link
                className="fig"
                href={query.href({ open: f.item, do: 'facts', new: null })}
                scroll={false}
              >
                {f.item}
              </Link>
            </td>
            <td>{f.results.join(', ')}</td>
            <td className="fig small">{f.of.slice(0, 4).join(' ')}</td>
            <td className="num fig">{f.minutes > 0 ? Math.round(f.minutes) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
