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
import { Limits } from './Limits';

/** Lives by cutting speed, Taylor's law through them, and where a part costs least. */
export function SpeedRows({ line, of }: { line: LifeSheet; of: BySpeed }) {
  return (
    <section aria-label="By cutting speed">
      <h2>By cutting speed</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Vc, m/min</TableCell>
            <TableCell className="num">Failed</TableCell>
            <TableCell className="num">Mean, min</TableCell>
            <TableCell className="num">Reckoned with, min</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {of.groups.map((g) => (
            <TableRow key={g.from} sx={{ '& > td': { verticalAlign: 'top' } }}>
              <TableCell className="fig">{span(g.from, g.to)}</TableCell>
              <TableCell className="num">
                <span className="fig">{g.failed}</span> of <span className="fig">{g.lives}</span>
              </TableCell>
              <TableCell className="num fig">
                {g.mean ? <Limits of={g.mean} show={whole} /> : <Unknown>cannot say</Unknown>}
              </TableCell>
              <TableCell className="num fig">
                <Reckoned of={g} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {of.groups.map(
        (g) =>
          g.expectation && (
            <div key={g.from}>
              <BecauseThis
                because={g.expectation.because}
                label={`at ${span(g.from, g.to)} m/min, because`}
              />
            </div>
          ),
      )}
      {of.law ? (
        <div>
          Taylor’s n {of.law.n.value.toFixed(2)} ({likely(of.law.n, 2)}): a tenth faster lasts{' '}
          {percent(1 - 1.1 ** (-1 / of.law.n.value))} less. {cheapestWords(of.cheapest)}
        </div>
      ) : (
        <div>No law of speed: {of.noLaw}.</div>
      )}
      <BecauseThis because={of.because} label="the law, because" />
      <p className="soft small">
        Vc at DC {of.DC} mm, by the programs that were logged; a life is of a speed where nine tenths of it
        were cut at it{of.apart > 0 ? `, ${of.apart} ${of.apart === 1 ? 'is' : 'are'} of none` : ''}. Below a
        figure, or in brackets, its 95 % limits; of the next one 90 % fail between these. A T that runs at one
        of these speeds is reckoned with by its line; the others’ lives are taken there and count as assumed.
        What stands above of the next one is of all speeds together.{' '}
        {of.law && 'Depths, feed and coolant are taken to be alike at all speeds: look whether they were.'}{' '}
        {of.law &&
          !of.cheapest &&
          `What changes cost in ${line.material.name} would say where a part costs least.`}
      </p>
    </section>
  );
}

/** What is reckoned with on a T that runs at this speed, and between what the next one fails. */
function Reckoned({ of: { expectation, next } }: { of: BySpeed['groups'][number] }) {
  if (!expectation) return <Unknown>cannot say</Unknown>;
  const { minutes, atLeast } = expectation;
  return (
    <>
      {minutes === null ? `at least ${whole(atLeast ?? 0)}` : whole(minutes)}
      {next && <div className="soft small">the next {likely(next, 0)}</div>}
    </>
  );
}

const whole = (n: number): string => n.toFixed(0);
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
