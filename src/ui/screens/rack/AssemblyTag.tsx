'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo, linkToEnd, linkToLabel } from '@/core/links';
import type { DeviceLine, GaugeLine } from '@/crib/devices';
import type { AssemblyView } from '@/crib/rack';
import { GradeMark, Judgements, Row, Rows } from '@/ui/kit/figure';
import { Acts } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';
import { AssemblyForm, isAct } from './AssemblyForm';
import { Against } from './Against';
import type { Touchable } from './TouchedOff';
import { CutRows } from './CutRows';
import { BuildFiguresRows } from './BuildFiguresRows';
import { InQuestion } from './InQuestion';
import { WearRows } from './wear/WearRows';
import { LifeRows, NotMeasured, Parts, Registers, Uses } from './assemblyFigures';

type Place = { code: string; name: string; kind: string; inUse: boolean };

/** An assembly's tag: its big figures, the question about it, its actions. */
export function AssemblyTag({
  card,
  places,
  devices,
  gauges,
  touchable,
}: {
  card: AssemblyView;
  places: Place[];
  devices: readonly DeviceLine[];
  gauges: readonly GaugeLine[];
  touchable: readonly Touchable[];
}) {
  const query = useQuery('rack');
  const { entered, unitWord } = useLengths();
  const act = query.get('do');
  const m = card.measured;
  const now = m.state === 'not measured' ? null : m.measurement;
  const guesses = [card.cutter, card.holder, ...card.parts].flatMap((x) => x.guesses);
  const close = query.href({ open: null, do: null });
  const done = () => history.replaceState(null, '', query.href({ do: null }));
  return (
    <Tag
      over={
        card.ties.length
          ? 'An assembly'
          : card.loaded?.sisters.length
            ? 'A sister tool'
            : 'An assembly, tied to no job'
      }
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
      <Against card={card} />
      <Uses card={card} />
      {m.state === 'in question' && <InQuestion card={card} />}
      {act !== null && isAct(act) ? (
        <AssemblyForm
          act={act}
          card={card}
          places={places}
          devices={devices}
          gauges={gauges}
          touchable={touchable}
          onDone={done}
        />
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
          <Button variant="text" component={Link} href={query.href({ do: 'tighten' })} scroll={false}>
            tightened
          </Button>
          <Button variant="text" component={Link} href={query.href({ do: 'down' })} scroll={false}>
            take down
          </Button>
          {card.heldBack === null && (
            <Button variant="text" component={Link} href={query.href({ do: 'hold' })} scroll={false}>
              hold back
            </Button>
          )}
          <Button variant="text" component={Link} href={query.href({ do: 'fell' })} scroll={false}>
            dropped
          </Button>
          <Button variant="text" component={Link} href={linkToLabel(card.tag)} target="_blank">
            print tag
          </Button>
        </Acts>
      )}
      <p className="small">
        {card.loaded ? (
          <>
            In{' '}
            <Link href={linkTo('pockets', { machine: card.loaded.machine, open: card.loaded.pocket })}>
              {card.loaded.machine}, pocket {card.loaded.pocket}
            </Link>
            , as T{card.loaded.t}
            {card.loaded.sisters.length > 0 && `, a sister of ${card.loaded.sisters.join(', ')}`}
          </>
        ) : (
          card.registers.length > 0 && (
            <>
              Put it into{' '}
              {card.registers.map((r, i) => (
                <span key={r.machine}>
                  {i > 0 && ', '}
                  <Link href={linkTo('pockets', { machine: r.machine, tag: card.tag })}>{r.machine}</Link>
                </span>
              ))}
            </>
          )
        )}
      </p>
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
      <CutRows card={card} />
      <WearRows card={card} />
      <h2>The build</h2>
      <Parts card={card} markHref={query.href({ do: 'mark' })} />
      <p className="small">
        {card.builtFrom ? (
          <>
            Built from{' '}
            <Link className="fig" href={linkTo('sheets', { open: card.builtFrom.code })}>
              {card.builtFrom.code}
            </Link>{' '}
            version {card.builtFrom.version}
            {card.builtFrom.now !== null &&
              card.builtFrom.now !== card.builtFrom.version &&
              `; version ${card.builtFrom.now} stands now`}
          </>
        ) : (
          <Link className="soft" href={linkTo('sheets', { new: 'sheet', like: card.tag })}>
            make a build sheet of it
          </Link>
        )}
      </p>
      <BuildFiguresRows expected={m.state === 'measured' ? null : card.expectedMm} figures={card.figures} />
      <Judgements list={card.judgements} />
      {guesses.length > 0 && <p className="soft small">Leans on a guess: {guesses.join(', ')}.</p>}
      {card.outline.assumed.length > 0 && (
        <p className="soft small">{card.outline.assumed.map((a) => a.words).join('; ')}.</p>
      )}
      <Past card={card} />
    </Tag>
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
            {m.device && `, ${m.device}`}
          </span>{' '}
          {m.deviceDoubt && <GradeMark grade="question">{m.device} was off at its check</GradeMark>}
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
