'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { USUAL_CALENDAR } from '@/core/buying';
import { linkTo } from '@/core/links';
import { DIAMETER_SCHOOLS, LENGTH_SCHOOLS } from '@/core/measuring';
import { isOne, namesOf } from '@/core/names';
import { SET_UP_KINDS, type SetUpKind } from '@/core/setUp';
import type { DeviceLine } from '@/crib/devices';
import type { FixtureRow } from '@/crib/fixtures';
import type { ShopView } from '@/crib/shop';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Caution, Empty, Fold, Head } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { AddDeviceTag, Devices, DeviceTag } from '@/ui/screens/devices';
import { MACHINE_FIGURES, SET_UP } from '@/ui/screens/common/setUp';
import { Middle, useLengths, useTimes } from '@/ui/shell';
import { FindK } from './FindK';
import { Offsets } from './Offsets';
import { ChangeForm, ChangeTag, linesOf, type SetUpLine } from './ChangeTag';
import { CalendarTag, weekWords } from './Calendar';

/** Machines with their schools of registers, and the rest of the shop. */
export function MachinesScreen({
  shop,
  devices = [],
  fixtures = [],
}: {
  shop: ShopView;
  devices?: readonly DeviceLine[];
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
  const beside = device ? (
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
    <MachineTag key={open.code} machine={open} line={line} fixtures={fixtures} />
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

function MachineTag({
  machine: m,
  line,
  fixtures,
}: {
  machine: ShopView['machines'][number];
  line: SetUpLine;
  fixtures: readonly FixtureRow[];
}) {
  const query = useQuery('machines');
  const { entered, unitWord } = useLengths();
  const { day } = useTimes();
  const busy = ['k', 'offsets'].includes(query.get('do') ?? '');
  const unknown = <Unknown>not known</Unknown>;
  const starts: Record<string, string> = {
    // Everything in force is filled in, with its unit: what is left out of new figures is not known any more.
    taper: m.taper,
    k: m.kEntered ?? '',
    k0: inMm(m.k0Mm),
    masterLength: inMm(m.masterLengthMm),
    feedMax: inMm(m.feedMaxMmMin),
    rapid: inMm(m.rapidMmMin),
    lengthSchool: m.lengthSchool,
    diameterSchool: m.diameterSchool,
    units: m.units,
    hEqualsT: m.hEqualsT ? 'yes' : 'no',
    rpmMax: m.rpmMax === null ? '' : String(m.rpmMax),
    toolChangeS: m.toolChangeS === null ? '' : String(m.toolChangeS),
    withoutPoint: m.withoutPoint ?? '',
    g10Form: m.g10Form ?? '',
  };
  return (
    <Tag
      over={m.name}
      number={m.code}
      words={`${m.taper}, ${LENGTH_SCHOOLS[m.lengthSchool]}`}
      closeHref={query.href({ open: null, do: null })}
    >
      <Rows>
        <Row name="K" note={unitWord} big>
          {m.kEntered === null ? unknown : entered(m.kEntered, m.kMm)}
        </Row>
        <Row name="since">{day(m.figuresSince)}</Row>
        {!busy && <Figures machine={m} />}
      </Rows>
      {query.get('do') === 'offsets' ? (
        <Offsets machine={m} fixtures={fixtures} />
      ) : query.get('do') === 'k' ? (
        <FindK machine={m} fields={MACHINE_FIGURES.map((f) => ({ ...f, start: starts[f.name] ?? '' }))} />
      ) : query.get('do') === 'figures' ? (
        <>
          <h2>New figures</h2>
          <VerbForm
            verb="changeMachine"
            fixed={{ code: m.code }}
            submit="State figures"
            fields={MACHINE_FIGURES.map((f) => ({ ...f, start: starts[f.name] ?? '' }))}
            said={() => `${m.code}: registers follow the new figures`}
          />
        </>
      ) : query.get('do') === 'change' ? (
        <>
          <h2>Name and use</h2>
          <ChangeForm kind="machine" line={line} />
        </>
      ) : (
        <Acts>
          <Button variant="contained" component={Link} href={linkTo('registers', { machine: m.code })}>
            Numbers to give it
          </Button>
          <Button component={Link} href={linkTo('pockets', { machine: m.code })}>
            Its pockets
          </Button>
          <Button component={Link} href={query.href({ do: 'offsets' })} scroll={false}>
            Work offsets
          </Button>
          <Button component={Link} href={query.href({ do: 'k' })} scroll={false}>
            Find K with three tools
          </Button>
          <Button component={Link} href={query.href({ do: 'figures' })} scroll={false}>
            New K or other figures
          </Button>
          <Button component={Link} href={query.href({ do: 'change' })} scroll={false}>
            Name, or out of use
          </Button>
        </Acts>
      )}
      <Caution>
        After a crash or spindle repair K is another: measure it anew before the next cut. First run after any
        change: air run, low override, hand on feed hold.
      </Caution>
    </Tag>
  );
}

const inMm = (mm: number | null): string => (mm === null ? '' : `${mm} mm`);

/** What else is known of it; out of the way while K or a work offset is worked out. */
function Figures({ machine: m }: { machine: ShopView['machines'][number] }) {
  const { show, unitWord } = useLengths();
  const unknown = <Unknown>not known</Unknown>;
  return (
    <>
      {m.k0Mm !== null && <Row name="Stand K0">{show(m.k0Mm)}</Row>}
      {m.masterLengthMm !== null && <Row name="Master tool">{show(m.masterLengthMm)}</Row>}
      <Row name="H must equal T">{m.hEqualsT ? 'yes' : 'no'}</Row>
      <Row name="Highest rev/min">{m.rpmMax ?? unknown}</Row>
      <Row name="Feed limit" note={`${unitWord}/min`}>
        {m.feedMaxMmMin === null ? unknown : show(m.feedMaxMmMin, 0)}
      </Row>
      <Row name="Rapid" note={`${unitWord}/min`}>
        {m.rapidMmMin === null ? unknown : show(m.rapidMmMin, 0)}
      </Row>
      <Row name="X10 without a point">
        {m.withoutPoint === null ? unknown : m.withoutPoint === 'as written' ? 'ten' : 'ten increments'}
      </Row>
      <Row name="Tool change">{m.toolChangeS === null ? unknown : `${m.toolChangeS} s`}</Row>
    </>
  );
}
