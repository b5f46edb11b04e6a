'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { linkToEnd, linkToLabel } from '@/core/links';
import type { AssemblyView } from '@/crib/rack';
import { Entry } from '@/ui/kit/field';
import { BecauseThis, GradeMark, Judgements, Row, Rows } from '@/ui/kit/figure';
import { ProblemNote, type Second, SendButton, useVerb, VerbForm } from '@/ui/kit/form';
import { Acts, Caution, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';
import { LifeRows, NotMeasured, Registers, Uses } from './assemblyFigures';
import { placeOptions } from '@/ui/screens/common/options';

type Place = { code: string; name: string; kind: string; inUse: boolean };

/** An assembly's tag: its big figures, the question about it, its actions. */
export function AssemblyTag({ card, places }: { card: AssemblyView; places: Place[] }) {
  const query = useQuery('rack');
  const { entered, show, unitWord } = useLengths();
  const act = query.get('do');
  const m = card.measured;
  const now = m.state === 'not measured' ? null : m.measurement;
  const close = query.href({ open: null, do: null });
  const done = () => history.replaceState(null, '', query.href({ do: null }));
  return (
    <Tag
      over={card.ties.length ? 'An assembly' : 'An assembly, tied to no job'}
      number={card.tag}
      words={`${card.cutter.words}, in ${card.holder.words}`}
      closeHref={close}
    >
      <Rows>
        <Row name="Length" unit={now ? unitWord : undefined} big>
          {now ? (
            m.state === 'in question' ? (
              <GradeMark grade="question">{entered(now.gaugeLengthEntered, now.gaugeLengthMm)}</GradeMark>
            ) : (
              entered(now.gaugeLengthEntered, now.gaugeLengthMm)
            )
          ) : (
            <NotMeasured />
          )}
        </Row>
        <Row name="Diameter" unit={now?.diameterEntered ? unitWord : undefined}>
          {now?.diameterEntered ? entered(now.diameterEntered, now.diameterMm) : <NotMeasured />}
        </Row>
        <Row name="Stickout" note={`${(card.stickoutMm / card.cutter.DC).toFixed(1)} × D`} unit={unitWord}>
          {entered(card.stickoutEntered, card.stickoutMm, 1)}
        </Row>
        <Row name="Runout" unit={now?.runoutEntered ? unitWord : undefined}>
          {now?.runoutEntered ? entered(now.runoutEntered, now.runoutMm) : <NotMeasured />}
        </Row>
      </Rows>
      {card.judgements
        .filter((j) => j.grade === 'stop')
        .map((j) => (
          <Notice key={j.code} kind="stop">
            <strong>{j.words}.</strong> It was built despite this, and the stop stands until the build is
            changed.
          </Notice>
        ))}
      <Uses card={card} />
      {m.state === 'in question' && <Question card={card} />}
      {act === 'measure' ? (
        <>
          <h2>Measure {card.tag}</h2>
          <VerbForm
            verb="recordMeasurement"
            fixed={{ tag: card.tag }}
            submit="Record"
            when
            fields={[
              {
                name: 'gaugeLength',
                label: 'Gauge length',
                kind: 'length',
                help: `expected ${show(card.expectedMm, 1)}`,
              },
              { name: 'diameter', label: 'Diameter', kind: 'length', optional: true },
              { name: 'runout', label: 'Runout', kind: 'length', optional: true },
            ]}
            said={(d) =>
              d.inQuestion
                ? `${card.tag} recorded, in question: no register until it is settled`
                : `${card.tag} measured`
            }
            onDone={done}
          />
          <Caution>Cutters are sharp even when worn: hold by the shank, never on the flutes.</Caution>
        </>
      ) : act === 'wear' ? (
        <>
          <h2>Flank wear</h2>
          <VerbForm
            verb="recordWear"
            fixed={{ tag: card.tag }}
            submit="Record"
            when
            fields={[
              {
                name: 'flankWear',
                label: 'Flank wear VB',
                kind: 'length',
                help: `worn at ${show(card.wear.limit.value, 2)}. ${card.wear.limit.because.words}`,
              },
            ]}
            said={() => `wear of ${card.tag} recorded`}
            onDone={done}
          />
          <Caution>
            Read wear with the spindle stopped and the coolant off, or the tool out of the machine; the edge
            cuts even worn.
          </Caution>
        </>
      ) : act === 'stickout' ? (
        <>
          <h2>Set the stickout anew</h2>
          <p className="soft small">
            A new build with a new tag, not measured until it is. The jobs it is tied to follow it.
          </p>
          <VerbForm
            verb="resetStickout"
            fixed={{ tag: card.tag }}
            submit="Set anew"
            fields={[
              { name: 'stickout', label: 'Stickout', kind: 'length' },
              { name: 'despite', label: 'Why, if a stop is judged', optional: true },
            ]}
            said={(d) => `${card.tag} is now ${d.tag}, to be measured`}
          />
        </>
      ) : act === 'down' ? (
        <>
          <h2>Take down</h2>
          <p className="soft small">
            The cutter is still good and its life goes on. If it ended, end its life instead.
          </p>
          <VerbForm
            verb="takeDown"
            fixed={{ tag: card.tag }}
            submit="Take down"
            fields={[
              {
                name: 'cutterTo',
                label: 'Cutter goes to',
                kind: 'choice',
                options: placeOptions(places),
              },
            ]}
            said={(d) => `${card.tag} taken down, cutter ${d.piece} to ${d.cutterTo}`}
          />
        </>
      ) : (
        <Acts>
          <Button
            variant={m.state === 'measured' ? 'outlined' : 'contained'}
            component={Link}
            href={query.href({ do: 'measure' })}
            scroll={false}
          >
            {m.state === 'not measured' ? 'Measure' : 'Measure again'}
          </Button>
          <Button component={Link} href={query.href({ do: 'wear' })} scroll={false}>
            Wear
          </Button>
          <Button component={Link} href={linkToEnd(card.tag)}>
            End life
          </Button>
          <Button variant="text" component={Link} href={query.href({ do: 'stickout' })} scroll={false}>
            stickout
          </Button>
          <Button variant="text" component={Link} href={query.href({ do: 'down' })} scroll={false}>
            take down
          </Button>
          <Button variant="text" component={Link} href={linkToLabel(card.tag)} target="_blank">
            print tag
          </Button>
        </Acts>
      )}
      <h2>Registers</h2>
      {card.registers.length === 0 && (
        <p className="soft">
          {m.state === 'in question'
            ? 'None while the length is in question.'
            : m.state === 'not measured'
              ? 'None until it is measured.'
              : 'No machine here is known to take this taper.'}
        </p>
      )}
      {card.registers.map((r) => (
        <Registers key={r.machine} r={r} t={card.ties.find((x) => x.machine === r.machine)?.t ?? null} />
      ))}
      <LifeRows card={card} />
      <h2>The build</h2>
      <Judgements list={card.judgements} />
      {card.cutter.guesses.length + card.holder.guesses.length > 0 && (
        <p className="soft small">
          Leans on a guess: {[...card.cutter.guesses, ...card.holder.guesses].join(', ')}.
        </p>
      )}
      {card.outline.assumed.length > 0 && (
        <p className="soft small">{card.outline.assumed.map((a) => a.words).join('; ')}.</p>
      )}
      <Past card={card} />
    </Tag>
  );
}

function Question({ card }: { card: AssemblyView }) {
  const { send, problem, pending, barred } = useVerb('judgeMeasurement');
  const [last, setLast] = useState(true);
  const [reason, setReason] = useState('');
  if (card.measured.state !== 'in question') return null;
  const { measurement } = card.measured;
  const judge = (accepted: boolean, second?: Second) => {
    setLast(accepted);
    void send(
      { measurement: measurement.entryId, accepted, reason },
      () => `${card.tag}: measurement ${accepted ? 'accepted' : 'rejected'}`,
      second,
    );
  };
  return (
    <Notice>
      {measurement.questions.map((q) => (
        <div key={q.code}>
          <strong>{q.words}.</strong> {q.because.words} <BecauseThis because={q.because} />
        </div>
      ))}
      <label className="small" style={{ display: 'block' }}>
        Reason to accept or reject
        <Entry
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          style={{
            width: '100%',
            font: 'inherit',
            padding: 6,
            background: 'var(--sheet)',
            color: 'var(--ink)',
            border: '1px solid var(--line)',
          }}
        />
      </label>
      <ProblemNote problem={problem} onSecond={(second) => judge(last, second)} />
      <Acts>
        <SendButton size="small" pending={pending} barred={barred} onSend={() => judge(true)}>
          Accept
        </SendButton>
        {barred === null && (
          <SendButton size="small" pending={pending} onSend={() => judge(false)}>
            Reject
          </SendButton>
        )}
      </Acts>
    </Notice>
  );
}

function Past({ card }: { card: AssemblyView }) {
  const { moment } = useTimes();
  const { entered } = useLengths();
  return (
    <>
      <h2>Measured before</h2>
      {card.measurements.length === 0 && <p className="soft">Never yet.</p>}
      {card.measurements.map((m) => (
        <div key={m.entryId} style={{ borderBottom: '1px dotted var(--line)', padding: '4px 0' }}>
          <span className="fig">{entered(m.gaugeLengthEntered, m.gaugeLengthMm)}</span>{' '}
          <span className="soft small">
            {moment(m.happenedAt)}, {m.who}
          </span>{' '}
          {m.questions.length > 0 && (
            <GradeMark grade={m.accepted === null ? 'question' : m.accepted ? 'good' : 'stop'}>
              {m.accepted === null
                ? 'in question'
                : m.accepted
                  ? `accepted: ${m.reason}`
                  : `rejected: ${m.reason}`}
            </GradeMark>
          )}
          <EntryBack entry={m.entryId} what={`the measurement of ${card.tag}`} />
        </div>
      ))}
      <p className="soft small">
        Built {moment(card.builtAt)} by {card.who}, cutter {card.mark}.{' '}
        <EntryBack entry={card.entryId} what={`the build of ${card.tag}`} />
      </p>
    </>
  );
}
