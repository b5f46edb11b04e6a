'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { Fragment } from 'react';
import type { ProgramReport } from '@/core/programs';
import { Link } from '@/ui/kit/link';
import { Fold, Notice } from '@/ui/kit/page';

/** Lines named of one thing; the rest stand in the program itself. */
const LINES_SHOWN = 6;
export type LineLink = (line: number) => string;

/** Lines of a program by number, each a way to it where the program lies beside. */
export function Lines({ of, link }: { of: readonly number[]; link?: LineLink }) {
  return (
    <>
      {of.length === 1 ? 'line' : 'lines'}{' '}
      {of.slice(0, LINES_SHOWN).map((line, i) => (
        <Fragment key={line}>
          {i > 0 && ', '}
          {link ? (
            <Link className="fig" href={link(line)} scroll={false}>
              {line}
            </Link>
          ) : (
            <span className="fig">{line}</span>
          )}
        </Fragment>
      ))}
      {of.length > LINES_SHOWN && ` and ${of.length - LINES_SHOWN} more`}
    </>
  );
}

/** What a program is warned of, and what of it was not understood. */
export function ReportNotes({ report, line }: { report: ProgramReport; line?: LineLink }) {
  return (
    <>
      {report.warnings.length > 0 && (
        <Notice>
          <strong>The program itself.</strong>
          <ul style={{ margin: 0, paddingLeft: 18 }}>
            {report.warnings.slice(0, 20).map((w) => (
              <li key={`${w.code} ${w.t}`}>
                {w.t !== null && `T${w.t}: `}
                {w.message}, <Lines of={w.lines} link={line} />
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
                  <TableCell className="num fig">
                    <Lines of={[n.line]} link={line} />
                  </TableCell>
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
