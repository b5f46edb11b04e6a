'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { MOST_UNWATCHED_PARTS } from '@/core/life';
import { addressOf, linkTo, linkToAlone, linkToRun } from '@/core/links';
import { ALONE_CHANCES } from '@/core/questions';
import type { UnwatchedView } from '@/crib/jobs';
import { PickOne, Stepper } from '@/ui/kit/field';
import { GradeMark } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Caution, Hand, Lines, Notice } from '@/ui/kit/page';
import { percent } from '@/ui/screens/common/percent';
import { Middle } from '@/ui/shell';
import styles from './Run.module.css';

const CHANCES = ALONE_CHANCES.map((c) => [c, `${Math.round(Number(c) * 100)} %`] as const);

/** Whether a run may be left alone, tool by tool and together, and what to change before leaving. */
export function AloneScreen({ view }: { view: UnwatchedView }) {
  const router = useRouter();
  const [parts, setParts] = useState(String(view.parts));
  const goes = /^\d+$/.test(parts) && Number(parts) >= 1 && Number(parts) <= MOST_UNWATCHED_PARTS;
  const ask = (chance: string) =>
    goes && router.replace(addressOf(linkToAlone(view.operation), { parts, chance }), { scroll: false });
  const wanted = ALONE_CHANCES.find((c) => Number(c) === view.wanted) ?? ALONE_CHANCES[1];
  const changes = view.lines.filter((l) => l.change);
  return (
    <Middle>
      <Hand>
        <h1>Leave {view.job} alone?</h1>
        <div className="soft">
          {view.part} on {view.machine} · {view.partsLeft} parts left ·{' '}
          <Link href={linkToRun(view.operation)}>back to the machine</Link>
        </div>
        <h2>Parts until somebody looks again</h2>
        <Stepper label="Parts until somebody looks again" value={parts} onChange={setParts} />
        <div className="soft small">
          {(view.cutMinutes / 60).toFixed(1)} h in the cut for {view.parts}; rapids and changes come on top
        </div>
        <h2>Every edge is to last with</h2>
        <PickOne label="Every edge is to last with" options={CHANCES} value={wanted} onChange={ask} />
        {!goes && (
          <Notice kind="stop">1 to {MOST_UNWATCHED_PARTS} parts: whole parts, until somebody looks.</Notice>
        )}
        {goes && parts !== String(view.parts) && (
          <Acts>
            <Button variant="contained" onClick={() => ask(wanted)}>
              Reckon for {parts}
            </Button>
          </Acts>
        )}
        <BeforeLeaving against={view.against} />
        <Verdict view={view} changes={changes.length} />
        <h2>Tools</h2>
        <Lines>
          {view.lines.map((l) => (
            <li className={styles.tool} key={l.t}>
              <div>
                <strong className="fig">T{l.t}</strong>{' '}
                {l.tag ? (
                  <Link className="fig" href={linkTo('rack', { open: l.tag })}>
                    {l.tag}
                  </Link>
                ) : (
                  <span className="soft">no tag tied</span>
                )}{' '}
                <span className="soft small">{l.words}</span>
              </div>
              {l.chance === null ? (
                <GradeMark grade="not judged">cannot say: {whyUnknown(l)}</GradeMark>
              ) : (
                <GradeMark grade={l.worn ? 'stop' : l.change ? 'question' : 'good'}>
                  {l.change ? `change it before you leave: ` : ''}
                  {l.worn ? 'it is worn' : `${percent(l.chance)} that it lasts`}
                  {l.change && l.fresh !== null ? `, a fresh one ${percent(l.fresh)}` : ''}
                </GradeMark>
              )}
              {l.use.grade !== 'good' && !l.worn && (
                <GradeMark grade={l.use.grade}>{l.use.why ?? 'may not run'}</GradeMark>
              )}
              <div className="soft small">
                {l.atLeast ? 'at least ' : ''}
                {l.minutes.toFixed(1)} min in the cut
                {l.used === null ? '' : ` · ${Math.round(l.used * 100)} % of its life gone`}
              </div>
              {l.sisters.length > 0 && <div className="soft small">{sistersWords(l)}</div>}
            </li>
          ))}
        </Lines>
        <p className="soft small">
          From the lives of each cutter in this material, of those that lasted as long as this edge has; each
          edge fails by itself. Chips, clamping, power and coolant are not in it. A suggestion, not
          permission.
        </p>
        <Caution>
          Running unattended follows the site’s own rules: fire watch, coolant, door and interlock, who is
          called.
        </Caution>
      </Hand>
    </Middle>
  );
}

const whyUnknown = (l: UnwatchedView['lines'][number]): string =>
  l.tag === null
    ? 'nothing is tied to it'
    : l.otherWear
      ? 'it is worn here at another wear than its lives were counted to'
      : 'no life of it here and none assumed';

/** Example: 'after 8 more, by the machine’s counter, goes on with its sister A-0012 in pocket 5'. */
function sistersWords({ sisters, counted }: UnwatchedView['lines'][number]): string {
  const who = sisters
    .map(({ tag, pocket, worn, use }) => {
      const why = worn ? 'worn' : use.grade === 'good' ? null : (use.why ?? 'may not run');
      return `${tag} in pocket ${pocket}${why ? ` (${why})` : ''}`;
    })
    .join(', then ');
  const ones = sisters.length === 1 ? 'its sister' : 'its sisters';
  return counted === null
    ? `${ones} ${who}: not reckoned with, nobody said after how many parts the machine changes`
    : `after ${counted} more, by the machine’s counter, goes on with ${ones} ${who}`;
}

/** What somebody must see to first, however long the edges last. */
function BeforeLeaving({ against }: Pick<UnwatchedView, 'against'>) {
  if (!against.length) return null;
  return (
    <Notice kind={against.some((x) => x.grade === 'stop') ? 'stop' : 'question'}>
      <strong>Not to be left alone before this is seen to:</strong>
      {against.map(({ t, words }) => (
        <span key={`${t} ${words}`} style={{ display: 'block' }}>
          <span className="fig">T{t}</span> {words}
        </span>
      ))}
    </Notice>
  );
}

/** What it comes to, in a sentence. */
function Verdict({ view, changes }: { view: UnwatchedView; changes: number }) {
  const { thrown } = view;
  const away =
    thrown.cost !== null && thrown.cost > 0
      ? ` Life worth ${thrown.cost.toFixed(2)} is thrown away with them.`
      : thrown.minutes > 0
        ? ` ${thrown.minutes.toFixed(0)} min of life are thrown away with them.`
        : '';
  const unknown = view.unknown.length ? ` Not in it: T${view.unknown.join(', T')}.` : '';
  const more = view.lines.filter((l) => l.atLeast).map((l) => `T${l.t}`);
  const longer = more.length
    ? ` ${more.join(', ')} may cut for longer: the program was not understood whole, so it is that at most.`
    : '';
  const ofKnown = view.unknown.length === view.lines.length;
  if (ofKnown) return <Notice kind="question">Cannot say: of none of its tools is anything known.</Notice>;
  const said = `${percent(view.now)} that every edge lasts`;
  if (view.reached && changes === 0)
    return (
      <p>
        {view.against.length ? (
          <strong>{said}.</strong>
        ) : (
          <GradeMark grade="good">{said}: enough as it stands.</GradeMark>
        )}{' '}
        {goesWords(view)}
      </p>
    );
  return (
    <Notice kind={view.after >= view.wanted ? 'question' : 'stop'}>
      <strong>
        {said}
        {changes ? `, ${percent(view.after)} after ${changes} ${changes === 1 ? 'change' : 'changes'}` : ''}.
      </strong>
      {changes ? away : ''}
      {view.after < view.wanted && ' Not reached even with every edge fresh.'} {goesWords(view)}
      {unknown}
      {longer}
    </Notice>
  );
}

/** Example: 'At 95 % it runs for 3 parts as it stands, for 7 with every edge fresh.' */
function goesWords({ goesFor: { asItStands, fresh }, wanted, lines }: UnwatchedView): string {
  const parts = (n: number) => (n === 0 ? 'no part' : n === 1 ? '1 part' : `${n} parts`);
  const stands = lines.some((l) => l.worn) ? 'with the worn changed' : 'as it stands';
  return `At ${Math.round(wanted * 100)} % it runs for ${parts(asItStands)} ${stands}${
    fresh > asItStands ? `, for ${fresh} with every edge fresh` : ''
  }.`;
}
