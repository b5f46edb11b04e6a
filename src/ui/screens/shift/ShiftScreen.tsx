'use client';
import Button from '@mui/material/Button';
import { linkTo, linkToRun } from '@/core/links';
import type { ShiftView } from '@/crib/shift';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Caution, Head, Lines, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { Middle, useSurroundings, useTimes } from '@/ui/shell';
import styles from './Shift.module.css';

/** What is handed over: what was done since the last time, what must not run, runs out, is held, lent and waited for. */
export function ShiftScreen({ view }: { view: ShiftView }) {
  const { since, waiting } = view;
  const { moment } = useTimes();
  const { who } = useSurroundings();
  return (
    <Middle>
      <Head>
        <div>
          <h1>Hand-over</h1>
          <div className="soft">
            {since
              ? `since ${since.takenBy} took over ${since.takenAt ? moment(since.takenAt) : ''} from ${since.who}`
              : 'nothing was taken over yet: since the day before'}
            {waiting && '; what stands is as of now, what was made and done up to the hand-over'}
          </div>
        </div>
        <Acts>
          <Button href="/api/v1/hand-over.pdf">print it</Button>
        </Acts>
      </Head>
      {waiting && (
        <Notice now>
          <strong>
            {waiting.who} handed over {moment(waiting.happenedAt)}
          </strong>
          {waiting.words ? `: ${waiting.words}` : ', without a note.'}{' '}
          <EntryBack entry={waiting.entryId} what="the hand-over" />
          <VerbForm
            verb="takeOver"
            fixed={{ handOver: waiting.entryId }}
            submit={who ? `Take it over as ${who}` : 'Take it over'}
            fields={[]}
            said={(d) => `taken over from ${d.from}`}
          />
        </Notice>
      )}
      {!waiting && (
        <>
          <h2>Hand over now</h2>
          <VerbForm
            verb="handOver"
            submit="Hand over"
            fields={[
              {
                name: 'words',
                label: 'A note for whoever takes over',
                kind: 'lines',
                optional: true,
                wide: true,
              },
            ]}
            said={() => 'handed over: whoever comes takes it over here'}
          />
        </>
      )}
      <div className={styles.heaps}>
        {view.heaps.map((heap) => (
          <section key={heap.name} aria-label={heap.name}>
            <h2>
              {heap.name} <span className="soft small">{heap.lines.length}</span>
            </h2>
            <Lines>
              {heap.lines.map((l) => (
                <li key={`${l.todo} ${l.href}`} className={styles.line}>
                  <Link href={l.href}>{l.todo}</Link>
                  {l.machine && <span className="soft">, {l.machine}</span>}
                  <div className="soft small">{l.why}</div>
                </li>
              ))}
            </Lines>
          </section>
        ))}
        {view.lent.length > 0 && (
          <section aria-label="Lent">
            <h2>
              Lent <span className="soft small">{view.lent.length}</span>
            </h2>
            <Lines>
              {view.lent.map((l) => (
                <li key={`${l.person} ${l.what}`} className={styles.line}>
                  {l.what} <span className="soft">to {l.person}</span>
                  {l.due && <div className="soft small">back by {l.due}</div>}
                </li>
              ))}
            </Lines>
          </section>
        )}
        <section aria-label="Made">
          <h2>Made</h2>
          {view.made.length === 0 && <p className="soft">No parts were logged.</p>}
          <Lines>
            {view.made.map((m) => (
              <li key={m.operationId} className={styles.line}>
                <span className="fig">{m.parts}</span> of{' '}
                <Link href={linkToRun(m.operationId)}>
                  {m.job} {m.part}
                </Link>
                <span className="soft">, {m.machine}</span>
              </li>
            ))}
          </Lines>
          {view.moreMade && <p className="soft">And more: these were logged last.</p>}
        </section>
        <section aria-label="Done">
          <h2>Done</h2>
          {view.done.length === 0 && <p className="soft">Nothing else was changed.</p>}
          <Lines>
            {view.done.map((d) => (
              <li key={d.id} className={styles.line}>
                {d.words}
                {d.note && <> — {d.note}</>}{' '}
                <span className="soft small">
                  {moment(d.happenedAt)}, {d.who}
                </span>
              </li>
            ))}
          </Lines>
          {view.more && (
            <p className="small">
              More stands under <Link href={linkTo('history')}>Entries</Link>.
            </p>
          )}
        </section>
      </div>
      <Caution>
        Whoever takes over looks at the machine before starting it: what runs, what is clamped, what is hot or
        sharp, which guard is open.
      </Caution>
    </Middle>
  );
}
