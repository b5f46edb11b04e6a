'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Link } from '@/ui/kit/link';
import { type Ages, agesBy, amountWords, MEASURES } from '@/core/life';
import { money } from '@/core/units';
import type { LifeLine, LifeSheet, LifeView } from '@/crib/life';
import { SurvivalChart } from '@/ui/kit/chart';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { Empty } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useTimes } from '@/ui/shell';
import { percent } from '@/ui/screens/common/percent';
import { BesideRows, RegroundRows } from './BesideRows';
import { CountedIn } from './CountedIn';
import { ChangeRows } from './ChangeRows';
import { ForetoldRows } from './ForetoldRows';
import { HolderRows } from './HolderRows';
import { TrialRows } from './TrialRows';
import styles from './Life.module.css';

/** Comes when it is asked for: the screen shows without it. */
const TryForm = dynamic(async () => (await import('./TryForm')).TryForm);

const same = (a: LifeLine, b: LifeLine) => a.item.id === b.item.id && a.material.id === b.material.id;
/** How many lives a figure rests on. */
const livesWords = (l: LifeLine) =>
  l.reckoned < l.lives ? `the latest ${l.reckoned} of ${l.lives}` : String(l.lives);
const medianWords = (l: LifeLine) =>
  !l.median
    ? '—'
    : 'median' in l.median
      ? `${l.median.median.toFixed(0)} min`
      : `more than ${l.median.moreThan.toFixed(0)} min`;

/** Example: '92 % of a life: 20 of 45 min in C45, 30 of 63 in AL'. */
const shareWords = ({ used, of }: NonNullable<LifeView['apart'][number]['share']>): string =>
  `${percent(used)} of a life: ${of
    .map(
      (u, i) =>
        `${u.minutes.toFixed(0)} of ${u.expected.toFixed(0)}${i === 0 ? ' min' : ''} in ${u.material}`,
    )
    .join(', ')}`;

/** Comes where lives were cut at several speeds: most pages do without it. */
const SpeedRows = dynamic(async () => (await import('./SpeedRows')).SpeedRows);
/** And where they were cut by several recipes, or stood in several holders. */
const KindRows = dynamic(async () => (await import('./KindRows')).KindRows);

/** Lives per cutter and material: how long they lasted, how they ended. */
export function LifeScreen({ view, open }: { view: LifeView; open: LifeSheet | null }) {
  const query = useQuery('life');
  return (
    <Middle beside={open ? <LifeTag line={open} /> : null}>
      <h1>Life</h1>
      {!open ? (
        <Empty>
          Here stands how long each cutter lasts in each material, from parts logged and lives ended. It
          begins with the first parts logged on a job.
        </Empty>
      ) : (
        <>
          <div className="soft">
            {open.item.words} in {open.material.name}: {livesWords(open)} lives
          </div>
          <CountedIn line={open} />
          <SurvivalChart life={open} />
          <BesideRows line={open} />
          <RegroundRows line={open} />
          {open.bySpeed && <SpeedRows line={open} of={open.bySpeed} />}
          {(open.byRecipe || open.byHolder) && <KindRows line={open} />}
          <h2>All cutters</h2>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>Cutter</TableCell>
                <TableCell>Material</TableCell>
                <TableCell className="num">Lives</TableCell>
                <TableCell className="num">Median</TableCell>
                <TableCell className="num">Change by</TableCell>
                <TableCell className={styles.endings}>How they ended</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {view.lines.map((l) => (
                <TableRow
                  key={`${l.item.id} ${l.material.id}`}
                  className={same(l, open) ? 'open' : undefined}
                >
                  <TableCell>
                    <Link
                      className="fig"
                      href={query.href({ item: l.item.code, material: l.material.code })}
                      scroll={false}
                    >
                      {l.item.code}
                    </Link>
                  </TableCell>
                  <TableCell>{l.material.code}</TableCell>
                  <TableCell className="num fig">{l.lives}</TableCell>
                  <TableCell className={`num fig ${styles.median}`}>{medianWords(l)}</TableCell>
                  <TableCell className="num fig">{expected(l)}</TableCell>
                  <TableCell className={`small ${styles.endings}`}>
                    {Object.entries(l.endings)
                      .map(([words, n]) => `${n} ${words}`)
                      .join(', ')}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          <p className="small">
            {query.get('after') && <Link href={query.href({ after: null })}>back to the most lives</Link>}{' '}
            {view.next !== null && <Link href={query.href({ after: view.next })}>fewer lives</Link>}
          </p>
          {view.trials.length > 0 && <TrialRows trials={view.trials} />}
          {view.foretold && <ForetoldRows of={view.foretold} />}
          {view.holders.length > 0 && <HolderRows holders={view.holders} />}
          {view.apart.length > 0 && (
            <>
              <h2>Shown apart, not fitted</h2>
              <Table>
                <TableBody>
                  {view.apart.map((l) => (
                    <TableRow key={l.edgeSetId}>
                      <TableCell className="fig">{l.mark}</TableCell>
                      <TableCell className="fig">{l.item}</TableCell>
                      <TableCell className="num fig">
                        {l.minutes > 0 ? `${l.minutes.toFixed(1)} min` : '—'}
                      </TableCell>
                      <TableCell>{l.ended ?? 'still running'}</TableCell>
                      <TableCell className="soft">
                        {l.why}
                        {l.share && `: ${shareWords(l.share)}`}
                      </TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
            </>
          )}
        </>
      )}
    </Middle>
  );
}

/** When to change, or what has been reached without knowing it. */
const expected = ({ expectation: e }: LifeLine): string =>
  e === null
    ? 'cannot say'
    : e.minutes === null
      ? `at least ${(e.atLeast ?? 0).toFixed(0)} min`
      : `${e.minutes.toFixed(0)} min`;

const AGES: Record<Ages, readonly [said: string, means: string]> = {
  'wears out': ['wears out', 'a planned change can pay'],
  'fails early': ['fails early', 'no planned change pays'],
  'wear or chance': ['cannot say', 'wear or chance'],
  'not known': ['cannot say', ''],
};

/** What the shape means, and the shape with its interval, or why there is none. */
function shapeNote(line: LifeSheet): string {
  const { weibull, noWeibull } = line;
  if (!weibull) return noWeibull ?? '';
  const [from, to] = weibull.shapeInterval;
  const likely = from !== null && to !== null ? ` (${from.toFixed(1)} to ${to.toFixed(1)})` : '';
  return `${AGES[agesBy(line)][1]}; shape ${weibull.shape.toFixed(1)}${likely}`;
}

/** What the same lives say in what the hand counts. */
function CountedRows({ counted: c }: { counted: NonNullable<LifeSheet['counted']> }) {
  const { words, unit } = MEASURES[c.measure];
  const half = c.median && ('median' in c.median ? c.median.median : c.median.moreThan);
  return (
    <Row
      name={`In ${words}, half had failed by`}
      note={[
        c.next && `the next one by these alone: ${c.next.from.toFixed(0)} to ${c.next.to.toFixed(0)} ${unit}`,
        c.notKnown > 0 && `not known of ${c.notKnown} lives`,
      ]
        .filter(Boolean)
        .join('; ')}
    >
      {half === null
        ? 'cannot say'
        : `${c.median && 'moreThan' in c.median ? 'more than ' : ''}${half.toFixed(0)}`}
    </Row>
  );
}

function TryAnother({ line }: { line: LifeSheet }) {
  const [open, setOpen] = useState(false);
  return open ? (
    <TryForm line={line} onDone={() => setOpen(false)} />
  ) : (
    <Button variant="text" size="small" onClick={() => setOpen(true)}>
      try another against {line.item.code}
    </Button>
  );
}

function LifeTag({ line }: { line: LifeSheet }) {
  const { day } = useTimes();
  const { expectation: e, consumption: c } = line;
  return (
    <Tag over={`in ${line.material.name}`} number={line.item.code} words={line.item.words}>
      <Rows>
        <Row name="Change by, mean to a failure" note={e?.basis} big>
          {expected(line)}
        </Row>
        {e?.quarter != null && <Row name="A quarter had failed by">{e.quarter.toFixed(0)} min</Row>}
        <Row name="Median">{medianWords(line)}</Row>
        <Row
          name="The next one fails"
          note={line.next ? `${Math.round(line.next.chance * 100)} % between these` : undefined}
        >
          {line.next ? `${line.next.from.toFixed(0)} to ${line.next.to.toFixed(0)} min` : 'cannot say'}
        </Row>
        <Row name="With age it" note={shapeNote(line)}>
          {AGES[agesBy(line)][0]}
        </Row>
        {line.counted && <CountedRows counted={line.counted} />}
        <Row name="Buy by, minutes an edge" note={c?.basis}>
          {c ? `${c.minutesPerEdge.toFixed(0)} min` : 'cannot say'}
        </Row>
        <Row name="Lives">{livesWords(line)}</Row>
      </Rows>
      {e && <BecauseThis because={e.because} label="when to change, because" />}
      {line.next && <BecauseThis because={line.next.because} label="the next one, because" />}
      {c && <BecauseThis because={c.because} label="what to buy by, because" />}
      <p className="soft small">
        Minutes in the cut. Failed: worn, chipped, broken, or changed on a sign. Not failed: crash, pulled
        out, lost, changed at a set count, still running. Curve: Kaplan and Meier with 95 % limits on the
        log-log scale; the median is the first time with at most half not failed. Weibull by maximum
        likelihood, its interval by likelihood ratio, 95 %. A suggestion, not permission.
      </p>
      <ChangeRows key={`${line.item.id} ${line.material.id}`} line={line} />
      <TryAnother key={`try ${line.item.code} ${line.material.code}`} line={line} />
      <h2>Its lives</h2>
      {line.records.map((l) => (
        <div key={l.edgeSetId} style={{ borderBottom: '1px dotted var(--line)', padding: '4px 0' }}>
          <div style={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>
              <span className="fig">{l.mark}</span> {l.ended ?? 'still running'}
            </span>
            <span className="fig">
              {l.lowerBound ? '≥ ' : ''}
              {l.minutes.toFixed(1)} min
            </span>
          </div>
          <div className="soft small">
            {l.parts} parts
            {line.measure === 'holes' && l.holes !== null && `, ${amountWords(l.holes, 'holes')}`}
            {line.counted?.measure === 'metres' &&
              l.metres !== null &&
              `, ${amountWords(l.metres, 'metres')}`}
            , {day(l.began)}
            {l.endedAt && ` to ${day(l.endedAt)}`}
            {l.foretold &&
              ` · foretold ${l.foretold.from.toFixed(0)} to ${l.foretold.to.toFixed(0)} min: ${l.foretold.came}`}
            {l.signs.length > 0 && ` · ${l.signs.join(', ')}`}
            {l.costCents ? ` · cost ${money(l.costCents)}` : ''}
            {l.endedEntry && <EntryBack entry={l.endedEntry} what={`the ending of ${l.mark}`} />}
          </div>
        </div>
      ))}
    </Tag>
  );
}
