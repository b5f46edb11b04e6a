'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { lifeState } from '@/core/life';
import { linkTo, linkToEnd } from '@/core/links';
import type { RackCard, RunView } from '@/crib/rack';
import { Stepper } from '@/ui/kit/field';
import { GradeMark } from '@/ui/kit/figure';
import { ProblemNote, SendButton, useVerb, VerbForm } from '@/ui/kit/form';
import { Acts, Lines, Caution, Hand, Notice } from '@/ui/kit/page';
import { Middle, useSurroundings } from '@/ui/shell';
import styles from './Run.module.css';

/** At the machine: parts made, and each tool's life with its end a tap away. */
export function RunScreen({ view: { job, assemblies, openUses, standing } }: { view: RunView }) {
  const [parts, setParts] = useState('1');
  const { who } = useSurroundings();
  const log = useVerb('logParts');
  const { operation: o } = job;
  return (
    <Middle>
      <Hand>
        <h1>
          {o.job} {o.part}
        </h1>
        <div className="soft">
          {o.machine} · {o.partsMade} of {o.quantity} made
        </div>
        {!who && <Notice>Pick your initials first: under Areas.</Notice>}
        <h2>Parts made since the last log</h2>
        <Stepper label="Parts made" value={parts} onChange={setParts} />
        <Acts>
          <SendButton
            variant="contained"
            style={{ minHeight: 56, width: '100%', fontSize: 18 }}
            pending={log.pending}
            onSend={() =>
              void log
                .send({ operation: o.id, parts }, (d) => `${d.parts} parts of ${o.job} logged`)
                .then((d) => d && setParts('1'))
            }
          >
            {log.pending ? 'Writing …' : 'Log parts'}
          </SendButton>
        </Acts>
        <ProblemNote problem={log.problem} />
        {openUses.map((u) => (
          <Notice key={u.t}>
            <strong>
              T{u.t} ran {u.minutes.toFixed(1)} min without a tag.
            </strong>{' '}
            Which assembly was it?
            <VerbForm
              verb="assignUse"
              fixed={{ operation: o.id, t: u.t }}
              submit="It was this one"
              fields={[
                {
                  name: 'tag',
                  label: 'Assembly',
                  kind: 'choice',
                  wide: true,
                  options: standing.map((a) => [a.tag, `${a.tag}: ${a.words}`] as const),
                },
              ]}
              said={(d) => `${Number(d.minutes).toFixed(1)} min given to ${d.tag}`}
            />
          </Notice>
        ))}
        <h2>Tools</h2>
        <Lines>
          {job.tools.map((t) => {
            const card = assemblies.find((a) => a.tag === t.tag);
            return (
              <li className={styles.tool} key={t.t}>
                <div>
                  <strong className="fig">T{t.t}</strong>{' '}
                  {card ? (
                    <Link className="fig" href={linkTo('rack', { open: card.tag })}>
                      {card.tag}
                    </Link>
                  ) : (
                    <GradeMark grade="question">no tag tied</GradeMark>
                  )}{' '}
                  <span className="soft small">{t.words}</span>
                </div>
                {card && <LifeBar card={card} operation={o.id} />}
                {card && (
                  <Acts style={{ marginTop: 0 }}>
                    <Button component={Link} href={linkToEnd(card.tag)}>
                      End life of T{t.t}
                    </Button>
                    <Button component={Link} href={linkTo('rack', { open: card.tag, do: 'wear' })}>
                      Wear
                    </Button>
                  </Acts>
                )}
              </li>
            );
          })}
        </Lines>
        <Caution>
          Door shut, interlock working. Move part and spindle well apart before reaching in; brush chips,
          never by hand.
        </Caution>
      </Hand>
    </Middle>
  );
}

function LifeBar({ card, operation }: { card: RackCard; operation: number }) {
  const { used, leftMinutes } = card.life;
  const state = lifeState(used);
  const goodFor = card.ties.find((t) => t.operation === operation)?.goodFor ?? null;
  return (
    <div>
      {used !== null && (
        <div
          style={{ height: 10, border: '1px solid var(--accent)', background: 'var(--sheet)' }}
          aria-hidden="true"
        >
          <div
            style={{
              width: `${Math.min(100, used * 100)}%`,
              height: '100%',
              background: state === 'going' ? 'var(--accent)' : 'var(--brass)',
            }}
          />
        </div>
      )}
      <div className="small">
        {used === null || leftMinutes === null ? (
          'life left: cannot say'
        ) : state === 'past' ? (
          <GradeMark grade="question">past its expected life</GradeMark>
        ) : state === 'ending' ? (
          <GradeMark grade="question">
            {goodFor === null ? '' : `about ${goodFor} parts left, `}change soon
          </GradeMark>
        ) : (
          `${goodFor === null ? `${leftMinutes.toFixed(0)} min` : `about ${goodFor} parts`} left`
        )}
      </div>
    </div>
  );
}
