'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useState } from 'react';
import type { UseJudgement } from '@/core/jobs';
import { amountWords, lifeState } from '@/core/life';
import { linkTo, linkToAlone, linkToEnd } from '@/core/links';
import type { ToolReport } from '@/core/programs';
import type { RunView } from '@/crib/jobs';
import type { RackCard } from '@/crib/rack';
import { Entry, Field, Stepper } from '@/ui/kit/field';
import { GradeMark } from '@/ui/kit/figure';
import { ProblemNote, SendButton, useVerb, VerbForm } from '@/ui/kit/form';
import { Acts, Caution, Fold, Hand, Lines, Notice } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { Middle, useSurroundings, useTimes } from '@/ui/shell';
import { BeforeNextPart, placeOf } from './BeforeNextPart';
import { PartChecked } from './PartChecked';
import styles from './Run.module.css';
import { AcrossTheCount, Sisters } from './Sisters';
import { SizeOff } from './SizeOff';
import { WhenChanged } from './WhenChanged';

/** At the machine: parts made, and each tool's life with its end a tap away. */
export function RunScreen({
  view: { job, registers, control, assemblies, sisters, amiss, turns, lastLog, lastGood, openUses, standing },
}: {
  view: RunView;
}) {
  const [parts, setParts] = useState('1');
  const [lot, setLot] = useState(lastLog?.lot ?? '');
  const { who } = useSurroundings();
  const log = useVerb('logParts');
  const { moment } = useTimes();
  const { operation: o } = job;
  const send = (confirmed: boolean) =>
    void log
      .send(
        {
          ...{ operation: o.id, parts },
          ...(lot.trim() ? { materialLot: lot.trim() } : {}),
          ...(confirmed ? { confirmed } : {}),
        },
        (d) => `${d.parts} parts of ${o.job} logged`,
      )
      .then((d) => d && setParts('1'));
  return (
    <Middle>
      <Hand>
        <h1>
          {o.job} {o.part}
        </h1>
        <div className="soft">
          {o.machine} · {o.partsMade} of {o.quantity} made
        </div>
        {who && (
          <div className="soft small">
            You sign as <strong className="fig">{who}</strong>
          </div>
        )}
        <Link href={linkTo('registers', { machine: o.machine, job: o.job })}>Numbers for {o.machine}</Link>
        {' · '}
        <Link href={linkToAlone(o.id)}>leave it alone?</Link>
        <BeforeNextPart tools={job.tools} amiss={amiss} />
        <h2>Parts made since the last log</h2>
        <Stepper label="Parts made" value={parts} onChange={setParts} />
        <Field style={{ marginTop: 8 }}>
          <label htmlFor="lot">Material lot (if known)</label>
          <Entry
            id="lot"
            className="fig"
            style={{ minHeight: 44 }}
            value={lot}
            onChange={(e) => setLot(e.target.value)}
          />
        </Field>
        <AcrossTheCount
          job={job}
          sisters={sisters}
          parts={Number(parts)}
          lot={lot}
          onLogged={(left) => setParts(String(left))}
        />
        <Acts>
          <SendButton
            variant="contained"
            style={{ minHeight: 56, width: '100%', fontSize: 18 }}
            pending={log.pending}
            barred={log.barred}
            onSend={() => send(false)}
          >
            {log.pending ? 'Writing …' : 'Log parts'}
          </SendButton>
        </Acts>
        <ProblemNote problem={log.problem} fields={[{ name: 'parts', label: 'Parts made' }]} />
        {log.problem?.problems.some((p) => p.field === 'confirmed') && (
          <Acts>
            <SendButton
              style={{ minHeight: 56, width: '100%' }}
              pending={log.pending}
              barred={log.barred}
              onSend={() => send(true)}
            >
              Counted again: {parts} were made
            </SendButton>
          </Acts>
        )}
        {lastLog && (
          <div className="small">
            Last: <span className="fig">{lastLog.parts}</span>{' '}
            <span className="soft">
              {moment(lastLog.happenedAt)}, {lastLog.who}
            </span>{' '}
            <EntryBack
              entry={lastLog.entryId}
              what={`${lastLog.parts} parts logged ${moment(lastLog.happenedAt)}`}
            />
          </div>
        )}
        <PartChecked operation={o.id} job={o.job} made={o.partsMade} lastGood={lastGood} />
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
              <li className={styles.tool} key={t.t} id={placeOf(t.t)}>
                <div>
                  <strong className="fig">T{t.t}</strong>{' '}
                  {card ? (
                    <Link className="fig" href={linkTo('rack', { open: card.tag })}>
                      {card.tag}
                    </Link>
                  ) : (
                    <span className="soft">no tag tied</span>
                  )}{' '}
                  <span className="soft small">{t.words ?? t.tool.name}</span>
                </div>
                <GradeMark grade={t.use.grade}>{t.use.why ?? 'may run'}</GradeMark>
                {amiss
                  .filter((x) => x.t === t.t)
                  .map((x) => (
                    <GradeMark key={x.words} grade={x.grade}>
                      {x.words}
                    </GradeMark>
                  ))}
                {card && (
                  <LifeBar
                    card={card}
                    use={t.use}
                    most={job.partsLeft}
                    untilChange={t.untilChange}
                    tool={t.tool}
                  />
                )}
                <Sisters
                  operation={o.id}
                  t={t.t}
                  sisters={sisters.filter((s) => s.t === t.t)}
                  own={{ tag: t.tag, goodFor: t.use.goodFor }}
                />
                {turns
                  .filter((turn) => turn.t === t.t)
                  .map((turn) => (
                    <div key={turn.number} className="small">
                      {turn.words}
                    </div>
                  ))}
                {card && (
                  <Acts style={{ marginTop: 0 }}>
                    <Button component={Link} href={linkToEnd(card.tag)}>
                      End life of T{t.t}
                    </Button>
                    <Button
                      color="error"
                      component={Link}
                      href={linkToEnd(card.tag, { how: 'broken', operation: o.id, t: t.t })}
                    >
                      T{t.t} broke
                    </Button>
                    <Button component={Link} href={linkTo('rack', { open: card.tag, do: 'wear' })}>
                      Wear
                    </Button>
                  </Acts>
                )}
                <WhenChanged
                  operation={o.id}
                  material={o.material}
                  tool={t}
                  item={card?.cutter.code ?? null}
                />
                {card && (
                  <Fold label={`Size off with T${t.t}?`}>
                    <SizeOff
                      t={t.t}
                      operation={o.id}
                      rules={registers}
                      control={control
                        .filter((x) => x.t === t.t)
                        .toSorted((x, y) => Number(y.tag === t.tag) - Number(x.tag === t.tag))}
                      cutBefore={card.life.minutes > 0}
                      numbers={{ D: t.tool.d, H: t.tool.h }}
                    />
                  </Fold>
                )}
              </li>
            );
          })}
        </Lines>
        <Caution>
          Door shut, interlock working. Spindle stopped and coolant off, part and spindle well apart before
          reaching in or reading wear; brush chips, never by hand. {BURNS[o.materialGroup]}
        </Caution>
      </Hand>
    </Middle>
  );
}

/** Of the letters of ISO 513, those among whose alloys there are chips that burn. */
const BURNS: Readonly<Record<string, string>> = {
  S: 'If it is titanium, its chips burn: keep them few and dry, and the right extinguisher near.',
  N: 'If it is magnesium, its chips burn: keep them few and dry, the right extinguisher near, and no water on it.',
};

/** How much of the life is used, and what is left of it in the words of the one judgement. */
function LifeBar({
  card,
  use,
  most,
  untilChange,
  tool: { holes, lower_bound: atLeast },
}: {
  card: RackCard;
  use: UseJudgement;
  /** Parts that are left to make. */
  most: number;
  /** Parts until its cutter is changed; null: when a sign shows. */
  untilChange: number | null;
  tool: Pick<ToolReport, 'holes' | 'lower_bound'>;
}) {
  const used = use.goodFor === 0 ? 1 : card.life.used;
  const left = use.judgements.find((j) => j.code === 'LIFE');
  const change = use.judgements.find((j) => j.code === 'CHANGE');
  // What is said in holes is of the one that comes first, and stands under it.
  const changed = change !== undefined && use.goodFor === untilChange;
  const inHoles =
    holes > 0 && !atLeast && use.goodFor !== null && use.goodFor > 0 && most > 0
      ? amountWords(Math.min(use.goodFor, most) * holes, 'holes')
      : null;
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
              background: lifeState(used) === 'going' ? 'var(--accent)' : 'var(--brass)',
            }}
          />
        </div>
      )}
      {left && left.words !== use.why && <div className="small">{left.words}</div>}
      {!changed && inHoles !== null && <div className="small soft">that is {inHoles}</div>}
      {change && change.words !== use.why && <div className="small">{change.words}</div>}
      {changed && inHoles !== null && <div className="small soft">that is {inHoles} until then</div>}
    </div>
  );
}
