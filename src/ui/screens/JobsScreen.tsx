'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { Grade } from '@/core/because';
import type { JobLine, JobsView, ToolLine } from '@/crib/jobs';
import type { AssemblyCard } from '@/crib/rack';
import type { ShopView } from '@/crib/shop';
import { Caution, GradeMark, Judgements, Row, Unknown } from '../figure';
import { VerbForm } from '../form';
import { Middle, shortDay, useLengths, useTimes } from '../shell';
import { Tag } from '../tag';
import { EntryBack } from './EntryBack';
import { ProgramDrop } from './ProgramDrop';
import { useQuery } from './query';
import { SET_UP } from './setUp';

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

function JobSheet({ job }: { job: JobLine }) {
  const query = useQuery();
  const router = useRouter();
  const { show, unitWord } = useLengths();
  const { moment } = useTimes();
  const { operation: o, program, cycle } = job;
  const min = (n: number | null) => (n === null ? 'not known' : n.toFixed(2));
  return (
    <>
      <div className="head">
        <div>
          <Link className="small" href="/jobs">
            all jobs
          </Link>
          <h1>
            {o.job} {o.part} {o.revision && `rev ${o.revision}`}
          </h1>
          <div className="soft">
            {o.quantity} in {o.material} on {o.machine}, due {shortDay(o.due)} · {o.parts_made} made,{' '}
            {job.partsLeft} left
          </div>
        </div>
        <div className="acts">
          <Button component={Link} href={`/rack?job=${o.job}`}>
            On the rack
          </Button>
          <Button variant="contained" component={Link} href={`/run/${o.id}`}>
            Log parts
          </Button>
        </div>
      </div>
      {program && (
        <>
          <table className="list">
            <thead>
              <tr>
                <th>T</th>
                <th>Assembly</th>
                <th className="num">Min in the cut</th>
                <th className="num">Rapid, m</th>
                <th className="num">Lowest Z, {unitWord}</th>
                <th className="num">Reach</th>
                <th>Checks</th>
              </tr>
            </thead>
            <tbody>
              {job.tools.map((t) => (
                <tr
                  key={t.t}
                  className={query.get('t') === String(t.t) ? 'open' : undefined}
                  style={{ cursor: 'pointer' }}
                  onClick={() => router.push(query.href({ t: String(t.t) }), { scroll: false })}
                >
                  <td>
                    <Link
                      className="fig"
                      href={query.href({ t: String(t.t) })}
                      scroll={false}
                      onClick={(e) => e.stopPropagation()}
                    >
                      T{t.t}
                    </Link>
                  </td>
                  <td>
                    {t.tag ? (
                      <>
                        <span className="fig">{t.tag}</span> <span className="soft small">{t.words}</span>
                      </>
                    ) : (
                      <GradeMark grade="question">
                        {t.wasTag ? `${t.wasTag} was taken down` : 'none yet'}
                      </GradeMark>
                    )}
                  </td>
                  <td className="num fig">
                    {t.tool.lower_bound ? '≥ ' : ''}
                    {t.minutesPerPart.toFixed(2)}
                  </td>
                  <td className="num fig">{(t.tool.rapid_mm / 1000).toFixed(2)}</td>
                  <td className="num fig">{show(t.tool.lowest_feed_z_mm, 2)}</td>
                  <td className="num fig">{t.reachMm === null ? '—' : show(t.reachMm, 1)}</td>
                  <td>
                    <Worst line={t} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            A part takes <strong className="fig">{min(cycle!.cutting)} min</strong> in the cut; the machine
            adds about <span className="fig">{min(cycle!.rapid)}</span> in rapid and{' '}
            <span className="fig">{min(cycle!.changes)}</span> for {program.report.tool_changes} changes.{' '}
            <span className="soft">Without acceleration, so at least that.</span>
          </p>
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
      <ProgramDrop operation={o.id} />
      <Caution>
        First run of any changed program, length or offset: air run, low override, hand on feed hold.
      </Caution>
      <h2>Parts logged</h2>
      {job.logs.length === 0 && <p className="soft">None yet.</p>}
      {job.logs.slice(0, 12).map((l) => (
        <div key={l.id} style={{ borderBottom: '1px dotted var(--line)' }}>
          <span className="fig">{l.parts}</span>{' '}
          <span className="soft small">
            {moment(l.happened_at)}, {l.who}
          </span>{' '}
          <EntryBack entry={l.entry_id} what={`${l.parts} parts logged ${moment(l.happened_at)}`} />
        </div>
      ))}
      {job.logs.length > 12 && (
        <p className="soft small">
          and {job.logs.length - 12} more under <Link href="/history">Entries</Link>
        </p>
      )}
    </>
  );
}

function Worst({ line }: { line: ToolLine }) {
  const order: Grade[] = ['stop', 'question', 'not judged'];
  const worst = order.map((g) => line.judgements.find((j) => j.grade === g)).find(Boolean);
  return worst ? (
    <GradeMark grade={worst.grade}>{worst.words}</GradeMark>
  ) : (
    <GradeMark grade="good">good</GradeMark>
  );
}

function ProgramNotes({ job }: { job: JobLine }) {
  const report = job.program!.report;
  return (
    <>
      {report.warnings.length > 0 && (
        <div className="ask">
          <strong>▲ The program itself.</strong>
          <ul style={{ margin: 0, paddingLeft: 18 }}>
            {report.warnings.slice(0, 20).map((w) => (
              <li key={`${w.code} ${w.t}`}>
                {w.t !== null && `T${w.t}: `}
                {w.message}, line {w.lines.slice(0, 6).join(', ')}
                {w.lines.length > 6 && ' …'}
              </li>
            ))}
          </ul>
        </div>
      )}
      {report.not_understood.length > 0 && (
        <details className="because">
          <summary>
            {report.not_understood.length === 1 ? 'One word' : `${report.not_understood.length} words`} not
            understood: figures touched are marked ≥
          </summary>
          <table className="list">
            <tbody>
              {report.not_understood.slice(0, 60).map((n, i) => (
                <tr key={i}>
                  <td className="num fig">line {n.line}</td>
                  <td className="fig">{n.text}</td>
                  <td className="soft">{n.why}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </>
  );
}

function ToolTag({ job, line, assemblies }: { job: JobLine; line: ToolLine; assemblies: AssemblyCard[] }) {
  const query = useQuery();
  const { show, unitWord } = useLengths();
  const { tool } = line;
  return (
    <Tag
      over={`${job.operation.job} on ${job.operation.machine}`}
      number={`T${line.t}`}
      words={line.tag ? `${line.tag}, ${line.words}` : 'no assembly yet'}
      closeHref={query.href({ t: null })}
    >
      <div className="rows">
        <Row name="In the cut" note="min a part" big>
          {tool.lower_bound ? '≥ ' : ''}
          {line.minutesPerPart.toFixed(2)}
        </Row>
        <Row name="Feeds" note={unitWord}>
          {show(tool.cutting_mm, 0)}
        </Row>
        <Row name="Rapid" note={unitWord}>
          {show(tool.rapid_mm, 0)}
        </Row>
        <Row name="Lowest feeding Z" note={unitWord}>
          {tool.lowest_feed_z_mm === null ? 'never feeds' : show(tool.lowest_feed_z_mm, 2)}
        </Row>
        {tool.holes > 0 && <Row name="Holes">{tool.holes}</Row>}
        <Row name="H · D · S">{`${tool.h.join(',') || '—'} · ${tool.d.join(',') || '—'} · ${tool.spindle.join(',') || '—'}`}</Row>
      </div>
      <Judgements list={line.judgements} />
      <h2>{line.tag ? 'Another assembly' : 'Tie an assembly'}</h2>
      <VerbForm
        verb="tieTool"
        fixed={{ operation: job.operation.id, t: line.t }}
        submit="Tie"
        fields={[
          {
            name: 'tag',
            label: 'Assembly (blank frees the T)',
            kind: 'choice',
            wide: true,
            options: assemblies.map(
              (a) => [a.tag, `${a.tag}: ${a.cutter.words}, stickout ${show(a.stickoutMm, 1)}`] as const,
            ),
            start: line.tag ?? '',
          },
        ]}
        said={(d) => `T${line.t} is ${d.tag ? String(d.tag) : 'free'}`}
      />
      <Link href={`/rack?new=build&job=${job.operation.job}&operation=${job.operation.id}&t=${line.t}`}>
        build one for it
      </Link>
      <h2>Depth of one pass</h2>
      <VerbForm
        verb="statePassDepth"
        fixed={{ operation: job.operation.id, t: line.t }}
        submit="State"
        fields={[
          {
            name: 'depth',
            label: line.passDepth ? `Now ${line.passDepth}` : 'Not known yet',
            kind: 'length',
            wide: true,
          },
        ]}
        said={() => `T${line.t}: depth of one pass stated`}
      />
    </Tag>
  );
}

function OperationTag({ job }: { job: JobLine }) {
  const { entered, show, unitWord } = useLengths();
  const { operation: o } = job;
  const unknown = <Unknown>not known</Unknown>;
  return (
    <Tag
      over={`${o.part}, operation ${o.number}`}
      number={o.job}
      words={`${job.ready} of ${job.tools.length} tools ready. Open a T for its checks.`}
      closeHref="/jobs"
    >
      <div className="rows">
        <Row name="Parts left" big>
          {job.partsLeft}
        </Row>
        <Row name="Highest Z beside the cut" note={unitWord}>
          {o.highest_beside_entered ? entered(o.highest_beside_entered, o.highest_beside_mm, 2) : unknown}
        </Row>
        <Row name="Part zero above datum" note={unitWord}>
          {o.part_zero_entered ? entered(o.part_zero_entered, o.part_zero_mm) : unknown}
        </Row>
      </div>
      <h2>State them anew</h2>
      <VerbForm
        verb="stateOperation"
        fixed={{ operation: o.id }}
        submit="State"
        fields={[
          {
            name: 'highestBeside',
            label: 'Highest Z beside the cut',
            kind: 'length',
            optional: true,
            start: o.highest_beside_mm === null ? '' : show(o.highest_beside_mm, 3).replace('−', '-'),
            help: 'part top or jaw, in the program’s coordinates',
          },
          {
            name: 'partZero',
            label: 'Part zero above datum',
            kind: 'length',
            optional: true,
            start: o.part_zero_mm === null ? '' : show(o.part_zero_mm, 3).replace('−', '-'),
          },
        ]}
        said={() => `${o.job}: figures stated`}
      />
    </Tag>
  );
}

function NewJobTag({ shop }: { shop: ShopView }) {
  const query = useQuery();
  const router = useRouter();
  return (
    <Tag over="A job" number="new" closeHref={query.href({ new: null })}>
      <VerbForm
        verb="addJob"
        submit="Add job"
        fields={[
          { name: 'number', label: 'Job number' },
          { name: 'part', label: 'Part' },
          { name: 'revision', label: 'Revision', optional: true },
          { name: 'quantity', label: 'Quantity', kind: 'whole' },
          {
            name: 'material',
            label: 'Material',
            kind: 'choice',
            options: shop.materials.map((m) => [m.code, m.name] as const),
            add: SET_UP.material,
          },
          {
            name: 'machine',
            label: 'Machine',
            kind: 'choice',
            options: shop.machines.map((m) => [m.code, m.name] as const),
            add: SET_UP.machine,
          },
          { name: 'due', label: 'Due', kind: 'day', wide: true },
          {
            name: 'highestBeside',
            label: 'Highest Z beside the cut',
            kind: 'length',
            optional: true,
            help: 'part top or jaw; blank: reach is not checked',
          },
          { name: 'partZero', label: 'Part zero above datum', kind: 'length', optional: true },
        ]}
        said={(d) => `${String(d.number)} added: paste its program next`}
        onDone={(d) => router.push(`/jobs?open=${encodeURIComponent(String(d.number))}`, { scroll: false })}
      />
    </Tag>
  );
}
