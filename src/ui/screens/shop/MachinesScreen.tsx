'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { USUAL_CALENDAR } from '@/core/buying';
import { DIAMETER_SCHOOLS, LENGTH_SCHOOLS } from '@/core/measuring';
import { isOne, namesOf } from '@/core/names';
import { SET_UP_KINDS, type SetUpKind } from '@/core/setUp';
import type { DeviceLine, GaugeLine } from '@/crib/devices';
import type { FixtureRow } from '@/crib/fixtures';
import type { ShopView } from '@/crib/shop';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Empty, Fold, Head } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { AddDeviceTag, AddGaugeTag, Devices, DeviceTag, Gauges, GaugeTag } from '@/ui/screens/devices';
import { SET_UP } from '@/ui/screens/common/setUp';
import { Middle, useLengths } from '@/ui/shell';
import { MachineTag } from './MachineTag';
import { ChangeTag, linesOf, type SetUpLine } from './ChangeTag';
import { CalendarTag, weekWords } from './Calendar';

/** Machines with their schools of registers, and the rest of the shop. */
export function MachinesScreen({
  shop,
  devices = [],
  gauges = [],
  fixtures = [],
}: {
  shop: ShopView;
  devices?: readonly DeviceLine[];
  gauges?: readonly GaugeLine[];
  /** Of the machine that is open; asked for where its work offsets are. */
  fixtures?: readonly FixtureRow[];
}) {
  const query = useQuery('machines');
  const { show } = useLengths();
  const lines = linesOf(shop);
  const what = SET_UP_KINDS.find((k) => k === query.get('what')) ?? 'machine';
  const line = lines[what].find((l) => l.code === query.get('open')) ?? null;
  const open = what === 'machine' ? (shop.machines.find((m) => m.code === line?.code) ?? null) : null;
  const adding = query.get('new');
  const device = query.get('what') === 'device' && devices.find((d) => d.code === query.get('open'));
  const gauge = query.get('what') === 'gauge' && gauges.find((g) => g.code === query.get('open'));
  const beside = gauge ? (
    <GaugeTag key={gauge.code} gauge={gauge} closeHref={query.href({ what: null, open: null })} />
  ) : adding === 'gauge' ? (
    <AddGaugeTag closeHref={query.href({ new: null })} />
  ) : device ? (
    <DeviceTag key={device.code} device={device} closeHref={query.href({ what: null, open: null })} />
  ) : adding === 'device' ? (
    <AddDeviceTag closeHref={query.href({ new: null })} />
  ) : isOne(namesOf(SET_UP), adding) ? (
    <Tag over="New" number={SET_UP[adding].title} closeHref={query.href({ new: null })}>
      <p className="soft">{SET_UP[adding].why}</p>
      <VerbForm
        key={adding}
        verb={SET_UP[adding].verb}
        fields={SET_UP[adding].fields}
        submit={SET_UP[adding].submit}
        said={() => `${SET_UP[adding].title}: one more`}
      />
    </Tag>
  ) : query.get('do') === 'days' ? (
    <CalendarTag shop={shop} />
  ) : open && line ? (
    <MachineTag
      key={open.code}
      machine={open}
      line={line}
      fixtures={fixtures}
      gears={shop.spindles[open.code] ?? []}
    />
  ) : line ? (
    <ChangeTag key={`${what} ${line.code}`} kind={what} line={line} over={SET_UP[what].title} />
  ) : null;
  return (
    <Middle beside={beside}>
      <Head>
        <div>
          <h1>Machines</h1>
          <div className="soft">What each understands by its registers, and what it can do.</div>
        </div>
        <Acts>
          <Button
            component={Link}
            href={query.href({ new: 'machine', open: null, what: null })}
            scroll={false}
          >
            Add a machine
          </Button>
        </Acts>
      </Head>
      {shop.machines.length === 0 ? (
        <Empty>
          No machine yet. A machine’s K and its school of registers turn one measured length into what is
          typed into it.
        </Empty>
      ) : (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Code</TableCell>
              <TableCell>Name</TableCell>
              <TableCell>Taper</TableCell>
              <TableCell className="num">K</TableCell>
              <TableCell>Length register</TableCell>
              <TableCell>Diameter register</TableCell>
              <TableCell>Units</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {shop.machines
              .toSorted((a, b) => Number(b.inUse) - Number(a.inUse))
              .map((m) => (
                <TableRow key={m.code} className={m === open ? 'open' : undefined}>
                  <TableCell>
                    <Link
                      className="fig"
                      href={query.href({ open: m.code, new: null, what: null, do: null })}
                      scroll={false}
                    >
                      {m.code}
                    </Link>
                  </TableCell>
                  <TableCell>
                    {m.name}
                    {!m.inUse && <span className="soft"> (out of use)</span>}
                  </TableCell>
                  <TableCell>{m.taper}</TableCell>
                  <TableCell className="num fig">{m.kMm === null ? '·' : show(m.kMm)}</TableCell>
                  <TableCell>{LENGTH_SCHOOLS[m.lengthSchool]}</TableCell>
                  <TableCell>{DIAMETER_SCHOOLS[m.diameterSchool]}</TableCell>
                  <TableCell>{m.units}</TableCell>
                </TableRow>
              ))}
          </TableBody>
        </Table>
      )}
      <Devices
        devices={devices}
        hrefOf={(code) => query.href({ what: 'device', open: code, new: null, do: null })}
        addHref={query.href({ new: 'device', open: null, what: null })}
      />
      <Gauges
        gauges={gauges}
        hrefOf={(code) => query.href({ what: 'gauge', open: code, new: null, do: null })}
        addHref={query.href({ new: 'gauge', open: null, what: null })}
      />
      <h1 style={{ marginTop: 34 }}>The shop</h1>
      <p>
        Hours: {weekWords(shop.week ?? USUAL_CALENDAR.week)}
        {shop.week ? '' : ' (assumed)'}; {shop.closed.length || 'no'} closed{' '}
        {shop.closed.length === 1 ? 'day' : 'days'} besides.{' '}
        <Link href={query.href({ open: null, new: null, what: null, do: 'days' })} scroll={false}>
          Days and hours
        </Link>
      </p>
      <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(220px, 1fr))', gap: 24 }}>
        {SET_UP_KINDS.filter((k) => k !== 'machine').map((kind) => (
          <Little key={kind} kind={kind} lines={lines[kind]} />
        ))}
      </div>
    </Middle>
  );
}

function Little({ kind, lines }: { kind: SetUpKind; lines: SetUpLine[] }) {
  const query = useQuery('machines');
  const gone = lines.filter((l) => !l.inUse);
  const one = (l: SetUpLine) => (
    <div key={l.code} style={{ borderBottom: '1px solid var(--line)', padding: '4px 0' }}>
      <Link
        className="fig"
        href={query.href({ what: kind, open: l.code, new: null, do: null })}
        scroll={false}
        aria-label={`Change ${l.code}, ${l.name}`}
      >
        {l.code}
      </Link>{' '}
      <span className="soft">{[l.name, l.more].filter(Boolean).join(', ')}</span>
    </div>
  );
  return (
    <section>
      <h2>{SET_UP[kind].title}</h2>
      {lines.filter((l) => l.inUse).map(one)}
      {lines.length === gone.length && <div className="soft">None yet.</div>}
      <Link className="small" href={query.href({ new: kind, open: null, what: null })} scroll={false}>
        add one
      </Link>
      {gone.length > 0 && <Fold label={`${gone.length} out of use`}>{gone.map(one)}</Fold>}
    </section>
  );
}
