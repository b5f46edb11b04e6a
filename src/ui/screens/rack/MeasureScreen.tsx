'use client';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { linkTo, readLabelCode } from '@/core/links';
import type { DeviceLine } from '@/crib/devices';
import type { AssemblyView, ToMeasureView } from '@/crib/rack';
import { GradeMark, Row, Rows } from '@/ui/kit/figure';
import { Hand, Lines, Notice } from '@/ui/kit/page';
import { InQuestion } from './InQuestion';
import { Measure } from './Measure';
import type { Touchable } from './TouchedOff';
import { Middle, useLengths, useScreenScan, useTimes } from '@/ui/shell';
import styles from './Measure.module.css';

/** Where it is measured: scan what stands in the device, read it until it repeats, record, scan the next. */
export function MeasureScreen({
  asked,
  card,
  waiting,
  devices,
  machines,
}: {
  /** The tag that was scanned; null: none yet. */
  asked: string | null;
  card: AssemblyView | null;
  waiting: ToMeasureView;
  devices: readonly DeviceLine[];
  machines: readonly Touchable[];
}) {
  const router = useRouter();
  const go = (tag: string | null) => router.push(linkTo('measure', tag === null ? {} : { tag }));
  useScreenScan((text) => {
    const tag = readLabelCode(text)?.tag ?? text.trim().toUpperCase();
    if (!/^A-\d{4,}$/.test(tag)) return null;
    go(tag);
    return 'to be measured';
  });
  const doubted = devices.flatMap((d) => d.doubted.map((x) => ({ tag: x.tag, device: d.code })));
  return (
    <Middle>
      <Hand>
        {card ? (
          <Standing
            card={card}
            devices={devices}
            machines={machines}
            onDone={(isAsked) => !isAsked && go(null)}
          />
        ) : (
          <>
            <h1>Measure</h1>
            {asked !== null && (
              <Notice kind="stop">
                <strong>{asked} does not stand.</strong> Look for the tag of the newer build.
              </Notice>
            )}
            <p className={styles.scan}>Scan the tag of what stands in the device</p>
            <Checks devices={devices} />
            <h2>Waiting to be measured</h2>
            {waiting.lines.length === 0 && doubted.length === 0 && (
              <p className="soft">Nothing: all that stands has a length that counts.</p>
            )}
            <Lines>
              {waiting.lines.map((l) => (
                <li key={l.tag}>
                  <Link className="fig" href={linkTo('measure', { tag: l.tag })}>
                    {l.tag}
                  </Link>{' '}
                  {l.item} in {l.holder}{' '}
                  {l.why === 'in question' ? (
                    <GradeMark grade="question">in question</GradeMark>
                  ) : (
                    <span className="soft small">not measured</span>
                  )}
                </li>
              ))}
              {doubted.map((d) => (
                <li key={`${d.tag} ${d.device}`}>
                  <Link className="fig" href={linkTo('measure', { tag: d.tag })}>
                    {d.tag}
                  </Link>{' '}
                  <GradeMark grade="question">{d.device} was off when it was measured</GradeMark>
                </li>
              ))}
            </Lines>
            {waiting.more && <p className="soft small">and more, built before these</p>}
          </>
        )}
      </Hand>
    </Middle>
  );
}

/** Whether each device may be believed today; one that was not checked is checked first. */
function Checks({ devices }: { devices: readonly DeviceLine[] }) {
  return (
    <Lines>
      {devices.map((d) => (
        <li key={d.code}>
          <Link className="fig" href={linkTo('machines', { what: 'device', open: d.code })}>
            {d.code}
          </Link>{' '}
          <GradeMark grade={d.judgement.grade}>{d.judgement.words}</GradeMark>
        </li>
      ))}
    </Lines>
  );
}

/** What stands in the device: what it should be, what it was last, and what it is. */
function Standing({
  card,
  devices,
  machines,
  onDone,
}: {
  card: AssemblyView;
  devices: readonly DeviceLine[];
  machines: readonly Touchable[];
  onDone: (inQuestion: boolean) => void;
}) {
  const { show, entered, unitWord } = useLengths();
  const { moment } = useTimes();
  const [last] = card.measurements;
  return (
    <>
      <h1 className="fig">{card.tag}</h1>
      <div>
        {card.cutter.words}, in {card.holder.words}
      </div>
      <Rows>
        <Row name="Expected" unit={unitWord} big>
          {show(card.expectedMm, 1)}
        </Row>
        {last && (
          <Row name={`Last, ${moment(last.happenedAt)}`} unit={unitWord}>
            {entered(last.gaugeLengthEntered, last.gaugeLengthMm)}
          </Row>
        )}
      </Rows>
      {card.measured.state === 'in question' && <InQuestion card={card} />}
      <Measure card={card} devices={devices} machines={machines} onDone={onDone} />
      <p>
        <Link href={linkTo('measure')}>Another one</Link> or scan it
      </p>
    </>
  );
}
