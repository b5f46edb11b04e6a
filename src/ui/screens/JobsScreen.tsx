'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import type { Grade } from '@/core/because';
import type { JobLine, JobsView } from '@/crib/jobs';
import type { AssemblyCard } from '@/crib/rack';
import type { ShopView } from '@/crib/shop';
import { GradeMark } from '../figure';
import { Middle, shortDay } from '../shell';
import { JobSheet } from './JobSheet';
import { NewJobTag, OperationTag, ToolTag } from './jobTags';
import { useQuery } from './query';

interface Props {
  view: JobsView;
  shop: ShopView;
  assemblies: AssemblyCard[];
}

/** Jobs by due day, or one job as a sheet of its tools. */
export function JobsScreen({ view, shop, assemblies }: Props) {
  const query = useQuery();
  const open = view.jobs.find((j) => j.operation.job === query.get('open')) ?? null;
  const line = open?.tools.find((t) => String(t.t) === query.get('t')) ?? null;
  const beside =
    query.get('new') === 'job' ? (
      <NewJobTag shop={shop} />
    ) : open && line ? (
      <ToolTag key={`${open.operation.id} ${line.t}`} job={open} line={line} assemblies={assemblies} />
    ) : open ? (
      <OperationTag key={open.operation.id} job={open} />
    ) : null;
  return <Middle beside={beside}>{open ? <JobSheet job={open} /> : <JobList jobs={view.jobs} />}</Middle>;
}

const WORDS: Record<Grade, string> = {
  good: 'all checks good',
  question: 'a question',
  stop: 'a stop',
  'not judged': 'not all judged',
};

function JobList({ jobs }: { jobs: JobLine[] }) {
  const query = useQuery();
  return (
    <>
      <div className="head">
        <div>
          <h1>Jobs</h1>
          <div className="soft">
            {jobs.filter((j) => j.partsLeft > 0).length} with parts to make, the first due on top
          </div>
        </div>
        <div className="acts">
          <Button component={Link} href={query.href({ new: 'job' })} scroll={false}>
            Add a job
          </Button>
        </div>
      </div>
      {jobs.length === 0 ? (
        <div className="empty">
          A job says what is to be made, of what, by when; its program says how long each cutter cuts.{' '}
          <Link href="/jobs?new=job">Add the first job</Link>.
        </div>
      ) : (
        <table className="list">
          <thead>
            <tr>
              <th>Job</th>
              <th>Part</th>
              <th>Material</th>
              <th>Machine</th>
              <th className="num">Left</th>
              <th>Due</th>
              <th className="num">Tools</th>
              <th className="num">Min in the cut</th>
              <th>Checks</th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((j) => (
              <tr key={j.operation.id}>
                <td>
                  <Link className="fig" href={`/jobs?open=${j.operation.job}`}>
                    {j.operation.job}
                  </Link>
                </td>
                <td>
                  {j.operation.part}{' '}
                  {j.operation.revision && <span className="soft">rev {j.operation.revision}</span>}
                </td>
                <td>{j.operation.material}</td>
                <td>{j.operation.machine}</td>
                <td className="num fig">
                  {j.partsLeft} <span className="soft">of {j.operation.quantity}</span>
                </td>
                <td className="fig">{shortDay(j.operation.due)}</td>
                <td className="num fig">{j.program ? `${j.ready}/${j.tools.length}` : '·'}</td>
                <td className="num fig">{j.cycle ? j.cycle.cutting.toFixed(2) : '·'}</td>
                <td>
                  {j.program ? (
                    <GradeMark grade={j.grade}>{WORDS[j.grade]}</GradeMark>
                  ) : (
                    <GradeMark grade="not judged">no program</GradeMark>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
