'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import dynamic from 'next/dynamic';
import type { Grade } from '@/core/because';
import { linkTo } from '@/core/links';
import type { JobSummary, JobsView, JobView } from '@/crib/jobs';
import type { KitView } from '@/crib/pockets';
import type { ShopView } from '@/crib/shop';
import type { DayView } from '@/crib/today';
import { GradeMark } from '@/ui/kit/figure';
import { Acts, Empty, Head } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, shortDay } from '@/ui/shell';
import { JobSheet } from './JobSheet';
import { OperationTag, ToolTag } from './jobTags';

/** A form that asks for all a new job is comes when it is asked for. */
const NewJobTag = dynamic(() => import('./NewJobTag').then((m) => m.NewJobTag));
/** A program comes when it is asked for: most who open the jobs read none. */
const ProgramSheet = dynamic(() => import('./program/ProgramSheet').then((m) => m.ProgramSheet));
const CalendarSheet = dynamic(() => import('./calendar/CalendarSheet').then((m) => m.CalendarSheet));
const KitSheet = dynamic(() => import('./kit/KitSheet').then((m) => m.KitSheet));
const PlanTag = dynamic(() => import('./kit/PlanTag').then((m) => m.PlanTag));
const NumbersSheet = dynamic(() => import('./kit/NumbersSheet').then((m) => m.NumbersSheet));
const SetupSheet = dynamic(() => import('./setup/SetupSheet').then((m) => m.SetupSheet));
const WriteSetup = dynamic(() => import('./setup/WriteSetup').then((m) => m.WriteSetup));
const CopyJobTag = dynamic(() => import('./setup/moreOfJobs').then((m) => m.CopyJobTag));
const MoveTag = dynamic(() => import('./setup/moreOfJobs').then((m) => m.MoveTag));
const AddOperationTag = dynamic(() => import('./setup/moreOfJobs').then((m) => m.AddOperationTag));
const ProgramTag = dynamic(() => import('./program/ProgramTag').then((m) => m.ProgramTag));

interface Props {
  view: JobsView;
  /** The job that is open. */
  job: JobView | null;
  /** What that job needs, where it is asked for. */
  kit: KitView | null;
  /** What each machine has before it, where the calendar is asked for. */
  day?: DayView | null;
  today?: string;
  shop: ShopView;
}

/** Jobs by due day, or one job as a sheet of its tools. */
export function JobsScreen({ view, job, kit, day = null, today = '', shop }: Props) {
  const query = useQuery('jobs');
  const line = job?.tools.find((t) => String(t.t) === query.get('t')) ?? null;
  const doing = query.get('do');
  const beside =
    query.get('new') === 'job' ? (
      <NewJobTag shop={shop} />
    ) : job && query.get('new') === 'copy' ? (
      <CopyJobTag job={job} />
    ) : job && query.get('new') === 'operation' ? (
      <AddOperationTag job={job} shop={shop} />
    ) : job && query.get('new') === 'machine' ? (
      <MoveTag key={job.operation.id} job={job} shop={shop} />
    ) : job && doing === 'write' ? (
      <WriteSetup key={job.operation.id} job={job} />
    ) : kit && doing === 'plan' ? (
      <PlanTag key={query.get('t')} kit={kit} t={query.get('t') === null ? null : Number(query.get('t'))} />
    ) : doing === 'sheet' || doing === 'kit' || doing === 'numbers' ? null : job && doing === 'program' ? (
      <ProgramTag job={job} />
    ) : job && line ? (
      <ToolTag key={`${job.operation.id} ${line.t}`} job={job} line={line} />
    ) : job ? (
      <OperationTag key={job.operation.id} job={job} />
    ) : null;
  return (
    <Middle beside={beside}>
      {job?.program && doing === 'program' ? (
        <ProgramSheet job={job} program={job.program} />
      ) : day ? (
        <CalendarSheet day={day} today={today} />
      ) : kit ? (
        <KitSheet kit={kit} />
      ) : job?.program && doing === 'numbers' ? (
        <NumbersSheet key={job.program.entryId} job={job} program={job.program} />
      ) : job && (doing === 'sheet' || doing === 'write') ? (
        <SetupSheet job={job} />
      ) : job ? (
        <JobSheet job={job} />
      ) : (
        <>
          <JobList jobs={view.open} any={view.done.length > 0} />
          <DoneList view={view} />
        </>
      )}
    </Middle>
  );
}

const WORDS: Record<Grade, string> = {
  good: 'all checks good',
  question: 'a question',
  stop: 'a stop',
  'not judged': 'not all judged',
};

function JobList({ jobs, any }: { jobs: JobSummary[]; any: boolean }) {
  const query = useQuery('jobs');
  return (
    <>
      <Head>
        <div>
          <h1>Jobs</h1>
          <div className="soft">{jobs.length} with parts to make, the first due on top</div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('jobs', { do: 'calendar' })}>
            Calendar
          </Button>
          <Button component={Link} href={query.href({ new: 'job' })} scroll={false}>
            Add a job
          </Button>
        </Acts>
      </Head>
      {jobs.length === 0 && any ? (
        <p className="soft">Every part that was booked is made.</p>
      ) : jobs.length === 0 ? (
        <Empty>
          A job says what is to be made, of what, by when; its program says how long each cutter cuts.{' '}
          <Link href={linkTo('jobs', { new: 'job' })}>Add the first job</Link>.
        </Empty>
      ) : (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Job</TableCell>
              <TableCell>Part</TableCell>
              <TableCell>Material</TableCell>
              <TableCell>Machine</TableCell>
              <TableCell className="num">Left</TableCell>
              <TableCell>Due</TableCell>
              <TableCell className="num">Tools</TableCell>
              <TableCell className="num">Min in the cut</TableCell>
              <TableCell>Checks</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {jobs.map((j) => (
              <TableRow key={j.operation.id}>
                <TableCell>
                  <Link
                    className="fig"
                    href={linkTo('jobs', { open: j.operation.job, op: j.operation.number })}
                  >
                    {j.operation.job}
                  </Link>{' '}
                  <span className="soft small fig">{j.operation.number}</span>
                  <div className="soft small">{j.stage}</div>
                </TableCell>
                <TableCell>
                  {j.operation.part}{' '}
                  {j.operation.revision && <span className="soft">rev {j.operation.revision}</span>}
                </TableCell>
                <TableCell>{j.operation.material}</TableCell>
                <TableCell>{j.operation.machine}</TableCell>
                <TableCell className="num fig">
                  {j.partsLeft} <span className="soft">of {j.operation.quantity}</span>
                </TableCell>
                <TableCell className="fig">{shortDay(j.operation.due)}</TableCell>
                <TableCell className="num fig">{j.hasProgram ? `${j.ready}/${j.tools}` : '·'}</TableCell>
                <TableCell className="num fig">{j.cutting === null ? '·' : j.cutting.toFixed(2)}</TableCell>
                <TableCell>
                  {j.hasProgram ? (
                    <GradeMark grade={j.grade}>{WORDS[j.grade]}</GradeMark>
                  ) : (
                    <GradeMark grade="not judged">no program</GradeMark>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </>
  );
}

/** What is made: a page, the last due on top. */
function DoneList({ view }: { view: JobsView }) {
  const query = useQuery('jobs');
  if (view.done.length === 0) return null;
  return (
    <>
      <h2>All parts made, closed or cancelled</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Job</TableCell>
            <TableCell>Part</TableCell>
            <TableCell>Material</TableCell>
            <TableCell>Machine</TableCell>
            <TableCell className="num">Made</TableCell>
            <TableCell>Due</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {view.done.map((o) => (
            <TableRow key={o.id}>
              <TableCell>
                <Link className="fig" href={linkTo('jobs', { open: o.job })}>
                  {o.job}
                </Link>
              </TableCell>
              <TableCell>
                {o.part} {o.revision && <span className="soft">rev {o.revision}</span>}
              </TableCell>
              <TableCell>{o.material}</TableCell>
              <TableCell>{o.machine}</TableCell>
              <TableCell className="num fig">
                {o.partsMade} <span className="soft">of {o.quantity}</span>
                {o.state !== 'open' && <div className="soft small">{o.state}</div>}
              </TableCell>
              {/* With its year: the list goes back over many. */}
              <TableCell className="fig">{o.due}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <p className="small">
        {query.get('after') && <Link href={query.href({ after: null })}>back to the latest</Link>}{' '}
        {view.next !== null && <Link href={query.href({ after: view.next })}>older ones</Link>}
      </p>
    </>
  );
}
