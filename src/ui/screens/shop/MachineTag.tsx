'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import type { Gear } from '@/core/cutting';
import { linkTo } from '@/core/links';
import { commonOffset, LENGTH_SCHOOLS } from '@/core/measuring';
import type { FixtureRow } from '@/crib/fixtures';
import type { ShopView } from '@/crib/shop';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Caution } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { MACHINE_FIGURES } from '@/ui/screens/common/setUp';
import { useLengths, useTimes } from '@/ui/shell';
import { ChangeForm, type SetUpLine } from './ChangeTag';
import { FindK } from './FindK';
import { Offsets } from './Offsets';
import { Spindle } from './Spindle';

/** A machine: its figures, and what is done with them. */
export function MachineTag({
  machine: m,
  line,
  fixtures,
  gears,
}: {
  machine: ShopView['machines'][number];
  line: SetUpLine;
  fixtures: readonly FixtureRow[];
  gears: readonly Gear[];
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
    digits: m.digits === null ? '' : String(m.digits),
    wearRegisters: m.wearRegisters === null ? '' : m.wearRegisters ? 'yes' : 'no',
    ownSetter: m.ownSetter ?? '',
    coolantBar: m.coolantBar === null ? '' : String(m.coolantBar),
    dwellUnit: m.dwellUnit ?? '',
    peckClearance: inMm(m.peckClearanceMm),
    dEqualsT: m.dEqualsT === null ? '' : m.dEqualsT ? 'yes' : 'no',
    huntsFrom: m.huntsFrom === null ? '' : String(m.huntsFrom),
    huntsTo: m.huntsTo === null ? '' : String(m.huntsTo),
    travelZ: inMm(m.travelZMm),
    acceleration: m.accelerationMmS2 === null ? '' : String(m.accelerationMmS2 / 1000),
    corner: inMm(m.cornerMm),
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
      ) : query.get('do') === 'spindle' ? (
        <Spindle machine={m.code} gears={gears} />
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
          <Button component={Link} href={query.href({ do: 'spindle' })} scroll={false}>
            What its spindle gives
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
  const common = commonOffset({ school: m.lengthSchool, K: m.kMm, K0: m.k0Mm, Lm: m.masterLengthMm });
  return (
    <>
      {m.k0Mm !== null && <Row name="Stand K0">{show(m.k0Mm)}</Row>}
      {m.lengthSchool === 'common-stand' && (
        <Row name="Common Z offset" note="K0 − K">
          {'value' in common ? show(common.value) : unknown}
        </Row>
      )}
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
      <Row name="Wear registers">{m.wearRegisters === null ? unknown : m.wearRegisters ? 'yes' : 'no'}</Row>
      {m.ownSetter !== null && <Row name="Measures itself">{m.ownSetter}</Row>}
      <Row name="Coolant through">
        {m.coolantBar === null ? unknown : m.coolantBar === 0 ? 'none' : `${m.coolantBar} bar`}
      </Row>
      {m.dwellUnit !== null && <Row name="P of a dwell">{m.dwellUnit}</Row>}
      {m.peckClearanceMm !== null && (
        <Row name="Pecks stop above the depth by" note="mm">
          {m.peckClearanceMm}
        </Row>
      )}
      {m.dEqualsT !== null && <Row name="D must be T">{m.dEqualsT ? 'yes' : 'no'}</Row>}
      {m.huntsFrom !== null && (
        <Row name="Spindle hunts" note="rev/min">
          {m.huntsFrom} to {m.huntsTo}
        </Row>
      )}
      {m.travelZMm !== null && (
        <Row name="Travel of Z" note="mm">
          {m.travelZMm}
        </Row>
      )}
      {m.accelerationMmS2 !== null && (
        <Row name="Acceleration" note="m/s²">
          {m.accelerationMmS2 / 1000}
        </Row>
      )}
      {m.cornerMm !== null && (
        <Row name="Stays near a corner" note="mm">
          {m.cornerMm}
        </Row>
      )}
      <Row name="Tool change">{m.toolChangeS === null ? unknown : `${m.toolChangeS} s`}</Row>
    </>
  );
}
