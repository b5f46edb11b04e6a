'use client';
import type { JobView } from '@/crib/jobs';
import { Link } from '@/ui/kit/link';
import { useQuery } from '@/ui/screens/common/query';

/** The operations of a job, one after another: which is shown, which are done. */
export function OperationPicks({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  if (job.operations.length < 2) return null;
  return (
    <nav
      aria-label="Operations"
      style={{ display: 'flex', flexWrap: 'wrap', gap: '4px 18px', margin: '8px 0' }}
    >
      {job.operations.map((o) => (
        <Link
          key={o.id}
          className="fig"
          href={query.href({ op: o.number, t: null, line: null })}
          aria-current={o.id === job.operation.id ? 'page' : undefined}
          style={
            o.id === job.operation.id ? { color: 'inherit', fontWeight: 700, textDecoration: 'none' } : {}
          }
        >
          {o.number} {o.machine} <span className="soft small">{o.done ? 'done' : `${o.partsMade} made`}</span>
        </Link>
      ))}
    </nav>
  );
}
