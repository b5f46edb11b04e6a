'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { linkTo } from '@/core/links';
import type { LifeView } from '@/crib/life';
import { Link } from '@/ui/kit/link';
import { GradeMark } from '@/ui/kit/figure';
import { percent } from '@/ui/screens/common/percent';

/** How cutters did in each holder beside the same cutters in all others. */
export function HolderRows({ holders }: { holders: LifeView['holders'] }) {
  return (
    <section aria-label="By holder">
      <h2>By holder</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Holder</TableCell>
            <TableCell className="num">Lives</TableCell>
            <TableCell className="num">Failed</TableCell>
            <TableCell className="num">Expected</TableCell>
            <TableCell>Beside all others</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {holders.map((h) => (
            <TableRow key={h.by}>
              <TableCell>
                <Link
                  className="fig"
                  href={h.marked ? linkTo('holders', { open: h.by }) : linkTo('cutters', { open: h.by })}
                >
                  {h.by}
                </Link>
              </TableCell>
              <TableCell className="num fig">{h.lives}</TableCell>
              <TableCell className="num fig">{h.failed}</TableCell>
              <TableCell className="num fig">{h.expected.toFixed(1)}</TableCell>
              <TableCell>
                {h.diesYoung ? (
                  <GradeMark grade="question">
                    its cutters die young: by chance in {percent(h.p)} of such lists
                  </GradeMark>
                ) : (
                  <span className="soft">nothing that chance does not do</span>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <p className="soft small">
        Expected: as many as would have failed there if each cutter lasted in its material as it does in the
        other holders. Where cutters die young, look at taper, collet, runout and pull stud before the
        cutters.
      </p>
    </section>
  );
}
