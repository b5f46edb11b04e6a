/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { DeviceLine, GaugeLine } from '@/crib/devices';
import type { RegistersView, SheetLine } from '@/crib/registers';
import type { Judgement } from '@/core/because';
import { first } from '@/core/sure';
import { GaugeTag, Gauges } from '@/ui/screens/devices';
import { DownForm } from '@/ui/screens/rack/DownForm';
import { Measure } from '@/ui/screens/rack/Measure';
import { MeasureScreen } from '@/ui/screens/rack/MeasureScreen';
import { RegistersScreen } from '@/ui/screens/registers/RegistersScreen';
import { answer, showIn } from '@/ui/testing';

const pushed: string[] = [];
jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: (to: string) => pushed.push(to) }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));
beforeEach(() => pushed.splice(0));
const tap = (name: string | RegExp) => act(async () => fireEvent.click(screen.getByRole('button', { name })));
const type = (label: string | RegExp, value: string) =>
  act(async () => fireEvent.change(screen.getByLabelText(label), { target: { value } }));
const AT = new Date('2027-01-12T08:00:00Z');
const good: Judgement = { code: 'X', grade: 'good', words: 'good', because: { words: '', values: [] } };

describe('what a machine is given', () => {
  const view = answer('registers');
  const line = (over: Partial<SheetLine>): SheetLine => ({ ...first(view.lines), ...over });
  const shown = (lines: SheetLine[], machine: Partial<RegistersView['machine']> = {}) =>
    showIn(
      <RegistersScreen view={{ ...view, machine: { ...view.machine, ...machine }, lines }} />,
      async () => ({
        ...{ ok: true as const, done: { entry: 9, machine: 'M2', given: 1, how: 'read back' } },
      }),
    );
  it('sisters stand under their own H and D, each with its pocket', () => {
    shown([
      line({ pocket: 1 }),
      line({ pocket: 5, tag: 'A-0002', numbers: { h: 24, d: 34 }, h: '−395.500', d: '4.990' }),
    ]);
    expect(screen.getByLabelText('H7: what the control shows')).toBeTruthy();
    expect(screen.getByLabelText('H24: what the control shows')).toBeTruthy();
    expect(screen.getByLabelText('D34: what the control shows')).toBeTruthy();
    expect(screen.getByText(/pocket 5/)).toBeTruthy();
  });
  it('what must not run stands among what is to be seen to, though it has its numbers', () => {
    const since = { state: 'same', words: '' } as const;
    shown([
      line({ since, lacks: [], stop: 'Worn: flank wear 0.16 of 0.16 mm', numbers: { h: 3, d: 3 }, t: 3 }),
      line({ since, lacks: [] }),
    ]);
    expect(screen.getByText(/1 that must not run\.$/)).toBeTruthy();
    expect(screen.getByText('must not run. Worn: flank wear 0.16 of 0.16 mm')).toBeTruthy();
    expect(screen.getByText('1 as they were given')).toBeTruthy();
  });
  it('wear that a correction left is shown and read back with the rest; wear that is as it should be is not asked for', async () => {
    const { calls } = shown([
      line({ wear: { h: { due: '0.000', had: '−0.030' }, d: { due: '0.000', had: null } } }),
    ]);
    expect(screen.getByText('was −0.030')).toBeTruthy();
    expect(screen.queryByLabelText('wear of D7: what the control shows')).toBeNull();
    await type('H7: what the control shows', '-395.888');
    await type('wear of H7: what the control shows', '0');
    await tap('1 T read back');
    expect(calls[0]!.input.lines).toEqual([{ t: 7, tag: 'A-0001', h: '-395.888', hWear: '0' }]);
  });
  it('what a machine sets itself has no figure to enter, but about what it should be, and can be read back', async () => {
    const { calls } = shown([line({ h: null, wouldBe: '−395.888', setThere: { h: true, d: false } })], {
      ownSetter: 'length',
    });
    expect(screen.getByText('set there, about −395.888')).toBeTruthy();
    expect(screen.getByText(/it measures length itself/)).toBeTruthy();
    await type('H7: what the control shows', '-395.87');
    await tap('1 T read back');
    expect(calls[0]!.input.lines).toEqual([{ t: 7, tag: 'A-0001', h: '-395.87' }]);
    // Nothing of it can have been sent.
    expect(screen.queryByRole('button', { name: /^It ran/ })).toBeNull();
  });
  it('a program of the form that writes no wear can’t have put any there', () => {
    const worn = line({ wear: { h: { due: '−0.030', had: null }, d: null } });
    const { unmount } = shown([worn]);
    expect(screen.queryByRole('button', { name: /^It ran/ })).toBeNull();
    unmount();
    shown([worn], { g10Form: 'geometry and wear' });
    expect(screen.getByRole('button', { name: 'It ran: 1 T are in the control' })).toBeTruthy();
  });
});

describe('where it is measured', () => {
  const device = (over: Partial<DeviceLine> = {}): DeviceLine => ({
    ...{ id: 1, code: 'HS-1', name: 'Height stand', kind: 'height stand', port: null, masterMm: 100 },
    ...{ masterEntered: '100 mm', entryId: 5, checkedAt: AT, offMm: 0.001, ok: true },
    ...{ judgement: good, doubted: [] },
    ...over,
  });
  const screenOf = (over: Partial<Parameters<typeof MeasureScreen>[0]> = {}) =>
    showIn(
      <MeasureScreen
        asked={null}
        card={null}
        waiting={{
          lines: [{ tag: 'A-0003', item: 'EM10', holder: 'SL10', why: 'not measured' }],
          more: false,
        }}
        machines={[]}
        devices={[device({ doubted: [{ tag: 'A-0009', happenedAt: AT }] })]}
        {...over}
      />,
    );
  it('says what to do first, what waits, and what has to be measured again', () => {
    screenOf();
    expect(screen.getByText('Scan the tag of what stands in the device')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'A-0003' }).getAttribute('href')).toBe('/measure?tag=A-0003');
    expect(screen.getByText('HS-1 was off when it was measured')).toBeTruthy();
  });
  it('a tag that stands no more is said to', () => {
    screenOf({ asked: 'A-0007' });
    expect(screen.getByText('A-0007 does not stand.')).toBeTruthy();
  });
  it('shows what is expected beside what it was last, before it is read', () => {
    screenOf({ asked: 'A-0001', card: answer('assembly') });
    expect(screen.getByText('94.0')).toBeTruthy();
    expect(screen.getByText('94.112')).toBeTruthy();
  });
  // Hand arithmetic: 100 − 5.812 is 94.188; 10 K of 60.188 steel and 34 carbide are 0.0088.
  it('a dial read by eye: block and dial are the length; warm, it is shown at 20 °C and sent as it was read', async () => {
    const { calls } = showIn(
      <Measure card={answer('assembly')} devices={[device()]} machines={[]} onDone={() => undefined} />,
      async () => ({ ok: true, done: { entry: 9, tag: 'A-0001', inQuestion: false, questions: [] } }),
    );
    expect(screen.queryByRole('button', { name: /^Read from/ })).toBeNull();
    await type('Dial shows', '−5.812');
    expect(screen.getByLabelText('Gauge length, mm')).toHaveProperty('value', '94.1880 mm');
    await type('Block it stands against', '90');
    expect(screen.getByLabelText('Gauge length, mm')).toHaveProperty('value', '84.1880 mm');
    await type('Block it stands against', 'x');
    expect(screen.getByLabelText('Gauge length, mm')).toHaveProperty('value', '84.1880 mm');
    await type('Block it stands against', '');
    await type(/^Tool warmer/, '30');
    expect(screen.getByText('94.179 mm')).toBeTruthy();
    await tap('Record');
    expect(calls[0]).toMatchObject({
      verb: 'recordMeasurement',
      input: { tag: 'A-0001', gaugeLength: '94.1880 mm', device: 'HS-1', block: '100 mm', temperature: '30' },
    });
    expect(calls[0]!.input).not.toHaveProperty('readings');
  });
});

describe('touched off in a machine', () => {
  // K 490: with the tip on a block of 10 on the datum surface at −385.812, L = −385.812 − 10 + 490 = 94.188 (hand arithmetic).
  it('becomes a gauge length, which says where it was touched off', async () => {
    const { calls } = showIn(
      <Measure
        card={answer('assembly')}
        devices={[]}
        machines={[
          { code: 'M2', units: 'mm', kMm: 490 },
          { code: 'M9', units: 'mm', kMm: null },
        ]}
        onDone={() => undefined}
      />,
      async () => ({ ok: true, done: { entry: 9, tag: 'A-0001', inQuestion: false, questions: [] } }),
    );
    await tap('Touched off in a machine instead');
    expect(screen.queryByRole('option', { name: 'M9' })).toBeNull();
    await type('Block under the tip, mm', '10');
    await type('Machine Z at the touch, mm', '-385.812');
    expect(screen.getByLabelText('Gauge length, mm')).toHaveProperty('value', '94.1880 mm');
    await type('Touched so far above the datum surface, mm', '60');
    expect(screen.getByLabelText('Gauge length, mm')).toHaveProperty('value', '34.1880 mm');
    await type('Touched so far above the datum surface, mm', '');
    await tap('Record');
    expect(calls[0]!.input).toMatchObject({
      ...{ tag: 'A-0001', gaugeLength: '94.1880 mm', note: 'touched off in M2 at -385.812' },
    });
    expect(calls[0]!.input).not.toHaveProperty('device');
  });
});

describe('certificates', () => {
  const gauge = (over: Partial<GaugeLine> = {}): GaugeLine => ({
    ...{ code: 'W-1', name: 'Wrench', kind: 'torque wrench', sizeMm: null, sizeEntered: null },
    ...{ doubts: 'what was tightened with it since', calibrated: null, judgement: good, doubted: [] },
    ...over,
  });
  it('each is named once, with what it is where its name does not say so', () => {
    showIn(
      <Gauges
        gauges={[
          gauge(),
          gauge({ code: 'W-2', name: 'Torque wrench 2' }),
          gauge({ code: 'P', kind: 'device' }),
        ]}
        hrefOf={(code) => `/${code}`}
        addHref="/add"
      />,
    );
    const [one, two, three] = screen.getAllByRole('listitem').map((l) => l.textContent);
    expect([one, two]).toEqual([
      expect.stringContaining('W-1 Wrench, torque wrench'),
      expect.stringMatching(/W-2 Torque wrench 2 /),
    ]);
    expect(three).toContain('certificate');
  });
  it('what one that was off put in doubt leads to where each is done again', () => {
    const doubted = [
      { doubtedId: 3, what: 'measurement', tag: 'A-0001', happenedAt: AT, job: null },
      { doubtedId: 4, what: 'tightening', tag: 'A-0002', happenedAt: AT, job: null },
      { doubtedId: 5, what: 'size', tag: 'A-0003', happenedAt: AT, job: 'J-1' },
    ] as const;
    showIn(<GaugeTag gauge={gauge({ doubted: [...doubted] })} closeHref="/" />);
    const list = within(screen.getByText(/do each again/).closest('div')!);
    expect(list.getByRole('link', { name: 'A-0001' }).getAttribute('href')).toContain('do=measure');
    expect(list.getByRole('link', { name: 'A-0002' }).getAttribute('href')).toContain('do=tighten');
    expect(list.getByText(/parts of/).textContent).toContain('J-1');
  });
});

describe('taken down in one step', () => {
  const PLACES = [{ code: 'USED', name: 'Used', kind: 'drawer', inUse: true }];
  const choose = (label: string | RegExp, value: string) => type(label, value);
  it('a paused life is asked for nothing but where things go', async () => {
    const { calls } = showIn(<DownForm card={answer('assembly')} places={PLACES} />, async () => ({
      ...{ ok: true as const, done: { entry: 9, piece: 'E-0001', cutterTo: 'USED' } },
    }));
    expect(screen.queryByLabelText('How it ended')).toBeNull();
    await choose('Cutter goes to', 'USED');
    await tap('Take down');
    expect(calls[0]!.input).toMatchObject({ tag: 'A-0001', cutterTo: 'USED' });
    expect(calls[0]!.input).not.toHaveProperty('ended');
  });
  it('one that ended says how, and what it is still good for', async () => {
    const { calls } = showIn(
      <DownForm card={{ ...answer('assembly'), grades: ['plastics', 'scrap'] }} places={PLACES} />,
      async () => ({ ok: true, done: { entry: 9, piece: 'E-0001', cutterTo: 'USED' } }),
    );
    await act(async () => fireEvent.click(screen.getByRole('radio', { name: 'ended' })));
    await choose('Cutter goes to', 'USED');
    await choose('How it ended', 'worn');
    await choose(/^Still good for/, 'plastics');
    await choose(/^Flute good from/, '4');
    await choose(/^Flute good up to/, '20');
    await tap('Take down');
    expect(calls[0]!.input).toMatchObject({
      ended: { kind: 'worn' },
      ...{ grade: 'plastics', goodFrom: '4', goodTo: '20' },
    });
    expect(calls[0]!.input).not.toHaveProperty('kind');
  });
  it('a body says what becomes of its inserts', () => {
    showIn(
      <DownForm
        card={{
          ...answer('assembly'),
          inserts: { item: 'SE12', quantity: 5, edgesLeft: 1, seats: [], numbers: [1, 2, 3, 4] },
        }}
        places={PLACES}
      />,
    );
    expect(screen.getByLabelText(/^Its 5 × SE12/)).toBeTruthy();
    expect(screen.getByText(/1 edge left/)).toBeTruthy();
  });
});
