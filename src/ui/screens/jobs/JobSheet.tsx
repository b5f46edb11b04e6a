'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { linkTo, linkToRun } from '@/core/links';
import type { JobView, ToolLine } from '@/crib/jobs';
import { GradeMark } from '@/ui/kit/figure';
import { Acts, Caution, Head, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay, useLengths, useTimes } from '@/ui/shell';
import { OperationPicks } from './OperationPicks';
import { ProgramDrop } from './ProgramDrop';
import { ReadAgain } from './program/ReadAgain';
import { ReportNotes } from './program/ReportNotes';
import { Timed } from './Timed';
import styles from './Job.module.css';

/** One job as a sheet of its tools, its program and what was made. */
export function JobSheet({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const { show, unitWord } = useLengths();
  const { moment } = useTimes();
  const { operation: o, program, cycle } = job;
  const lineLink = (line: number) => query.href({ do: 'program', line });
  const min = (n: number | null) => (n === null ? 'not known' : n.toFixed(2));
  return (
    <>
      <Head>
        <div>
          <Link className="small" href="/jobs">
            all jobs
          </Link>
          <h1>
            {o.job} {o.part} {o.revision && `rev ${o.revision}`}
          </h1>
          <div className="soft">
            {o.quantity} in {o.material} on {o.machine}, due {shortDay(o.due)} · {o.partsMade} made,{' '}
            {job.partsLeft} left
            {` · ${job.setup.stage}`}
            {o.customer && ` · ${o.customer}`}
          </div>
        </div>
        <Acts>
          <Button component={Link} href={query.href({ do: 'sheet', t: null })}>
            Setup sheet
          </Button>
          <Button component={Link} href={query.href({ do: 'kit', t: null })}>
            Kit
          </Button>
          {program && (
            <Button component={Link} href={query.href({ do: 'program' })}>
              Its program
            </Button>
          )}
          <Button component={Link} href={linkTo('rack', { job: o.job })}>
            On the rack
          </Button>
          <Button variant="contained" component={Link} href={linkToRun(o.id)}>
            Log parts
          </Button>
        </Acts>
      </Head>
      <OperationPicks job={job} />
      {job.setup.again.length > 0 && (
        <Notice label="To be proved again">
          <strong>To be proved again:</strong> {job.setup.again.join('. ')}.{' '}
          <Link href={query.href({ do: 'sheet', t: null })}>what has changed since it was signed</Link>
        </Notice>
      )}
      {program && (
        <>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>T</TableCell>
                <TableCell>Assembly</TableCell>
                <TableCell className="num">Min in the cut</TableCell>
                <TableCell className={`num ${styles.moves}`}>Rapid, m</TableCell>
                <TableCell className={`num ${styles.moves}`}>Lowest Z, {unitWord}</TableCell>
                <TableCell className={`num ${styles.moves}`}>Reach</TableCell>
                <TableCell>Checks</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {job.tools.map((t) => (
                <TableRow
                  key={t.t}
                  className={query.get('t') === String(t.t) ? 'open' : undefined}
                  style={{ cursor: 'pointer' }}
                  onClick={() => router.push(query.href({ t: t.t }), { scroll: false })}
                >
                  <TableCell>
                    <Link
                      className="fig"
                      href={query.href({ t: t.t })}
                      scroll={false}
                      onClick={(e) => e.stopPropagation()}
                    >
                      T{t.t}
                    </Link>
                    {(t.plan?.does ?? t.tool.name) && (
                      <div className="soft small">{t.plan?.does ?? t.tool.name}</div>
                    )}
                  </TableCell>
                  <TableCell>
                    {t.tag ? (
                      <>
                        <span className="fig">{t.tag}</span> <span className="soft small">{t.words}</span>
                      </>
                    ) : (
                      <GradeMark grade="question">
                        {t.wasTag ? `${t.wasTag} was taken down` : 'none yet'}
                      </GradeMark>
                    )}
                  </TableCell>
                  <TableCell className="num fig">
                    {t.tool.lower_bound ? '≥ ' : ''}
                    {t.minutesPerPart.toFixed(2)}
                  </TableCell>
                  <TableCell className={`num fig ${styles.moves}`}>
                    {(t.tool.rapid_known_mm / 1000).toFixed(2)}
                  </TableCell>
                  <TableCell className={`num fig ${styles.moves}`}>
                    {show(t.tool.lowest_feed_z_mm, 2)}
                  </TableCell>
                  <TableCell className={`num fig ${styles.moves}`}>
                    {t.reachMm === null ? '—' : show(t.reachMm, 1)}
                  </TableCell>
                  <TableCell>
                    <Worst line={t} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          <ReadAgain job={job} />
          {cycle && (
            <p>
              A part takes <strong className="fig">{min(cycle.cutting)} min</strong> in the cut; the machine
              adds about{' '}
              {cycle.slowing !== null && (
                <>
                  <span className="fig">{cycle.slowing < 0.005 ? '<0.01' : min(cycle.slowing)}</span> for
                  gaining speed and corners,{' '}
                </>
              )}
              {cycle.standing > 0 && (
                <>
                  <span className="fig">{min(cycle.standing)}</span> standing,{' '}
                </>
              )}
              <span className="fig">{min(cycle.rapid)}</span> in rapid and{' '}
              <span className="fig">{min(cycle.changes)}</span> for {program.toolChanges} changes.{' '}
              {cycle.slowing === null && (
                <span className="soft">Without acceleration, so at least that.</span>
              )}
            </p>
          )}
          <Timed job={job} />
          {job.report && <ReportNotes report={job.report} line={lineLink} />}
        </>
      )}
      {program && job.tools.length > 1 && (
        <p className="small">
          <Link href={query.href({ do: 'numbers', t: null })}>other numbers for its tools</Link>
        </p>
      )}
      <h2>{program ? 'A changed program' : 'Its program'}</h2>
      {program && (
        <p className="soft small">
          {program.name}, read {moment(program.since)} by {program.who}. Parts logged before keep the minutes
          of the program as it stood then.{' '}
          {program.takenFrom ? (
            `Taken over from ${program.takenFrom}, as it runs there.`
          ) : (
            <EntryBack entry={program.entryId} what={`the program of ${o.job}`} />
          )}
        </p>
      )}
      <ProgramDrop
        operation={o.id}
        reads={job.reads}
        rapidMmMin={job.rapidMmMin}
        stored={program && job.tools.map((t) => t.tool)}
      />
      <Caution>
        First run of any changed program, length or offset: air run, low override, hand on feed hold.
      </Caution>
      <h2>Parts logged</h2>
      {job.logs.length === 0 && <p className="soft">None yet.</p>}
      {job.logs.map((l) => (
        <div key={l.id} style={{ borderBottom: '1px dotted var(--line)' }}>
          <span className="fig">{l.parts}</span>{' '}
          <span className="soft small">
            {moment(l.happenedAt)}, {l.who}
          </span>{' '}
          <EntryBack entry={l.entryId} what={`${l.parts} parts logged ${moment(l.happenedAt)}`} />
        </div>
      ))}
      {job.moreLogs && (
        <p className="soft small">
          Earlier ones stand under <Link href="/history">Entries</Link>.
        </p>
      )}
    </>
  );
}

const Worst = ({ line: { use } }: { line: ToolLine }) => (
  <GradeMark grade={use.grade}>{use.why ?? 'good'}</GradeMark>
);
