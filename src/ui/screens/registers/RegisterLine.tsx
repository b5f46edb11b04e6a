import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { registerNumber, wearToRead, whyOther } from '@/core/registers';
import type { RegisterForm } from '@/core/measuring';
import type { SheetLine } from '@/crib/registers';
import { Entry } from '@/ui/kit/field';
import { BecauseThis, GradeMark } from '@/ui/kit/figure';
import { useTimes } from '@/ui/shell';
import styles from './Registers.module.css';

/** What the control shows, as typed. */
export interface Read {
  h?: string;
  d?: string;
  hWear?: string;
  dWear?: string;
}
export const keyOf = (l: SheetLine): string => `${l.t} ${l.numbers.h} ${l.tag ?? ''} ${l.jobs.join(' ')}`;

/** One T: the tool, what goes into H and D, what was given, and a place for what the control shows. */
export function RegisterLine({
  line: l,
  form,
  others,
  read,
  onRead,
}: {
  line: SheetLine;
  form: RegisterForm;
  others: readonly SheetLine[];
  read: Read;
  onRead: (read: Read) => void;
}) {
  const { moment } = useTimes();
  const isSame = l.since.state === 'same';
  return (
    <section
      className={isSame ? `${styles.line} ${styles.same}` : styles.line}
      aria-label={`T${l.t} ${l.tag ?? ''}`}
    >
      <div className={styles.t}>T{l.t}</div>
      <div className={styles.tool}>
        {l.tag === null ? (
          <GradeMark grade="question">{l.since.words}: leave it or clear it there</GradeMark>
        ) : (
          <>
            <Link className="fig" href={linkTo('rack', { open: l.tag })}>
              {l.tag}
            </Link>{' '}
            {l.words}{' '}
            <span className="soft">
              {[l.pocket === null ? null : `pocket ${l.pocket}`, ...l.jobs].filter(Boolean).join(', ')}
            </span>
            <div>
              {isSame ? (
                <span className="soft small">
                  {l.given?.how} {l.given && moment(l.given.happenedAt)} by {l.given?.who}
                </span>
              ) : (
                <GradeMark grade={l.h === null && !l.setThere.h ? 'stop' : 'question'}>
                  {l.clashes ? 'wanted by another too; ' : ''}
                  {l.since.words}
                </GradeMark>
              )}
              {isSame && l.given?.how === 'sent' && <br />}
              {isSame && l.given?.how === 'sent' && (
                <GradeMark grade="question">sent as a file, not read back yet</GradeMark>
              )}
            </div>
            {l.stop !== null && (
              <div>
                <GradeMark grade="stop">must not run. {l.stop}</GradeMark>
              </div>
            )}
            {l.calledElsewhere !== null && (
              <div>
                <GradeMark grade="question">{l.calledElsewhere}</GradeMark>
              </div>
            )}
            {l.lacks.some((x) => x !== l.calledElsewhere) && (
              <div className="soft small">{l.lacks.filter((x) => x !== l.calledElsewhere).join('; ')}</div>
            )}
            {l.because && <BecauseThis because={l.because} />}
          </>
        )}
      </div>
      {l.tag !== null &&
        (['h', 'd'] as const).map((name) => {
          const register = `${name.toUpperCase()}${l.numbers[name]}`;
          const wear = l.wear?.[name];
          return (
            <div key={name} className={name === 'h' ? styles.h : undefined}>
              <Register
                label={register}
                due={l[name]}
                own={l.setThere[name] ? { wouldBe: name === 'h' ? l.wouldBe : null } : null}
                form={form}
                others={others}
                read={read[name] ?? ''}
                onRead={(text) => onRead({ ...read, [name]: text })}
              />
              {wear && (wearToRead(wear) || registerNumber(wear.due) !== 0) && (
                <Register
                  label={`wear of ${register}`}
                  due={wear.due}
                  was={wearToRead(wear) ? (wear.had ?? 'not read') : null}
                  own={null}
                  form={form}
                  others={others}
                  read={read[`${name}Wear`] ?? ''}
                  onRead={(text) => onRead({ ...read, [`${name}Wear`]: text })}
                />
              )}
            </div>
          );
        })}
    </section>
  );
}

function Register({
  label,
  due,
  was = null,
  own,
  form,
  others,
  read,
  onRead,
}: {
  label: string;
  due: string | null;
  /** What is in it, where that is another figure. */
  was?: string | null;
  /** The machine measures this itself; what it would be by the crib's measurement, where there is one. */
  own: { wouldBe: string | null } | null;
  form: RegisterForm;
  others: readonly SheetLine[];
  read: string;
  onRead: (text: string) => void;
}) {
  const names = others.flatMap((l) => [
    ...(l.h === null ? [] : [{ name: `H${l.numbers.h}`, text: l.h }]),
    ...(l.d === null ? [] : [{ name: `D${l.numbers.d}`, text: l.d }]),
  ]);
  const why =
    read.trim() && due !== null
      ? whyOther(
          read,
          due,
          form,
          names.filter((n) => n.name !== label),
        )
      : null;
  return (
    <div className={styles.read}>
      <div>
        <span className="soft small">{label} </span>
        {due !== null ? (
          <span className={styles.figure}>{due}</span>
        ) : own ? (
          <span className="soft">
            {own.wouldBe === null ? 'set there' : `set there, about ${own.wouldBe}`}
          </span>
        ) : (
          <span className="soft">none yet</span>
        )}{' '}
        {due !== null && <span className="soft small">{form.units === 'mm' ? 'mm' : 'in'}</span>}
        {was !== null && <span className="soft small"> was {was}</span>}
      </div>
      {(due !== null || own) && (
        <>
          <Entry
            aria-label={`${label}: what the control shows`}
            inputMode="decimal"
            className="fig"
            placeholder="shows"
            value={read}
            onChange={(e) => onRead(e.target.value)}
          />
          {read.trim() && due !== null && (
            <span className="small">
              <GradeMark grade={why === null ? 'good' : 'stop'}>{why ?? 'as it should be'}</GradeMark>
            </span>
          )}
        </>
      )}
    </div>
  );
}
