'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import type { Likely, Side } from '@/core/life';
import { money } from '@/core/units';
import type { LifeView } from '@/crib/life';
import { BecauseThis, GradeMark, Row as Figure, Rows } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { RanApart } from './RanApart';
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
  const words = WORDS[row.tried];
  return (
    <section aria-label={row.number} style={{ borderTop: '1px solid var(--line)', padding: '8px 0' }}>
      <div>
        <strong className="fig">{row.number}</strong> <One row={row} side="first" /> against{' '}
        <One row={row} side="second" />
        {row.cutter && (
          <>
            {' '}
            with{' '}
            <Link className="fig" href={linkTo('cutters', { open: row.cutter })}>
              {row.cutter}
            </Link>
          </>
        )}{' '}
        in {row.material}{' '}
        <span className="soft small">
          since {day(row.beganAt)}, {row.who}
          {row.why ? ` · ${row.why}` : ''}
        </span>
      </div>
      <p style={{ margin: '4px 0' }}>
        <b>{verdict(t)}</b> {doubt(t)}
      </p>
      {t.ranApart && (
        <RanApart
          of={t.ranApart}
          names={{ first: words.named(row, 'first'), second: words.named(row, 'second') }}
        />
      )}
      {t.out !== null && <GradeMark grade="question">{t.out}</GradeMark>}
      {t.next && (
        <p style={{ margin: '4px 0' }}>
          {words.next(row)} <b className="fig">{row[t.next]}</b>{' '}
          <span className="soft small">
            {t.begun[0]} and {t.begun[1]} have begun
            {t.neither > 0 && `; ${t.neither} more ${words.neither}`}
          </span>
        </p>
      )}
      <Rows>
        {SIDES.map((side, i) => {
          const mean = t.means[side];
          const rate = t.rates[side];
          return (
            <Figure
              key={side}
              name={`${words.named(row, side)}, mean to a failure`}
              note={[
                `${t.failures[i === 0 ? 0 : 1]} failed of ${t.begun[i === 0 ? 0 : 1]}`,
                mean && `likely ${mean.from.toFixed(0)} to ${mean.to.toFixed(0)} min`,
                litreWords(t.litres?.[side] ?? null),
                rate.aMinute
                  ? `edges a 100 min ${money(Math.round(rate.aMinute.cents * 100))}, likely ${money(Math.round(rate.aMinute.from * 100))} to ${money(Math.round(rate.aMinute.to * 100))}`
                  : rate.edge.cents === null && `no price of ${rate.edge.of}`,
              ]
                .filter(Boolean)
                .join('; ')}
            >
              {mean ? `${mean.value.toFixed(0)} min` : 'cannot say'}
            </Figure>
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
            : `${row[row.winner]} won; ${
                row.tried === 'cutter'
                  ? `what lies of ${row[row.winner === 'first' ? 'second' : 'first']} is used up first`
                  : 'it goes first'
              }`}
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

type Row = Trial['row'];
/** How a trial is spoken of, by what is tried. */
const WORDS: Readonly<
  Record<
    Row['tried'],
    {
      next: (row: Row) => string;
      /** One of the two as what lasts. */
      named: (row: Row, side: Side) => string;
      /** Which lives of its cutter are of neither. */
      neither: string;
    }
  >
> = {
  cutter: { next: () => 'Next into the machine:', named: (row, side) => row[side], neither: '' },
  holder: {
    next: (row) => `The next ${row.cutter} goes into`,
    named: (row, side) => `${row.cutter} in ${row[side]}`,
    neither: 'in neither',
  },
  recipe: {
    next: (row) => `The next ${row.cutter} runs by`,
    named: (row, side) => `${row.cutter} by ${row[side]}`,
    neither: 'by neither, or by both',
  },
};

/** One of the two, where it is kept. */
const One = ({ row, side }: { row: Row; side: Side }) => (
  <Link
    className="fig"
    href={
      row.tried === 'recipe'
        ? linkTo('cutting', { material: row.material, open: row[side] })
        : linkTo('cutters', { open: row[side] })
    }
  >
    {row[side]}
  </Link>
);

const litreWords = (litre: Likely | null): string | null =>
  litre &&
  `a litre ${money(Math.round(litre.value))}, likely ${money(Math.round(litre.from))} to ${money(Math.round(litre.to))}`;

const verdict = ({ state, longer, row }: Trial): string =>
  state === 'told' && longer
    ? `${WORDS[row.tried].named(row, longer)} lasts longer${row.tried === 'recipe' ? ', in minutes: what a litre costs stands beside it' : ''}.`
    : state === 'not told'
      ? 'Over, and they can’t be told apart.'
      : row.endedEntryId !== null
        ? 'Ended before its lives could tell.'
        : `Cannot say yet: it goes on until ${2 * row.failuresEach} have failed.`;

/** How sure that is. */
function doubt({ p, times, row }: Trial): string {
  if (p === null) return 'Nothing has failed yet.';
  const { named } = WORDS[row.tried];
  const likely =
    times?.from != null && times.to != null
      ? ` ${named(row, 'first')} likely lasts ${times.from.toFixed(2)} to ${times.to.toFixed(2)} times as long as ${named(row, 'second')}.`
      : '';
  return `If both lasted alike, so great a difference would come about by chance in ${percent(p)} of such trials.${likely}`;
}
