'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { OUTCOMES } from '@/core/life';
import type { ForetoldYear } from '@/crib/life';
import { percent } from '@/ui/screens/common/percent';
import { useTimes } from '@/ui/shell';

const SAYS: Record<ForetoldYear['says'], string> = {
  hold: 'As far as these tell, nothing speaks against the intervals.',
  'too narrow': 'The intervals promise too much: reckon with earlier and later ends than they say.',
  'too wide': 'The intervals are wider than they need to be.',
  'cannot say':
    'None has ended in the cut or gone past its interval yet, so that nothing can be said of them.',
};

/** What was foretold of lives as they began, and what came. */
export function ForetoldRows({ of }: { of: ForetoldYear }) {
  const { day } = useTimes();
  const { inside } = of;
  return (
    <section aria-label="Foretold, and what came">
      <h2>Foretold, and what came</h2>
      <p>
        {of.more ? `Of the latest ${of.lives} lives` : `Of ${of.lives} lives`} that began since{' '}
        {day(`${of.from}T12:00:00Z`)}
        {inside ? (
          <>
            ,{' '}
            {inside.share === null ? (
              <>
                between <b>{percent(inside.from)}</b> and <b>{percent(inside.to)}</b> fall inside what was
                foretold when they began: those that run longest have not failed yet. 90 % should.{' '}
              </>
            ) : (
              <>
                <b>{percent(inside.share)}</b> fell inside what was foretold when they began (likely{' '}
                {percent(inside.from)} to {percent(inside.to)}); 90 % should.{' '}
              </>
            )}
          </>
        ) : (
          ': '
        )}
        {SAYS[of.says]}
      </p>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Began in</TableCell>
            <TableCell className="num">Lives</TableCell>
            {OUTCOMES.map((o) => (
              <TableCell key={o} className="num">
                {o}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {of.months.map((m) => (
            <TableRow key={m.month}>
              <TableCell className="fig">{m.month}</TableCell>
              <TableCell className="num fig">{m.lives}</TableCell>
              {OUTCOMES.map((o) => (
                <TableCell key={o} className="num fig">
                  {m.came[o]}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <p className="soft small">
        Lives of fresh edges in one material. One that runs on inside its interval, or was changed or crashed
        there, tells nothing yet; the share reckons with it as one that had not failed by then.
      </p>
    </section>
  );
}
