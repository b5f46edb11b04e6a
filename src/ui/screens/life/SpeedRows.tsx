'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { Likely } from '@/core/life';
import type { BySpeed, LifeSheet } from '@/crib/life';
import { BecauseThis, Unknown } from '@/ui/kit/figure';
import { percent } from '@/ui/screens/common/percent';

/** Lives by cutting speed, Taylor's law through them, and where a part costs least. */
export function SpeedRows({ line, of }: { line: LifeSheet; of: BySpeed }) {
  return (
    <section aria-label="By cutting speed">
      <h2>By cutting speed</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Vc, m/min</TableCell>
            <TableCell className="num">Lives</TableCell>
            <TableCell className="num">Failed</TableCell>
            <TableCell className="num">Mean of these, min</TableCell>
            <TableCell className="num">Reckoned with at it, min</TableCell>
            <TableCell className="num">The next one, min</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {of.groups.map((g) => (
            <TableRow key={g.from}>
              <TableCell className="fig">{span(g.from, g.to)}</TableCell>
              <TableCell className="num fig">{g.lives}</TableCell>
              <TableCell className="num fig">{g.failed}</TableCell>
              <TableCell className="num fig">
                {g.mean ? `${g.mean.value.toFixed(0)} (${likely(g.mean, 0)})` : <Unknown>cannot say</Unknown>}
              </TableCell>
              <TableCell className="num fig">
                <Expected of={g.expectation} />
              </TableCell>
              <TableCell className="num fig">
                {g.next ? likely(g.next, 0) : <Unknown>cannot say</Unknown>}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {of.law ? (
        <div>
          Taylor’s n {of.law.n.value.toFixed(2)} ({likely(of.law.n, 2)}): a tenth faster lasts{' '}
          {percent(1 - 1.1 ** (-1 / of.law.n.value))} less. {cheapestWords(of.cheapest)}
        </div>
      ) : (
        <div>No law of speed: {of.noLaw}.</div>
      )}
      <BecauseThis because={of.because} />
      <p className="soft small">
        Vc at DC {of.DC} mm, by the programs that were logged; a life counts where nine tenths of it were cut
        at one speed{of.apart > 0 ? `, ${of.apart} ${of.apart === 1 ? 'is' : 'are'} of none` : ''}. In
        brackets the 95 % limits. A T that runs at one of these speeds is reckoned with by its line; the
        others’ lives are taken there and count as assumed. What stands above of the next one is of all speeds
        together.{' '}
        {of.law && 'Depths, feed and coolant are taken to be alike at all speeds: look whether they were.'}{' '}
        {of.law &&
          !of.cheapest &&
          `What changes cost in ${line.material.name} would say where a part costs least.`}
      </p>
    </section>
  );
}

/** What is reckoned with on a T that runs at this speed, and why. */
function Expected({ of }: { of: BySpeed['groups'][number]['expectation'] }) {
  if (!of) return <Unknown>cannot say</Unknown>;
  return (
    <>
      {of.minutes === null ? `at least ${(of.atLeast ?? 0).toFixed(0)}` : of.minutes.toFixed(0)}{' '}
      <BecauseThis because={of.because} />
    </>
  );
}

const span = (from: number, to: number): string =>
  from.toFixed(0) === to.toFixed(0) ? from.toFixed(0) : `${from.toFixed(0)} to ${to.toFixed(0)}`;
const likely = ({ from, to }: Omit<Likely, 'value'>, digits: number): string =>
  `${from.toFixed(digits)} to ${to.toFixed(digits)}`;

function cheapestWords(cheapest: BySpeed['cheapest']): string {
  if (!cheapest) return '';
  const beyond =
    cheapest.beyond === null
      ? ''
      : `; nobody has cut it ${cheapest.beyond === 'slower' ? 'so slow' : 'so fast'} here: go there in steps`;
  return `A part costs least at about ${cheapest.value.toFixed(0)} m/min (${cheapest.to === null ? `${cheapest.from.toFixed(0)} or faster` : likely({ ...cheapest, to: cheapest.to }, 0)}), where it lasts ${cheapest.minutes.toFixed(0)} min${beyond}.`;
}
