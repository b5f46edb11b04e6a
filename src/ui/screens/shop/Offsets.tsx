'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import {
  commonOffset,
  ALONG,
  type Clamped,
  type Fixture,
  fixtureOffset,
  registerText,
  workOffset,
  ZERO_X,
  ZERO_Y,
  ZERO_Z,
} from '@/core/measuring';
import { isOne } from '@/core/names';
import { WORK_OFFSETS, type WorkOffset, workOffsetAsG10 } from '@/core/registers';
import { parseLength } from '@/core/units';
import type { FixtureRow } from '@/crib/fixtures';
import type { ShopView } from '@/crib/shop';
import { Choice, Field, Fields } from '@/ui/kit/field';
import { BecauseThis, Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Caution, Fold } from '@/ui/kit/page';
import { Typed } from '@/ui/screens/common/Typed';
import { useLengths } from '@/ui/shell';
import { ViseDrawing } from './ViseDrawing';

type Machine = ShopView['machines'][number];

/** Work offsets without a probe: a vise of the cheat sheet, the part in it, and where its zero is. */
export function Offsets({ machine: m, fixtures }: { machine: Machine; fixtures: readonly FixtureRow[] }) {
  const [code, setCode] = useState(fixtures[0]?.code ?? '');
  const vise = fixtures.find((f) => f.code === code) ?? fixtures[0];
  return (
    <>
      <h2>Work offsets</h2>
      {vise ? (
        <>
          {fixtures.length > 1 && (
            <Choice aria-label="Vise" value={vise.code} onChange={(e) => setCode(e.target.value)}>
              {fixtures.map((f) => (
                <option key={f.code} value={f.code}>
                  {f.code}, {f.name}
                </option>
              ))}
            </Choice>
          )}
          <OffsetOf key={vise.entryId} machine={m} vise={vise} />
        </>
      ) : (
        <p className="soft">
          No vise on its cheat sheet yet: say where one stands, once, and each part’s zero follows from it.
        </p>
      )}
      {vise ? (
        <Fold label="Another vise, or one that was moved">
          <StateVise machine={m} vise={vise} />
        </Fold>
      ) : (
        <StateVise machine={m} vise={null} />
      )}
    </>
  );
}

const CHOICES = {
  against: ['The part lies against the', ALONG],
  x: ['Zero along X', ZERO_X],
  y: ['Zero along Y', ZERO_Y],
  z: ['Zero along Z', ZERO_Z],
} as const;

function OffsetOf({ machine: m, vise }: { machine: Machine; vise: FixtureRow }) {
  const { show } = useLengths();
  const [typed, setTyped] = useState<Record<string, string>>({ parallels: '0' });
  const [offset, setOffset] = useState<WorkOffset>('G54');
  const [chosen, setChosen] = useState<{ against: Clamped['against'] } & Clamped['zero']>({
    ...{ against: vise.stopMm === null ? 'left end' : 'stop' },
    ...{ x: 'left', y: 'at the fixed jaw', z: 'top' },
  });
  const mm = (name: string) => {
    const length = parseLength(typed[name] ?? '', m.units);
    return length && length.mm >= 0 ? length.mm : null;
  };
  const [x, y, z, parallels] = ['x', 'y', 'z', 'parallels'].map(mm);
  const fixture: Fixture = {
    ...{ centre: vise.centreMm, width: vise.widthMm, jaw: vise.jawMm, far: vise.isFar, bed: vise.bedMm },
    stop: vise.stopMm,
  };
  const part: Clamped | null =
    x == null || y == null || z == null || parallels == null
      ? null
      : {
          ...{ against: chosen.against, stock: { x, y, z }, parallels },
          zero: { x: chosen.x, y: chosen.y, z: chosen.z },
        };
  const at = part && fixtureOffset(fixture, part);
  const lengths = { school: m.lengthSchool, K: m.kMm, K0: m.k0Mm, Lm: m.masterLengthMm };
  const Z = at && workOffset(lengths, at.h);
  // Of one stand for many machines: without it Z is off by the same for every tool.
  const common = m.lengthSchool === 'common-stand' ? commonOffset(lengths) : null;
  const text = (value: number) => registerText({ value }, m);
  const axes = at && { X: text(at.X), Y: text(at.Y), Z: Z && registerText(Z, m) };
  const field = (name: string, label: string) => (
    <Typed
      label={`${label}, ${m.units}`}
      className="fig"
      inputMode="decimal"
      value={typed[name] ?? ''}
      onChange={(e) => setTyped((before) => ({ ...before, [name]: e.target.value }))}
    />
  );
  const choose = <N extends keyof typeof CHOICES>(name: N) => {
    const [label, options] = CHOICES[name];
    return (
      <Field>
        <label>
          {label}{' '}
          <Choice
            value={chosen[name]}
            onChange={(e) => {
              const { value } = e.target;
              if (isOne(options, value)) setChosen((before) => ({ ...before, [name]: value }));
            }}
          >
            {options
              .filter((o) => o !== 'stop' || vise.stopMm !== null)
              .map((o) => (
                <option key={o}>{o}</option>
              ))}
          </Choice>
        </label>
      </Field>
    );
  };
  return (
    <>
      <Fields>
        {field('x', 'Stock along X')}
        {field('y', 'along Y')}
        {field('z', 'along Z')}
        {field('parallels', 'Parallels under it')}
        {choose('against')}
        {choose('x')}
        {choose('y')}
        {choose('z')}
      </Fields>
      <ViseDrawing fixture={fixture} part={part} zero={at} />
      {at && axes ? (
        <>
          <Rows>
            <Row name={`X of ${offset}`} unit={m.units} big>
              {axes.X}
            </Row>
            <Row name="Y" unit={m.units} big>
              {axes.Y}
            </Row>
            <Row name="Z" unit={axes.Z === null ? undefined : m.units} big={axes.Z !== null}>
              {axes.Z ?? <Unknown>{Z && 'needs' in Z ? `needs ${Z.needs}` : 'not known'}</Unknown>}
            </Row>
            {common && (
              <Row name="and the machine’s common Z offset" note="K0 − K" unit={m.units}>
                {registerText(common, m) ?? <Unknown>not known</Unknown>}
              </Row>
            )}
            <Row name="Part zero above the datum surface">{show(at.h, 3)}</Row>
          </Rows>
          <BecauseThis because={at.because} />
          <Acts>
            <Choice
              aria-label="Work offset"
              value={offset}
              onChange={(e) => {
                const { value } = e.target;
                if (isOne(WORK_OFFSETS, value)) setOffset(value);
              }}
            >
              {WORK_OFFSETS.map((g) => (
                <option key={g}>{g}</option>
              ))}
            </Choice>
            <Button
              href={`data:text/plain;charset=utf-8,${encodeURIComponent(workOffsetAsG10(offset, axes, m.units, `${vise.code} ON ${m.code}`))}`}
              download={`${m.code}-${offset}.nc`}
            >
              Program that writes it
            </Button>
          </Acts>
        </>
      ) : (
        <p className="soft">Type the stock’s three sizes: where zero comes to lie is shown.</p>
      )}
      <p className="soft small">
        {vise.code} as stated by {vise.who}. The jaw gives a little when it is tightened; a probe or an edge
        finder is finer.
      </p>
      <Caution>
        A vise that was moved, or a part that is not down on its parallels, puts zero elsewhere. Look at the
        first approach in the air, low override, hand on feed hold.
      </Caution>
    </>
  );
}

function StateVise({ machine: m, vise: v }: { machine: Machine; vise: FixtureRow | null }) {
  return (
    <VerbForm
      key={v?.entryId ?? 0}
      verb="stateFixture"
      fixed={{ machine: m.code }}
      submit="State it"
      when
      fields={[
        { name: 'code', label: 'Code', start: v?.code },
        { name: 'name', label: 'What it is', start: v?.name },
        { name: 'centre', label: 'Machine X of its middle', kind: 'length', start: v?.centreEntered },
        { name: 'width', label: 'Width of its jaws', kind: 'length', start: v?.widthEntered },
        { name: 'jaw', label: 'Machine Y of its fixed jaw', kind: 'length', start: v?.jawEntered },
        {
          name: 'side',
          label: 'The fixed jaw is',
          kind: 'choice',
          start: v ? (v.isFar ? 'far' : 'near') : 'far',
          options: [
            ['far', 'the far one'],
            ['near', 'the near one'],
          ],
        },
        {
          name: 'bed',
          label: 'Its bed above the datum surface',
          kind: 'length',
          start: v?.bedEntered,
        },
        {
          name: 'jawHigh',
          label: 'Its jaws above its bed',
          kind: 'length',
          optional: true,
          start: v?.jawHighEntered ?? '',
          help: 'what reaches beyond a part is then held against them',
        },
        {
          name: 'stop',
          label: 'Machine X of its stop',
          kind: 'length',
          optional: true,
          start: v?.stopEntered ?? '',
        },
      ]}
      said={(d) => `${d.code} stated on ${d.machine}`}
    />
  );
}
