'use client';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { LIMITS } from '@/core/limits';
import { compareTools, type ProgramReport, type ReadOptions, type ToolReport } from '@/core/programs';
import { Acts, Notice } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';
import { Changed } from './Changed';
import { PathPictures } from './PathPictures';
import type { Reading } from './reading';
import { ReportNotes } from './ReportNotes';

const megabytes = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${Math.round(bytes / 1e6)} MB`;

/** A program as it was read in this page, before anything is stored: its tools, and what is other than before. */
export function ReadHere({
  reading,
  options,
  rapidMmMin,
  stored,
  onStop,
}: {
  reading: Reading;
  /** How it is read, and the machine's rapid rate where that is known. */
  options: Partial<ReadOptions>;
  rapidMmMin: number | null;
  /** Tools of the program in force; null: there is none. */
  stored: readonly ToolReport[] | null;
  onStop: () => void;
}) {
  if (reading.state === 'lost')
    return (
      <Notice>
        {reading.name} could not be read: {reading.why}. Choose it again.
      </Notice>
    );
  if (reading.state === 'reading')
    return (
      <div role="status">
        <p className="small">
          Reading {reading.name}: {megabytes(reading.bytes)} of {megabytes(reading.size)}
        </p>
        <LinearProgress
          variant="determinate"
          aria-label={`Reading ${reading.name}`}
          value={reading.size ? Math.min(100, (100 * reading.bytes) / reading.size) : 0}
        />
        <Acts>
          <Button onClick={onStop}>Stop reading</Button>
        </Acts>
      </div>
    );
  const { report, name, size, file } = reading;
  return (
    <section aria-label={`What ${name} says`}>
      <p>
        <strong>{name}</strong>{' '}
        <span className="soft small">
          {megabytes(size)}, read here; nothing is stored yet
          {size > LIMITS.programCharacters.most &&
            `, and it is too large to be stored: at most ${megabytes(LIMITS.programCharacters.most)}`}
        </span>
      </p>
      <Tools report={report} stored={stored} />
      <PathPictures {...{ file, options, rapidMmMin }} tools={report.tools} keepsRoom />
      <ReportNotes report={report} />
    </section>
  );
}

function Tools({ report, stored }: { report: ProgramReport; stored: readonly ToolReport[] | null }) {
  const { show, unitWord } = useLengths();
  const changes = stored && compareTools(stored, report.tools);
  const of = (t: number) => changes?.find((c) => c.t === t);
  const gone = changes?.filter((c) => c.kind === 'gone') ?? [];
  return (
    <>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>T</TableCell>
            <TableCell className="num">Min in the cut</TableCell>
            <TableCell className="num">Lowest Z, {unitWord}</TableCell>
            <TableCell className="num">Holes</TableCell>
            <TableCell>H · S</TableCell>
            {stored && <TableCell>Other than before</TableCell>}
          </TableRow>
        </TableHead>
        <TableBody>
          {report.tools.map((tool) => (
            <TableRow key={tool.t}>
              <TableCell>
                <span className="fig">T{tool.t}</span>{' '}
                {tool.name && <span className="soft small">{tool.name}</span>}
              </TableCell>
              <TableCell className="num fig">
                {tool.lower_bound ? '≥ ' : ''}
                {(tool.cutting_s / 60).toFixed(2)}
              </TableCell>
              <TableCell className="num fig">{show(tool.lowest_feed_z_mm, 2)}</TableCell>
              <TableCell className="num fig">{tool.holes || '—'}</TableCell>
              <TableCell className="fig">
                {tool.h.join(', ') || '—'} · {tool.spindle.join(', ') || '—'}
              </TableCell>
              {stored && (
                <TableCell className="small">
                  {of(tool.t)?.kind === 'new' ? (
                    'a new tool'
                  ) : of(tool.t) ? (
                    of(tool.t)?.changes.map((c) => <Changed key={c.what} change={c} />)
                  ) : (
                    <span className="soft">as before</span>
                  )}
                </TableCell>
              )}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {report.tools.length === 0 && <Notice>No tool change was found in it: is it the right file?</Notice>}
      {gone.length > 0 && <p className="small">No more in it: {gone.map((c) => `T${c.t}`).join(', ')}.</p>}
    </>
  );
}
