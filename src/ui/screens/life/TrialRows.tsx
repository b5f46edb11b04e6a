'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import { money } from '@/core/units';
import type { LifeView } from '@/crib/life';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { percent } from '@/ui/screens/common/percent';
import { useTimes } from '@/ui/shell';

/** Comes when somebody decides: the screen shows without it. */
const EndTrialForm = dynamic(async () => (await import('./TryForm')).EndTrialForm);

type Trial = LifeView['trials'][number];
const SIDES = ['first', 'second'] as const;

/** Trials that go on, and those that were decided: whose turn it is, what they say so far, and with what doubt. */
export function TrialRows({ trials }: { trials: readonly Trial[] }) {
  return (
    <section aria-label="Trials">
      <h2>Trials</h2>
      {trials.map((t) => (
        <TrialRow key={t.row.id} trial={t} />
      ))}
    </section>
  );
}

function TrialRow({ trial: t }: { trial: Trial }) {
  const { day } = useTimes();
  const { row } = t;
  return (
    <section aria-label={row.number} style={{ borderTop: '1px solid var(--line)', padding: '8px 0' }}>
      <div>
        <strong className="fig">{row.number}</strong>{' '}
        <Link className="fig" href={linkTo('cutters', { open: row.first })}>
          {row.first}
        </Link>{' '}
        against{' '}
        <Link className="fig" href={linkTo('cutters', { open: row.second })}>
          {row.second}
        </Link>{' '}
        in {row.material}{' '}
        <span className="soft small">
          since {day(row.beganAt)}, {row.who}
          {row.why ? ` · ${row.why}` : ''}
        </span>
      </div>
      <p style={{ margin: '4px 0' }}>
        <b>{verdict(t)}</b> {doubt(t)}
      </p>
      {t.next && (
        <p style={{ margin: '4px 0' }}>
          Next into the machine: <b className="fig">{row[t.next]}</b>{' '}
          <span className="soft small">
            {t.begun[0]} and {t.begun[1]} have begun
          </span>
        </p>
      )}
      <Rows>
        {SIDES.map((side, i) => {
          const mean = t.means[side];
          const rate = t.rates[side];
          return (
            <Row
              key={side}
              name={`${row[side]}, mean to a failure`}
              note={[
                `${t.failures[i === 0 ? 0 : 1]} failed of ${t.begun[i === 0 ? 0 : 1]}`,
                mean && `likely ${mean.from.toFixed(0)} to ${mean.to.toFixed(0)} min`,
                rate.aMinute
                  ? `edges a 100 min ${money(Math.round(rate.aMinute.cents * 100))}, likely ${money(Math.round(rate.aMinute.from * 100))} to ${money(Math.round(rate.aMinute.to * 100))}`
                  : rate.edge.cents === null && `no price of ${rate.edge.of}`,
              ]
                .filter(Boolean)
                .join('; ')}
            >
              {mean ? `${mean.value.toFixed(0)} min` : 'cannot say'}
            </Row>
          );
        })}
      </Rows>
      <div>
        <BecauseThis because={t.because} label="what it says, because" />
      </div>
      {row.endedEntryId === null ? (
        <Ending trial={t} />
      ) : (
        <p className="small" style={{ margin: '4px 0' }}>
          Ended {row.endedAt && day(row.endedAt)} by {row.endedBy}:{' '}
          {row.winner === null
            ? 'neither won'
            : `${row[row.winner]} won; what lies of ${row[row.winner === 'first' ? 'second' : 'first']} is used up first`}
          {row.words ? ` · ${row.words}` : ''}{' '}
          <EntryBack entry={row.endedEntryId} what={`the end of ${row.number}`} />
        </p>
      )}
    </section>
  );
}

function Ending({ trial: t }: { trial: Trial }) {
  const [open, setOpen] = useState(false);
  return open ? (
    <EndTrialForm trial={t} onDone={() => setOpen(false)} />
  ) : (
    <Button variant="text" size="small" onClick={() => setOpen(true)}>
      end {t.row.number}
    </Button>
  );
}

const verdict = ({ state, longer, row }: Trial): string =>
  state === 'told' && longer
    ? `${row[longer]} lasts longer.`
    : state === 'not told'
      ? 'Over, and they can’t be told apart.'
      : `Cannot say yet: it goes on until ${2 * row.failuresEach} have failed.`;

/** How sure that is. */
function doubt({ p, times, row }: Trial): string {
  if (p === null) return 'Nothing has failed yet.';
  const likely =
    times?.from != null && times.to != null
      ? ` ${row.first} likely lasts ${times.from.toFixed(2)} to ${times.to.toFixed(2)} times as long as ${row.second}.`
      : '';
  return `If both lasted alike, so great a difference would come about by chance in ${percent(p)} of such trials.${likely}`;
}
