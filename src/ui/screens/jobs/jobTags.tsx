'use client';
import { Link } from '@/ui/kit/link';
import { CUTS } from '@/core/cutting';
import { linkTo } from '@/core/links';
import { namesOf } from '@/core/names';
import type { JobView, ToolLine } from '@/crib/jobs';
import { Judgements, Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';
import { SisterWords } from './SisterWords';

/** One T of a job: what the program asks of it, its checks, the assembly tied to it. */
export function ToolTag({ job, line }: { job: JobView; line: ToolLine }) {
  const query = useQuery('jobs');
  const { show, unitWord } = useLengths();
  const { tool } = line;
  return (
    <Tag
      over={`${job.operation.job} on ${job.operation.machine}`}
      number={`T${line.t}`}
      words={`${tool.name ? `${tool.name}. ` : ''}${line.tag ? `${line.tag}, ${line.words}` : 'no assembly yet'}`}
      closeHref={query.href({ t: null })}
    >
      <Rows>
        <Row name="In the cut" note="min a part" big>
          {tool.lower_bound ? '≥ ' : ''}
          {line.minutesPerPart.toFixed(2)}
        </Row>
        <Row name="Feeds" note={unitWord}>
          {show(tool.cutting_mm, 0)}
        </Row>
        <Row name="Rapid" note={unitWord}>
          {show(tool.rapid_known_mm, 0)}
        </Row>
        <Row name="Lowest feeding Z" note={unitWord}>
          {tool.lowest_feed_z_mm === null ? 'never feeds' : show(tool.lowest_feed_z_mm, 2)}
        </Row>
        {tool.holes > 0 && <Row name="Holes">{tool.holes}</Row>}
        <Row name="H · D · S">{`${tool.h.join(',') || '—'} · ${tool.d.join(',') || '—'} · ${tool.spindle.join(',') || '—'}`}</Row>
      </Rows>
      {job.partsLeft > 0 && line.tag !== null && (
        <p>
          Edges for {job.partsLeft} parts:{' '}
          {line.use.edges ? (
            `${tool.lower_bound ? 'at least ' : ''}${line.use.edges.words}.`
          ) : (
            <Unknown>cannot say</Unknown>
          )}
        </p>
      )}
      {job.sisters
        .filter((s) => s.t === line.t)
        .map((s) => (
          <SisterWords key={s.tag} of={s} />
        ))}
      <Judgements list={line.use.judgements} />
      {job.program && (
        <p>
          <Link href={query.href({ do: 'program', line: tool.lines[0]?.[0] ?? null })}>
            see it in the program
          </Link>
        </p>
      )}
      <h2>{line.tag ? 'Another assembly' : 'Tie an assembly'}</h2>
      <VerbForm
        verb="tieTool"
        fixed={{ operation: job.operation.id, t: line.t }}
        submit="Tie"
        fields={[
          {
            name: 'tag',
            label: 'Assembly',
            help: 'blank frees the T',
            kind: 'choice',
            wide: true,
            options: job.standing.map(
              (a) => [a.tag, `${a.tag}: ${a.words}, stickout ${show(a.stickoutMm, 1)}`] as const,
            ),
            start: line.tag ?? '',
          },
        ]}
        said={(d) => `T${line.t} is ${d.tag ? d.tag : 'free'}`}
      />
      <p>
        <Link
          href={linkTo('rack', {
            new: 'build',
            job: job.operation.job,
            operation: job.operation.id,
            t: line.t,
          })}
        >
          build one for it
        </Link>
      </p>
      <h2>{line.plan?.recipe ? `Runs by ${line.plan.recipe}` : 'Keep it as a recipe'}</h2>
      {line.plan?.recipe ? (
        <p>
          <Link href={linkTo('cutting', { open: line.plan.recipe })}>how it is run</Link>
        </p>
      ) : (
        line.tag && (
          <VerbForm
            verb="recipeFromTool"
            fixed={{ operation: job.operation.id, t: line.t }}
            submit="Keep what it runs with"
            fields={[
              {
                name: 'cut',
                label: 'What it does',
                kind: 'choice',
                wide: true,
                options: namesOf(CUTS).map((c) => [c, CUTS[c]] as const),
              },
            ]}
            said={(d) => `${d.code}, ${d.outcome}: T${d.t} runs by it`}
          />
        )
      )}
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

/** An operation: what is known of it beside its program. */
export function OperationTag({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const { entered, unitWord } = useLengths();
  const { operation: o } = job;
  const unknown = <Unknown>not known</Unknown>;
  return (
    <Tag
      over={`${o.part}, operation ${o.number}`}
      number={o.job}
      words={`${job.ready} of ${job.tools.length} tools ready. Open a T for its checks.`}
      closeHref="/jobs"
    >
      <Rows>
        <Row name="Parts left" big>
          {job.partsLeft}
        </Row>
        <Row name="Highest Z beside the cut" note={unitWord}>
          {o.highestBesideEntered ? entered(o.highestBesideEntered, o.highestBesideMm, 2) : unknown}
        </Row>
        <Row name="Part zero above datum" note={unitWord}>
          {o.partZeroEntered ? entered(o.partZeroEntered, o.partZeroMm) : unknown}
        </Row>
      </Rows>
      <p className="small">
        <Link href={query.href({ new: 'operation' })} scroll={false}>
          one more operation
        </Link>{' '}
        ·{' '}
        <Link href={query.href({ new: 'copy' })} scroll={false}>
          make it again as another job
        </Link>{' '}
        ·{' '}
        <Link href={query.href({ new: 'machine' })} scroll={false}>
          put it on another machine
        </Link>
      </p>
      <h2>Starts</h2>
      <VerbForm
        verb="planStart"
        fixed={{ operation: o.id }}
        submit="State start"
        fields={[
          {
            name: 'starts',
            label: 'Day it starts',
            help: 'blank: reckoned from its minutes',
            kind: 'day',
            optional: true,
            wide: true,
            start: o.starts ?? '',
          },
        ]}
        said={(d) => `${o.job}: ${d.starts ? `starts ${d.starts}` : 'its start follows from its minutes'}`}
      />
      <h2>What was booked</h2>
      <VerbForm
        verb="changeJob"
        fixed={{ number: o.job }}
        submit="Change it"
        fields={[
          { name: 'quantity', label: 'Quantity', kind: 'whole', start: String(o.quantity) },
          { name: 'due', label: 'Due', kind: 'day', start: o.due },
          {
            name: 'state',
            label: 'It is',
            kind: 'choice',
            start: o.state,
            options: [
              ['open', 'wanted'],
              ['closed', 'closed: enough was made'],
              ['cancelled', 'cancelled: no more is wanted'],
            ],
          },
          {
            name: 'priority',
            label: 'Of its day it goes',
            kind: 'choice',
            start: o.priority,
            options: [
              ['first', 'first'],
              ['usual', 'as usual'],
              ['can wait', 'last: it can wait'],
            ],
          },
          { name: 'reason', label: 'Why', optional: true },
        ]}
        said={(d) =>
          d.state === 'open' ? `${o.job}: ${d.quantity}, due ${d.due}` : `${o.job} is ${d.state}`
        }
      />
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
            start: o.highestBesideEntered ?? '',
            help: 'part top or jaw, in the program’s coordinates',
          },
          {
            name: 'partZero',
            label: 'Part zero above datum',
            kind: 'length',
            optional: true,
            start: o.partZeroEntered ?? '',
          },
        ]}
        said={() => `${o.job}: figures stated`}
      />
    </Tag>
  );
}
