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
import { Acts, Caution, Fold, Head, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay, useLengths, useTimes } from '@/ui/shell';
import { ProgramDrop } from './ProgramDrop';
import { ProgramText } from './ProgramText';

/** One job as a sheet of its tools, its program and what was made. */
export function JobSheet({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const { show, unitWord } = useLengths();
  const { moment } = useTimes();
  const { operation: o, program, cycle } = job;
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
            {o.state !== 'open' && ` · ${o.state}`}
          </div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('rack', { job: o.job })}>
            On the rack
          </Button>
          <Button variant="contained" component={Link} href={linkToRun(o.id)}>
            Log parts
          </Button>
        </Acts>
      </Head>
      {program && (
        <>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>T</TableCell>
                <TableCell>Assembly</TableCell>
                <TableCell className="num">Min in the cut</TableCell>
                <TableCell className="num">Rapid, m</TableCell>
                <TableCell className="num">Lowest Z, {unitWord}</TableCell>
                <TableCell className="num">Reach</TableCell>
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
                    {t.tool.name && <div className="soft small">{t.tool.name}</div>}
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
                  <TableCell className="num fig">{(t.tool.rapid_known_mm / 1000).toFixed(2)}</TableCell>
                  <TableCell className="num fig">{show(t.tool.lowest_feed_z_mm, 2)}</TableCell>
                  <TableCell className="num fig">{t.reachMm === null ? '—' : show(t.reachMm, 1)}</TableCell>
                  <TableCell>
                    <Worst line={t} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          {cycle && (
            <p>
              A part takes <strong className="fig">{min(cycle.cutting)} min</strong> in the cut; the machine
              adds about <span className="fig">{min(cycle.rapid)}</span> in rapid and{' '}
              <span className="fig">{min(cycle.changes)}</span> for {program.toolChanges} changes.{' '}
              <span className="soft">Without acceleration, so at least that.</span>
            </p>
          )}
          <ProgramNotes job={job} />
        </>
      )}
      <h2>{program ? 'A changed program' : 'Its program'}</h2>
      {program && (
        <p className="soft small">
          {program.name}, read {moment(program.since)} by {program.who}. Parts logged before keep the minutes
          of the program as it stood then.{' '}
          <EntryBack entry={program.entryId} what={`the program of ${o.job}`} />
        </p>
      )}
      {program && <ProgramText entry={program.entryId} />}
      <ProgramDrop operation={o.id} />
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

function ProgramNotes({ job: { report } }: { job: JobView }) {
  if (!report) return null;
  return (
    <>
      {report.warnings.length > 0 && (
        <Notice>
          <strong>The program itself.</strong>
          <ul style={{ margin: 0, paddingLeft: 18 }}>
            {report.warnings.slice(0, 20).map((w) => (
              <li key={`${w.code} ${w.t}`}>
                {w.t !== null && `T${w.t}: `}
                {w.message}, line {w.lines.slice(0, 6).join(', ')}
                {w.lines.length > 6 && ' …'}
              </li>
            ))}
          </ul>
        </Notice>
      )}
      {report.not_understood.length > 0 && (
        <Fold
          label={
            <>
              {report.not_understood.length === 1 ? 'One word' : `${report.not_understood.length} words`} not
              understood: figures touched are marked ≥
            </>
          }
          says
        >
          <Table>
            <TableBody>
              {report.not_understood.slice(0, 60).map((n, i) => (
                <TableRow key={i}>
                  <TableCell className="num fig">line {n.line}</TableCell>
                  <TableCell className="fig">{n.text}</TableCell>
                  <TableCell className="soft">{n.why}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Fold>
      )}
    </>
  );
}
