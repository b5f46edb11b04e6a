'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useState } from 'react';
import type { Grade } from '@/core/because';
import type { BackupsJudged } from '@/core/keeping';
import { linkTo } from '@/core/links';
import type { DayView, TodayView, WorkKind, WorkLine } from '@/crib/today';
import { BecauseThis, GradeMark } from '@/ui/kit/figure';
import { Acts, Empty, Fold, Head, Notice, Views } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, shortDay, useSurroundings, useTimes } from '@/ui/shell';
import { DayStrip } from './DayStrip';
import { SayOf } from './SayOf';
import styles from './Today.module.css';

const KINDS: Record<WorkKind, { grade: Grade; words: string }> = {
  'in question': { grade: 'question', words: 'in question' },
  stop: { grade: 'stop', words: 'stop' },
  wear: { grade: 'stop', words: 'worn' },
  life: { grade: 'question', words: 'life nearly used' },
  'delivery late': { grade: 'stop', words: 'delivery late' },
  order: { grade: 'question', words: 'to order' },
  build: { grade: 'not judged', words: 'to build' },
  measure: { grade: 'not judged', words: 'to measure' },
  'which tool': { grade: 'question', words: 'which tool?' },
  'late back': { grade: 'question', words: 'late back' },
  certificate: { grade: 'question', words: 'certificate' },
  holder: { grade: 'not judged', words: 'holder' },
  count: { grade: 'not judged', words: 'to count' },
  grade: { grade: 'not judged', words: 'to grade' },
  held: { grade: 'stop', words: 'held' },
  cause: { grade: 'question', words: 'why?' },
};

const GOES = { first: 'goes first', usual: '', 'can wait': 'can wait' } as const;

/** What stops the work, what is to be done today, and what waits for a quiet hour; each line lies in one of them. */
const HEAPS: readonly (readonly [string, (line: WorkLine, today: string) => boolean])[] = [
  ['Nothing runs until', (l) => KINDS[l.kind].grade === 'stop'],
  ['Before the day is out', (l, today) => KINDS[l.kind].grade !== 'stop' && isDue(l, today)],
  ['When there is time', (l, today) => KINDS[l.kind].grade !== 'stop' && !isDue(l, today)],
];
const isDue = (l: WorkLine, today: string) =>
  KINDS[l.kind].grade === 'question' || (l.by !== null && l.by <= today);

type People = readonly { initials: string; name: string }[];

/** The worklist: what to do, why, by when; each line opens the thing it is about. */
export function TodayScreen({
  view,
  people,
  today,
  day = null,
  now = 0,
  backups = null,
}: {
  view: TodayView;
  /** What each machine has before it; null: it is not shown. */
  day?: DayView | null;
  /** Minutes after midnight in the shop. */
  now?: number;
  people: People;
  today: string;
  /** How safe the data is kept, for whom that is a matter; null: it is none. */
  backups?: BackupsJudged | null;
}) {
  const query = useQuery('today');
  const { who } = useSurroundings();
  /** The line of which something is being said. */
  const [saying, setSaying] = useState<string | null>(null);
  const of = query.get('of');
  const lines = of === null ? view.lines : view.lines.filter((l) => l.given === of);
  const givenTo = [...new Set([...view.lines.flatMap((l) => l.given ?? []), ...(of === null ? [] : [of])])];
  const lineOf = (line: WorkLine) => (
    <Line
      key={line.key}
      line={line}
      today={today}
      people={people}
      saying={saying === line.key}
      onSay={() => setSaying(saying === line.key ? null : line.key)}
    />
  );
  return (
    <Middle>
      <Head>
        <div>
          <h1>Today</h1>
          <div className="soft">
            {view.lines.length === 0
              ? 'Nothing waits.'
              : `${view.lines.length} things wait: what can hurt or mislead first, then by day and machine.`}
          </div>
        </div>
        <Acts>
          <Button component={Link} href={linkTo('shift')}>
            Hand over
          </Button>
        </Acts>
      </Head>
      {backups && (backups.grade === 'stop' || backups.grade === 'question') && (
        <Notice kind={backups.grade} label="Backups">
          <Link href={linkTo('keeping')}>{backups.words}.</Link> {backups.wayOut}
        </Notice>
      )}
      {day && day.machines.length > 0 && <DayStrip day={day} now={now} />}
      {givenTo.length > 0 && (
        <Views
          label="Whose work"
          stay
          views={[
            { words: 'All', href: query.href({ of: null }), shown: of === null },
            ...givenTo.sort().map((p) => ({
              words: `${p === who ? 'Mine' : p} (${view.lines.filter((l) => l.given === p).length})`,
              href: query.href({ of: p }),
              shown: of === p,
            })),
          ]}
        />
      )}
      {view.lines.length === 0 && view.later.length === 0 ? (
        <Empty>
          Here stands what to build, measure, change, order and grade, each with its reason. It fills from
          jobs, assemblies and stock: start with a <Link href={linkTo('jobs', { new: 'job' })}>job</Link> or
          an <Link href={linkTo('rack', { new: 'build' })}>assembly</Link>.
        </Empty>
      ) : (
        <div className={styles.heaps}>
          {HEAPS.map(([name, is]) => {
            const heap = lines.filter((l) => is(l, today));
            return (
              heap.length > 0 && (
                <section key={name} aria-label={name}>
                  <h2 className={styles.heap}>
                    {name} <span className="soft small">{heap.length}</span>
                  </h2>
                  <ol className={styles.work}>{heap.map(lineOf)}</ol>
                </section>
              )
            );
          })}
        </div>
      )}
      {view.later.length > 0 && (
        <Fold label={`Done for today or put off: ${view.later.length}`}>
          <ol className={styles.work}>{view.later.map(lineOf)}</ol>
        </Fold>
      )}
    </Middle>
  );
}

function Line({
  line,
  today,
  people,
  saying,
  onSay,
}: {
  line: WorkLine;
  today: string;
  people: People;
  saying: boolean;
  onSay: () => void;
}) {
  return (
    <li>
      <GradeMark grade={KINDS[line.kind].grade}>{KINDS[line.kind].words}</GradeMark>
      <div>
        <Link className={styles.todo} href={line.href}>
          {line.todo}
        </Link>{' '}
        {(line.cutter ?? line.machine ?? (line.goes === 'usual' ? null : line.goes)) && (
          <span className="soft small">
            {[line.cutter, line.machine, line.goes !== 'usual' && GOES[line.goes]]
              .filter(Boolean)
              .join(' · ')}
          </span>
        )}
        <div>
          {line.why} {line.because && <BecauseThis because={line.because} />}
        </div>
        {line.said && <Said said={line.said} todo={line.todo} today={today} />}
        {saying && <SayOf line={line} today={today} people={people} onSaid={onSay} />}
      </div>
      <div className={styles.by}>
        {line.by && (
          <>
            <span className="soft small">by </span>
            <span className="fig">{shortDay(line.by)}</span>
            {line.by < today && (
              <div className="small" style={{ color: 'var(--rust)', fontWeight: 650 }}>
                ■ past
              </div>
            )}
          </>
        )}
        <Button
          size="small"
          variant="text"
          aria-expanded={saying}
          aria-label={`${line.given ? `${line.given} has it. ` : ''}${line.mayWait ? 'Done, later or given' : 'Give'}: ${line.todo}`}
          onClick={onSay}
        >
          {line.given ? `${line.given} has it` : line.mayWait ? 'done, later …' : 'give …'}
        </Button>
      </div>
    </li>
  );
}

/** What was said of it and when it comes back; once it came back, that it did. */
function Said({ said, todo, today }: { said: NonNullable<WorkLine['said']>; todo: string; today: string }) {
  const { day } = useTimes();
  const away = said.until > today;
  return (
    <div className="soft small">
      {said.word === 'done' ? 'said done' : 'put off'} by {said.who} on {day(said.at)}
      {said.reason && `: ${said.reason}`}
      {away ? `; comes back on ${shortDay(said.until)} if it is still so` : ', and it is still so'}{' '}
      {away && <EntryBack entry={said.entryId} what={`what was said of: ${todo}`} />}
    </div>
  );
}
