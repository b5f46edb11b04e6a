'use client';
import { Link } from '@/ui/kit/link';
import { GAUGE_KINDS } from '@/core/devices';
import { linkTo } from '@/core/links';
import { namesOf } from '@/core/names';
import type { GaugeLine } from '@/crib/devices';
import { BecauseThis, GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Caution, Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useLengths, useTimes } from '@/ui/shell';

const wordsOf = (kind: GaugeLine['kind']): string => (kind === 'device' ? 'device' : GAUGE_KINDS[kind].words);

/** Its name, and what it is where the name does not say so. */
const named = ({ name, kind }: GaugeLine): string =>
  kind === 'device' || name.toLowerCase().includes(wordsOf(kind)) ? name : `${name}, ${wordsOf(kind)}`;

/** What has a certificate, what is due first: masters, blocks, wrenches, gauges, and the devices besides. */
export function Gauges({
  gauges,
  hrefOf,
  addHref,
}: {
  gauges: readonly GaugeLine[];
  hrefOf: (code: string) => string;
  addHref: string;
}) {
  const { entered } = useLengths();
  return (
    <section>
      <h2>Certificates</h2>
      {gauges.length === 0 && <p className="soft">No master, block, wrench or gauge yet.</p>}
      <Lines>
        {gauges.map((g) => (
          <li key={g.code}>
            {g.kind === 'device' ? (
              <>
                <span className="fig">{g.code}</span>{' '}
                <Link href={hrefOf(g.code)} scroll={false}>
                  certificate
                </Link>{' '}
              </>
            ) : (
              <>
                <Link className="fig" href={hrefOf(g.code)} scroll={false}>
                  {g.code}
                </Link>{' '}
              </>
            )}
            {named(g)}
            {g.sizeMm !== null && g.sizeEntered !== null && (
              <span className="fig"> {entered(g.sizeEntered, g.sizeMm)}</span>
            )}{' '}
            <GradeMark grade={g.judgement.grade}>{g.judgement.words}</GradeMark>
            {g.doubted.length > 0 && (
              <strong className="small"> {g.doubted.length} in doubt because of it</strong>
            )}
          </li>
        ))}
      </Lines>
      <Link className="small" href={addHref} scroll={false}>
        add a master, block, wrench or gauge
      </Link>
    </section>
  );
}

export const AddGaugeTag = ({ closeHref }: { closeHref: string }) => (
  <Tag over="New" number="Certificate" closeHref={closeHref}>
    <p className="soft">
      What is checked, tightened or measured by, and is sent away to be calibrated: when it is due is said,
      and what one that was off puts in doubt.
    </p>
    <VerbForm
      verb="addGauge"
      submit="Add it"
      fields={[
        { name: 'code', label: 'Code' },
        { name: 'name', label: 'Name', wide: true },
        {
          name: 'kind',
          label: 'What it is',
          kind: 'choice',
          options: namesOf(GAUGE_KINDS).map((k) => [k, GAUGE_KINDS[k].words] as const),
        },
        {
          name: 'size',
          label: 'Its length',
          kind: 'length',
          optional: true,
          help: 'of a master or block, by its certificate',
        },
      ]}
      said={(d) => `${d.code}: record when it was calibrated`}
    />
  </Tag>
);

/** One thing with a certificate: how it stands, what it put in doubt, and its next calibration. */
export function GaugeTag({ gauge: g, closeHref }: { gauge: GaugeLine; closeHref: string }) {
  const { entered, unitWord } = useLengths();
  const { moment } = useTimes();
  const off: FieldOf<'recordCalibration'>[] =
    g.kind === 'device' ? [{ name: 'off', label: 'Off by', kind: 'length', optional: true }] : [];
  return (
    <Tag over={g.name} number={g.code} words={wordsOf(g.kind)} closeHref={closeHref}>
      <div>
        <GradeMark grade={g.judgement.grade}>{g.judgement.words}</GradeMark>{' '}
        <BecauseThis because={g.judgement.because} />
      </div>
      <Rows>
        {g.sizeMm !== null && g.sizeEntered !== null && (
          <Row name="Length" unit={unitWord}>
            {entered(g.sizeEntered, g.sizeMm)}
          </Row>
        )}
        <Row name="Calibrated">
          {g.calibrated === null ? <Unknown>not known</Unknown> : moment(g.calibrated.at)}
        </Row>
        <Row name="Due">{g.calibrated === null ? <Unknown>not known</Unknown> : g.calibrated.due}</Row>
      </Rows>
      {g.doubted.length > 0 && (
        <Notice kind="stop">
          <strong>In doubt since it was last good: do each again.</strong>
          <Lines small>
            {g.doubted.map((d) => (
              <li key={`${d.what} ${d.doubtedId}`}>
                {d.what === 'size' ? (
                  <>
                    parts of <span className="fig">{d.job}</span>, made with {d.tag}: measure them with
                    another
                  </>
                ) : (
                  <>
                    <Link
                      className="fig"
                      href={linkTo('rack', {
                        open: d.tag,
                        do: d.what === 'measurement' ? 'measure' : 'tighten',
                      })}
                    >
                      {d.tag}
                    </Link>{' '}
                    {d.what === 'measurement' ? 'its length' : 'how tight it is'}
                  </>
                )}{' '}
                <span className="soft">{moment(d.happenedAt)}</span>
              </li>
            ))}
          </Lines>
        </Notice>
      )}
      <h2>It was calibrated</h2>
      <p className="soft small">
        As it was found, before anything was set right: that puts in doubt {g.doubts}.
      </p>
      <VerbForm
        verb="recordCalibration"
        fixed={{ of: g.code }}
        submit="Record it"
        when
        fields={[
          {
            name: 'found',
            label: 'Found',
            kind: 'choice',
            options: [
              ['good', 'good'],
              ['off', 'off'],
            ],
          },
          ...off,
          { name: 'due', label: 'Due again', kind: 'day' },
          { name: 'words', label: 'What was found', wide: true, optional: true },
        ]}
        said={(d) =>
          d.ok ? `${d.of} is good until ${d.due}` : `${d.of} was off: ${d.doubted.length} to do again`
        }
      />
      <Caution>
        What was dropped or overloaded is not used before it was looked at, whatever its certificate says.
      </Caution>
    </Tag>
  );
}
