'use client';
import type { ToolReport } from '@/core/programs';
import type { JobView } from '@/crib/jobs';
import { GradeMark, Row, Rows } from '@/ui/kit/figure';
import { Fold } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';
import { Changed } from './Changed';
import { type LineLink, Lines, ReportNotes } from './ReportNotes';

/** What a program says, tool by tool, each figure a way to its line in the program beside it. */
export function ProgramTag({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const line: LineLink = (at) => query.href({ line: at });
  const at = Number(query.get('line')) || null;
  return (
    <Tag
      over={job.operation.job}
      number="What it says"
      words="Point at a line to see it in the program."
      closeHref={query.href({ do: null, line: null })}
    >
      {job.report && <ReportNotes report={job.report} line={line} />}
      {job.before && <Before before={job.before} />}
      {job.tools.map(({ t, tool, use }) => (
        <div key={t}>
          <Fold
            says
            open={at !== null && tool.lines.some(([from, to]) => from <= at && at <= to)}
            label={
              <span>
                <span className="fig">T{t}</span> {tool.name}
                {use.grade !== 'good' && (
                  <span className="small">
                    <br />
                    <GradeMark grade={use.grade}>{use.why}</GradeMark>
                  </span>
                )}
              </span>
            }
          >
            <ToolLines tool={tool} line={line} />
          </Fold>
        </div>
      ))}
    </Tag>
  );
}

/** What is other than the program before said, tool by tool. */
function Before({ before: { name, since, who, changes } }: { before: NonNullable<JobView['before']> }) {
  const { moment } = useTimes();
  return (
    <Fold
      says
      label={
        changes.length === 0
          ? 'As the program before, tool by tool'
          : `Other than before: ${changes.length === 1 ? 'one tool' : `${changes.length} tools`}`
      }
    >
      <p className="soft small">
        Before: {name}, read {moment(since)} by {who}.
      </p>
      {changes.map((c) => (
        <div key={c.t} className="small">
          <strong className="fig">T{c.t}</strong>{' '}
          {c.kind === 'new' ? 'is new' : c.kind === 'gone' ? 'is no more in it' : ''}
          {c.changes.map((change) => (
            <Changed key={change.what} change={change} />
          ))}
        </div>
      ))}
    </Fold>
  );
}

function ToolLines({ tool, line }: { tool: ToolReport; line: LineLink }) {
  const { show, unitWord } = useLengths();
  const mm = unitWord;
  const at = (n: number | null) => n !== null && <Lines of={[n]} link={line} />;
  return (
    <Rows>
      <Row name="Comes in" note={<Lines of={tool.lines.map(([from]) => from)} link={line} />}>
        {tool.changes === 1 ? 'once' : `${tool.changes} times`}
      </Row>
      <Row name="In the cut" note="min a part">
        {tool.lower_bound ? '≥ ' : ''}
        {(tool.cutting_s / 60).toFixed(2)}
      </Row>
      {tool.first_z.slice(0, 3).map((z) => (
        <Row key={z.line} name={`First Z, ${z.h === null ? 'no H' : `H${z.h}`}`} note={at(z.line)} unit={mm}>
          {show(z.z_mm, 2)}
        </Row>
      ))}
      {tool.lowest_feed_z_mm !== null && (
        <Row name="Lowest feeding Z" note={at(tool.lowest_feed_z_line)} unit={mm}>
          {show(tool.lowest_feed_z_mm, 2)}
        </Row>
      )}
      {tool.lowest_z_mm !== null && tool.lowest_z_mm !== tool.lowest_feed_z_mm && (
        <Row name="Lowest Z" note={at(tool.lowest_z_line)} unit={mm}>
          {show(tool.lowest_z_mm, 2)}
        </Row>
      )}
      {tool.deepest_hole_mm !== null && (
        <Row name={`${tool.holes} holes, from R`} note={at(tool.deepest_hole_line)} unit={mm}>
          {show(tool.deepest_hole_mm, 2)}
        </Row>
      )}
      {tool.plunges && (
        <Row name="Straight down" note={at(tool.plunges.line)}>
          {tool.plunges.count === 1 ? 'once' : `${tool.plunges.count} times`}
        </Row>
      )}
      {tool.steepest_ramp && (
        <Row name="Steepest way down" note={at(tool.steepest_ramp.line)} unit="°">
          {tool.steepest_ramp.degrees.toFixed(1)}
        </Row>
      )}
      {tool.in_force.slice(0, 6).map((pair) => (
        <Row
          key={`${pair.unit} ${pair.f} ${pair.s}`}
          name={`F${pair.f} by ${pair.s === null ? 'a spindle that stands' : `S${pair.s}`}`}
          note={at(pair.line)}
          unit="min"
        >
          {(pair.cutting_s / 60).toFixed(2)}
        </Row>
      ))}
    </Rows>
  );
}
