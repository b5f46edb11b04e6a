'use client';
import { Link } from '@/ui/kit/link';
import { useState } from 'react';
import { linkTo } from '@/core/links';
import type { DeviceLine } from '@/crib/devices';
import { BecauseThis, GradeMark, Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Caution, Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useLengths, useTimes } from '@/ui/shell';
import { ReadDevice } from './ReadDevice';

/** What measures, each with whether it may be believed today. */
export function Devices({
  devices,
  hrefOf,
  addHref,
}: {
  devices: readonly DeviceLine[];
  hrefOf: (code: string) => string;
  addHref: string;
}) {
  return (
    <section>
      <h1 style={{ marginTop: 34 }}>What measures</h1>
      {devices.length === 0 && <p className="soft">No device yet: lengths are typed.</p>}
      <Lines>
        {devices.map((d) => (
          <li key={d.code}>
            <Link className="fig" href={hrefOf(d.code)} scroll={false}>
              {d.code}
            </Link>{' '}
            {d.name} <GradeMark grade={d.judgement.grade}>{d.judgement.words}</GradeMark>
          </li>
        ))}
      </Lines>
      <Link className="small" href={addHref} scroll={false}>
        add a device
      </Link>
    </section>
  );
}

export const AddDeviceTag = ({ closeHref }: { closeHref: string }) => (
  <Tag over="New" number="Device" closeHref={closeHref}>
    <p className="soft">
      A presetter answers on a port of this machine, a line at a time. A height stand may too, or is read by
      eye: what its dial shows beside a block. Each is checked once a day at a master of known length.
    </p>
    <VerbForm
      verb="addDevice"
      submit="Add device"
      fields={[
        { name: 'code', label: 'Code' },
        { name: 'name', label: 'Name', wide: true },
        {
          name: 'kind',
          label: 'What it is',
          kind: 'choice',
          options: [
            ['presetter', 'presetter'],
            ['height stand', 'height stand, a dial against a block'],
          ],
        },
        {
          name: 'port',
          label: 'Port',
          kind: 'whole',
          optional: true,
          help: 'blank: a height stand that is read by eye',
        },
        {
          name: 'master',
          label: 'Length of its master',
          kind: 'length',
          help: 'by its certificate; of a height stand its usual block',
        },
      ]}
      said={(d) => `${d.code}: check it at its master`}
    />
  </Tag>
);

/** One device: whether it may be believed, what it put in question, and its check at the master. */
export function DeviceTag({ device: d, closeHref }: { device: DeviceLine; closeHref: string }) {
  const { show, entered, unitWord } = useLengths();
  const { moment } = useTimes();
  const [put, setPut] = useState<Record<string, string> | null>(null);
  return (
    <Tag over={d.name} number={d.code} closeHref={closeHref}>
      <div>
        <GradeMark grade={d.judgement.grade}>{d.judgement.words}</GradeMark>{' '}
        <BecauseThis because={d.judgement.because} />
      </div>
      <Rows>
        <Row name="Master" unit={unitWord}>
          {entered(d.masterEntered, d.masterMm)}
        </Row>
        <Row name="Off at it" unit={d.offMm === null ? undefined : unitWord}>
          {d.offMm === null ? <Unknown>not known</Unknown> : show(d.offMm, 3)}
        </Row>
        <Row name="Checked">{d.checkedAt === null ? <Unknown>never</Unknown> : moment(d.checkedAt)}</Row>
        <Row name="Port">{d.port ?? 'read by eye'}</Row>
      </Rows>
      {d.doubted.length > 0 && (
        <Notice kind="stop">
          <strong>Measured with it since it was last good: measure again.</strong>
          <Lines small>
            {d.doubted.map((x) => (
              <li key={x.tag}>
                <Link className="fig" href={linkTo('rack', { open: x.tag, do: 'measure' })}>
                  {x.tag}
                </Link>{' '}
                <span className="soft">{moment(x.happenedAt)}</span>
              </li>
            ))}
          </Lines>
        </Notice>
      )}
      <h2>Check it at its master</h2>
      <p className="soft small">
        Once a day and after a knock; master and taper clean, and as warm as the room.
      </p>
      {d.port !== null && (
        <ReadDevice
          device={d.code}
          tag={null}
          onReading={(r) => setPut({ reading: `${r.length.toFixed(4)} mm` })}
        />
      )}
      <VerbForm
        verb="checkDevice"
        fixed={{ device: d.code }}
        submit="Record the check"
        when
        put={put}
        fields={[
          {
            name: 'reading',
            label: 'It reads',
            kind: 'length',
            help: `its master is ${show(d.masterMm, 3)}`,
          },
          {
            name: 'master',
            label: 'Checked at another master',
            optional: true,
            help: 'its code, where it was not its own',
          },
        ]}
        said={(x) =>
          x.ok ? `${x.device} is good for today` : `${x.device} is off: ${x.doubted.length} to measure again`
        }
      />
      <Caution>
        Set it to zero by its own manual before it measures again; a device that was dropped is looked at by
        its maker.
      </Caution>
    </Tag>
  );
}
