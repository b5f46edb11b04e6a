'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import type { Grade } from '@/core/because';
import { linkTo } from '@/core/links';
import type { Change, KitState } from '@/core/pockets';
import type { KitOf, PocketsView } from '@/crib/pockets';
import { GradeMark } from '@/ui/kit/figure';
import { Fold, Lines, Notice } from '@/ui/kit/page';
import styles from './Pockets.module.css';

/** How a state of a kit is marked: what may go on is good, what a person must see to is a question. */
const MARK: Record<KitState, Grade> = {
  'loaded and good': 'good',
  'loaded, life too short': 'question',
  'loaded, to look at': 'question',
  'pulled, ready': 'good',
  'pulled, to look at': 'question',
  'in the crib, ready': 'good',
  'in the crib, to look at': 'question',
  elsewhere: 'question',
  'to measure': 'question',
  'to build': 'question',
  missing: 'stop',
};

type Job = PocketsView['jobs'][number];

/** The open jobs of a machine: how each T stands, what is to be changed for it, or swapped by hand in which order. */
export function Jobs({
  view,
  onPut,
}: {
  view: PocketsView;
  onPut: ((tag: string, pocket: number, t: number) => void) | null;
}) {
  const byHand = view.magazine?.kind === 'by hand';
  if (!view.jobs.length)
    return (
      <p className="soft">
        No open job on {view.machine.code}. <Link href={linkTo('jobs')}>Jobs</Link>
      </p>
    );
  return view.jobs.map((job, i) => (
    <section key={job.operation} aria-label={job.job}>
      <h2>
        {i === 0 ? 'Next: ' : ''}
        <Link href={linkTo('jobs', { open: job.job })}>{job.job}</Link>{' '}
        <span className="soft small">{howMany(job.lines, byHand)}</span>
      </h2>
      {onPut && <Changes changes={view.changes[i]} lines={job.lines} onPut={onPut} />}
      {byHand ? <Swaps job={job} /> : <Kit lines={job.lines} />}
    </section>
  ));
}

function howMany(lines: readonly KitOf[], byHand: boolean): string {
  const wanted: KitState = byHand ? 'in the crib, ready' : 'loaded and good';
  const good = lines.filter((l) => l.state === wanted).length;
  if (!lines.length) return 'no program yet';
  return `${good} of ${lines.length} ${byHand ? 'ready' : wanted}`;
}

function Kit({ lines }: { lines: readonly KitOf[] }) {
  const rest = lines.filter((l) => l.state !== 'loaded and good');
  const good = lines.filter((l) => l.state === 'loaded and good');
  return (
    <>
      <ul className={styles.kit}>
        {rest.map((l) => (
          <KitLine key={l.t} line={l} />
        ))}
      </ul>
      {good.length > 0 && (
        <Fold label={`● ${good.length} loaded and good`} says>
          <ul className={styles.kit}>
            {good.map((l) => (
              <KitLine key={l.t} line={l} />
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}

/** How a T stands, with where it is. */
const standsAs = ({ state, elsewhere, pocket }: KitOf): string =>
  state === 'elsewhere' && elsewhere !== null
    ? elsewhere
    : [state, elsewhere ?? (pocket === null ? null : `pocket ${pocket}`)]
        .filter((x) => x !== null)
        .join(', ');

function KitLine({ line: l }: { line: KitOf }) {
  return (
    <li>
      <strong className="fig">T{l.t}</strong>
      {l.tag ? (
        <Link className="fig" href={linkTo('rack', { open: l.tag })}>
          {l.tag}
        </Link>
      ) : (
        <span className="soft">·</span>
      )}
      <span>
        {l.words} {l.why && <span className="soft small">{l.why}</span>}
      </span>
      {/* What must not run is a stop here as everywhere, wherever it hangs. */}
      <GradeMark grade={l.tag !== null && l.grade === 'stop' ? 'stop' : MARK[l.state]}>
        {standsAs(l)}
      </GradeMark>
    </li>
  );
}

/** Where tools are swapped by hand: each stop of the program in its order, with what goes in then. */
function Swaps({ job }: { job: Job }) {
  const byT = new Map(job.lines.map((l) => [l.t, l]));
  return (
    <>
      <p className="soft small">
        In the order the program stops; laid out so, none is looked for with the spindle waiting.
      </p>
      <ul className={styles.kit}>
        {job.order.flatMap((t, stop) => {
          const line = byT.get(t);
          return line ? [<KitLine key={`${stop} ${t}`} line={line} />] : [];
        })}
      </ul>
    </>
  );
}

/** What is done at the magazine before a job; nothing: it can begin. */
function Changes({
  changes,
  lines,
  onPut,
}: {
  changes: PocketsView['changes'][number] | undefined;
  lines: readonly KitOf[];
  onPut: (tag: string, pocket: number, t: number) => void;
}) {
  if (!changes) return null;
  return (
    <>
      {changes.noRoom.length > 0 && (
        <Notice kind="stop">
          No room for {changes.noRoom.map((t) => `T${t}`).join(', ')}: this job wants more tools than there
          are pockets.
        </Notice>
      )}
      {changes.changes.length > 0 && (
        <>
          <p className="small">
            {changes.changes.length === 1 ? 'One change' : `${changes.changes.length} changes`}, the fewest
            for the jobs after it as well:
          </p>
          <Lines>
            {changes.changes.map((c) => {
              const line = lines.find((l) => l.t === c.load?.t);
              return (
                <li key={`${c.pocket} ${c.load?.tag ?? ''}`}>
                  {words(c)}{' '}
                  {line && line.state !== 'in the crib, ready' && (
                    <GradeMark grade={line.grade === 'good' ? 'question' : line.grade}>
                      {line.grade === 'stop' ? 'not before another is built' : standsAs(line)}
                    </GradeMark>
                  )}{' '}
                  {c.load && line?.grade !== 'stop' && (
                    <Button
                      size="small"
                      variant="text"
                      onClick={() => c.load && onPut(c.load.tag, c.pocket, c.load.t)}
                    >
                      it is in
                    </Button>
                  )}
                </li>
              );
            })}
          </Lines>
        </>
      )}
    </>
  );
}

const words = ({ pocket, load, out }: Change): string =>
  load
    ? `${load.tag} as T${load.t} into pocket ${pocket}${out ? `, in the place of ${out}` : ''}`
    : `${out ?? 'what is in it'} out of pocket ${pocket}`;

/** Cutters kept under their number, and whether they are there. */
export function Kept({ kept }: { kept: PocketsView['kept'] }) {
  if (!kept.length) return null;
  return (
    <section>
      <h2>Kept in it under its number</h2>
      <ul className={styles.kit}>
        {kept.map((k) => (
          <li key={k.t}>
            <strong className="fig">T{k.t}</strong>
            <Link className="fig" href={linkTo('cutters', { open: k.item })}>
              {k.item}
            </Link>
            <span />
            {k.right ? (
              <GradeMark grade="good">{k.is}</GradeMark>
            ) : (
              <GradeMark grade="question">{k.is ? `${k.is} is of another` : 'not in it'}</GradeMark>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
