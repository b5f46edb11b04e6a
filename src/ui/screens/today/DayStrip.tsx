'use client';
import { useEffect, useState } from 'react';
import { type DayBar, planDay } from '@/core/jobs';
import { linkTo } from '@/core/links';
import { clock } from '@/core/units';
import type { DayLine, DayMachine, DayView } from '@/crib/today';
import { GradeMark } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { shortDay } from '@/ui/shell';
import styles from './Day.module.css';

const A_DAY = 1440;
/** Every so many minutes an hour is written. */
const TICK = 120;
const share = (minutes: number) => `${(100 * minutes) / A_DAY}%`;
const place = (from: number, to: number) => ({ left: share(from), width: share(to - from) });

/** Machines by hours: what goes on each, how its tools stand, where an edge is expected to end, when nobody is there. */
export function DayStrip({ day, now }: { day: DayView; now: number }) {
  const later = useLater();
  const { at: begins, assumed } = day.begins;
  const at = (((now + later - begins) % A_DAY) + A_DAY) % A_DAY;
  return (
    <section aria-label="The day of the machines" className={styles.scroll}>
      <div className={styles.day}>
        <div className={styles.hours} aria-hidden="true">
          {Array.from({ length: A_DAY / TICK + 1 }, (_, i) => (
            <span key={i} style={{ left: share(i * TICK) }}>
              {clock(begins + i * TICK).slice(0, 2)}
            </span>
          ))}
        </div>
        {day.machines.map((m) => (
          <Row key={m.code} machine={m} day={day} now={at} />
        ))}
        <div className={styles.foot}>
          <span className={styles.clock} style={{ left: share(at) }}>
            {clock(begins + at)}
          </span>
          {day.hours.open < A_DAY && (
            <span className={styles.nobody} style={{ left: share(day.hours.open) }}>
              nobody here {clock(begins + day.hours.open)} to {clock(begins)}
            </span>
          )}
        </div>
        {assumed && (
          <p className="soft small">
            The day is taken to begin at {clock(begins)}:{' '}
            <Link href={linkTo('machines', { do: 'days' })}>say when it does</Link>.
          </p>
        )}
      </div>
    </section>
  );
}

/** Minutes since the page came: the line of now goes on while it stands open. */
function useLater(): number {
  const [minutes, setMinutes] = useState(0);
  useEffect(() => {
    const since = performance.now();
    const timer = setInterval(() => setMinutes(Math.floor((performance.now() - since) / 60_000)), 30_000);
    return () => clearInterval(timer);
  }, []);
  return minutes;
}

function Row({ machine: m, day, now }: { machine: DayMachine; day: DayView; now: number }) {
  const work = m.lines.filter((l) => l.starts === null);
  const bars = planDay(work, day.hours, now, m.byHand);
  const shown = new Set(bars.map((b) => b.index));
  const rest = [...work.filter((_, i) => !shown.has(i)), ...m.lines.filter((l) => l.starts !== null)];
  return (
    <div className={styles.row}>
      <div className={styles.machine}>
        <strong>{m.code}</strong>
        <div className="soft small">
          {m.taper}
          {m.byHand && ', by hand'}
        </div>
      </div>
      <div className={styles.lane}>
        {day.hours.open < A_DAY && (
          <div className={styles.alone} style={place(day.hours.open, A_DAY)} aria-hidden="true" />
        )}
        <div className={styles.now} style={{ left: share(now) }} aria-hidden="true" />
        {bars.map((bar) => {
          const line = work[bar.index];
          return (
            line && <Bar key={`${line.job} ${line.number}`} bar={bar} line={line} begins={day.begins.at} />
          );
        })}
        {bars.length === 0 && (
          <span className={`soft small ${styles.none}`}>
            {work.length ? 'stands until somebody is here' : 'nothing to begin today'}
          </span>
        )}
      </div>
      {rest.length > 0 && (
        <div className={`soft small ${styles.rest}`}>
          after that{' '}
          {rest.map((l, i) => (
            <span key={`${l.job} ${l.number}`}>
              {i > 0 && ', '}
              <Link href={linkTo('jobs', { open: l.job, op: l.number })}>{l.job}</Link>
              {l.starts && ` from ${shortDay(l.starts)}`}
            </span>
          ))}
        </div>
      )}
    </div>
  );
}

/** Ends that lie too near to each other to be told apart are one mark. */
const APART = 26;
function together(ends: DayBar['ends']): { at: number; alone: boolean; tools: string[] }[] {
  const marks: { at: number; alone: boolean; tools: string[] }[] = [];
  for (const e of ends.toSorted((a, b) => a.at - b.at)) {
    const last = marks.at(-1);
    if (last && e.at - last.at < APART) last.tools.push(`T${e.t}`);
    else marks.push({ at: e.at, alone: e.alone, tools: [`T${e.t}`] });
  }
  return marks;
}

const LOOKS = {
  good: styles.good,
  question: styles.question,
  stop: styles.stop,
  'not judged': styles.unjudged,
} as const;

function Bar({ bar, line, begins }: { bar: DayBar; line: DayLine; begins: number }) {
  const about = line.atLeast ? 'at least until' : 'about until';
  const until = bar.known
    ? `${about} ${bar.goesOn ? 'after the day' : clock(begins + bar.to)}`
    : 'how long is not known';
  return (
    <>
      <Link
        className={`${styles.bar} ${LOOKS[line.grade]} ${bar.known ? '' : styles.open}`}
        style={place(bar.from, bar.to)}
        href={linkTo('jobs', { open: line.job, op: line.number, do: 'kit' })}
        title={`${line.job} ${line.part}, ${line.partsLeft} left: ${until}`}
      >
        <span className={styles.name}>
          {line.job} {line.part}
        </span>
        <span className={styles.state}>
          <GradeMark grade={line.tools === 0 ? 'not judged' : line.grade}>
            {line.tools === 0
              ? 'no program'
              : (line.why ?? `${line.ready} of ${line.tools} good · ${line.partsLeft} left`)}
          </GradeMark>
        </span>
        <span className="visually-hidden">, {until}</span>
      </Link>
      {together(bar.ends).map(({ at, alone, tools }) => (
        <span
          key={at}
          className={`${styles.end} ${alone ? styles.endAlone : ''}`}
          style={{ left: share(at) }}
          title={`${tools.join(', ')} expected to end about ${clock(begins + at)}${alone ? ', when nobody is here' : ''}: a mean, half end earlier`}
        >
          ▾<span>{tools.join(' ')}</span>
          <span className="visually-hidden">
            {' '}
            of {line.job} expected to end about {clock(begins + at)}
            {alone && ', when nobody is here'}
          </span>
        </span>
      ))}
    </>
  );
}
