'use client';
import { Link } from '@/ui/kit/link';
import { edgesLeftWords } from '@/core/stock';
import { linkTo, linkToRun } from '@/core/links';
import { registerText } from '@/core/measuring';
import type { RegisterForm } from '@/core/measuring';
import type { AssemblyView, MachineRegisters } from '@/crib/rack';
import { BecauseThis, GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { useLengths } from '@/ui/shell';
import styles from './Rack.module.css';

export const NotMeasured = () => <Unknown>not measured</Unknown>;

/** One machine's registers of a measured assembly, with their reasons. */
export function Registers({ r, t }: { r: MachineRegisters; t: number | null }) {
  return (
    <div style={{ borderBottom: '1px solid var(--line)', padding: '4px 0' }}>
      <Rows style={{ margin: 0 }}>
        <Row
          name={`H${t ?? ''} on ${r.machine}`}
          note={`${r.ofJob ? `for ${r.ofJob} alone; ` : ''}measured ${r.since.measured}, its figures since ${r.since.machine}`}
          unit={'value' in r.H ? r.units : undefined}
        >
          <InRegister register={r.H} on={r} />
        </Row>
        <Row name={`D${t ?? ''}`} unit={'value' in r.D ? r.units : undefined}>
          <InRegister register={r.D} on={r} />
        </Row>
      </Rows>
      <BecauseThis because={r.because} />
    </div>
  );
}

/** A register as it is typed in, or what is needed before there is one. */
const InRegister = ({ register, on }: { register: MachineRegisters['H']; on: RegisterForm }) =>
  'needs' in register ? <Unknown>needs {register.needs}</Unknown> : registerText(register, on);

/** What is put together, from the spindle down, each with the way to it. */
export function Parts({ card, markHref }: { card: AssemblyView; markHref: string }) {
  const { show, unitWord } = useLengths();
  return (
    <ul className={styles.parts}>
      {[card.holder, ...card.parts, card.cutter].map((x, i) => (
        <li key={`${x.code} ${i}`}>
          <Link className="fig" href={linkTo('cutters', { open: x.code })}>
            {x.code}
          </Link>{' '}
          <span className="soft">{x.words}</span>
          {card.holders.marked
            .filter((m) => m.placeInStack === i && x !== card.cutter)
            .map(({ mark }) => (
              <span key={mark}>
                ,{' '}
                <Link className="fig" href={linkTo('holders', { open: mark })}>
                  {mark}
                </Link>
              </span>
            ))}
          {x === card.holder && !card.holders.marked.some((m) => m.placeInStack === 0) && (
            <>
              {' '}
              <Link className="soft small" href={markHref} scroll={false}>
                give it a mark
              </Link>
            </>
          )}
          {'setOut' in x && x.setOut !== null && (
            <span className="soft">
              , {show(x.setOut, 1)} {unitWord} out
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** For each T it is tied to or stands in for, whether it may run there, and why not. */
export function Uses({ card }: { card: AssemblyView }) {
  return (
    <>
      {card.ties.map((t) => (
        <div key={`${t.operation} ${t.t}`} style={{ padding: '3px 0' }}>
          <Link className="fig" href={linkTo('jobs', { open: t.job, t: t.t })}>
            T{t.t} of {t.job}
          </Link>{' '}
          <GradeMark grade={t.use.grade}>{t.use.why ?? 'may run'}</GradeMark>{' '}
          <Link className="small" href={linkToRun(t.operation)}>
            log parts
          </Link>
          {t.use.goodFor !== null && t.partsLeft > 0 && (
            <div className="soft small">
              about {Math.min(t.use.goodFor, t.partsLeft)} of {t.partsLeft} parts left in it; half end earlier
            </div>
          )}
        </div>
      ))}
      {card.loaded?.standsIn.map((s) => (
        <div key={`${s.operation} ${s.t}`} style={{ padding: '3px 0' }}>
          As{' '}
          <Link className="fig" href={linkTo('jobs', { open: s.job, t: s.t })}>
            T{s.t} of {s.job}
          </Link>{' '}
          <GradeMark grade={s.use.grade}>{s.use.why ?? 'may run'}</GradeMark>
        </div>
      ))}
    </>
  );
}

/** Life used and left of an assembly's edges. */
export function LifeRows({ card }: { card: AssemblyView }) {
  const { show } = useLengths();
  const { life } = card;
  return (
    <>
      <h2>Life</h2>
      <Rows>
        <Row name="In the cut so far">{life.minutes.toFixed(1)} min</Row>
        <Row name="Life left" note={life.material ? `in ${life.material}` : undefined}>
          {life.leftMinutes === null ? (
            <Unknown>
              {card.wear.here
                ? 'cannot say: its lives were counted to another wear'
                : life.fresh
                  ? 'cannot say'
                  : card.cutter.kind === 'body'
                    ? 'some edges had cut before: cannot say'
                    : 'graded: cannot say'}
            </Unknown>
          ) : life.leftMinutes < 0 ? (
            `${(-life.leftMinutes).toFixed(0)} min past`
          ) : (
            `${life.leftMinutes.toFixed(0)} min`
          )}
        </Row>
        {card.inserts && (
          <Row name="Inserts" note={edgesLeftWords(card.inserts)}>
            {card.inserts.quantity} × {card.inserts.item}
          </Row>
        )}
        <Row
          name="Flank wear"
          note={`worn at ${show(card.wear.limit.value, 2)}${card.wear.here?.flank ? ` on ${card.wear.here.flank.of}` : ''}`}
        >
          {card.wear.flankMm === null ? <NotMeasured /> : show(card.wear.flankMm, 2)}
        </Row>
      </Rows>
      {life.because && <BecauseThis because={life.because} />}
    </>
  );
}
