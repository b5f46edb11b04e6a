/** @jest-environment jsdom */
import { geometry } from '@/core/cutters';
import { asksOf, judgeUse, type UseBuild, type UseState } from '@/core/jobs';
import type { Grade } from '@/core/because';
import { first } from '@/core/sure';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { RunView } from '@/crib/jobs';
import type { AssemblyView, RackCard } from '@/crib/rack';
import type { TakeSource } from '@/crib/stock';
import { Stepper } from '@/ui/kit/field';
import { Rack, type RackSlot } from '@/ui/rack';
import { RunScreen } from '@/ui/screens/jobs/RunScreen';
import { EndScreen } from '@/ui/screens/life/EndScreen';
import { Uses } from '@/ui/screens/rack/assemblyFigures';
import { answer, showIn } from '@/ui/testing';

const pushed: string[] = [];
jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: (to: string) => pushed.push(to) }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));
beforeEach(() => pushed.splice(0));

/** The assembly of the small crib, not measured. */
const card = (over: Partial<AssemblyView> = {}): AssemblyView => ({
  ...answer('assembly'),
  measured: { state: 'not measured' },
  ...over,
});
const hung = (over: Partial<RackCard> = {}): RackCard => ({
  ...first(answer('run').assemblies),
  ...over,
});
const { id: OPERATION } = answer('run').job.operation;
const source = (over: Partial<TakeSource> = {}): TakeSource => ({
  ...first(answer('takeable').sources),
  take: '2 unused at S1',
  ...over,
});
const places = [
  { code: 'S1', name: 'Shelf', kind: 'shelf', inUse: true },
  { code: 'USED', name: 'Used', kind: 'drawer', inUse: true },
  { code: 'SCRAP', name: 'Scrap', kind: 'scrap', inUse: true },
];
const tap = (name: string | RegExp) => act(async () => fireEvent.click(screen.getByRole('button', { name })));

describe('the tag of a sister', () => {
  const tag = (standsIn: NonNullable<AssemblyView['loaded']>['standsIn']) =>
    showIn(
      <Uses card={card({ ties: [], loaded: { machine: 'M2', pocket: 5, t: 7, sisters: [], standsIn } })} />,
    );
  it('says of the T she stands in for whether she may run there', () => {
    const why = 'Its length is in H27, the program calls H7, and M2 takes what is called';
    tag([{ operation: 3, job: 'J-S', t: 7, use: { grade: 'stop', why } }]);
    expect(screen.getByRole('link', { name: 'T7 of J-S' }).getAttribute('href')).toContain('J-S');
    expect(screen.getByText(why)).toBeTruthy();
  });
  it('or that she may', () => {
    tag([{ operation: 3, job: 'J-S', t: 7, use: { grade: 'good', why: null } }]);
    expect(screen.getByText('may run')).toBeTruthy();
  });
});

describe('ending a life', () => {
  it('asks how before it sends anything', async () => {
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    await tap('End this life');
    expect(screen.getByRole('alert').textContent).toContain('Say how it ended.');
    expect(calls).toEqual([]);
  });
  it('three taps: worn, parts since, end; scrap and taking down are where it goes unless said', async () => {
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    await tap('Parts of J-1 since the last log: one more');
    await tap('End this life');
    expect(calls).toEqual([
      {
        verb: 'endLife',
        input: {
          tag: 'A-0001',
          kind: 'worn',
          signs: [],
          partsSince: [{ operation: OPERATION, parts: '1' }],
          cutterTo: 'SCRAP',
          formId: expect.any(String),
        },
      },
    ]);
    expect(pushed).toEqual(['/run/1']);
  });
  it('of a body its inserts are turned, and it goes on: nothing of it is scrap unless said', async () => {
    const inserts = { item: 'SE12', quantity: 3, edgesLeft: 2, seats: [], numbers: [1, 2, 3] };
    const { calls } = showIn(
      <EndScreen card={{ ...card(), inserts }} takeable={[source()]} places={places} />,
    );
    expect(screen.getByText('Seats turned; none ticked: all. Now 2 edges left')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    const seats = screen.getByRole('group', { name: /^Seats turned/ });
    fireEvent.click(within(seats).getByRole('checkbox', { name: '2' }));
    await tap('End this life');
    const sent = calls[0]!.input as Record<string, unknown>;
    expect(sent.rebuild).toEqual({ turned: { seats: ['2'] }, stickout: expect.any(String) });
    expect(sent).not.toHaveProperty('cutterTo');
    // A lost one is not built with again.
    fireEvent.click(screen.getByRole('radio', { name: 'lost' }));
    await tap('End this life');
    expect(calls[1]!.input).not.toHaveProperty('rebuild');
    // Nor one that was in a crash, unless somebody says so: its seats may be bent.
    fireEvent.click(screen.getByRole('radio', { name: 'crash' }));
    expect(screen.getByRole<HTMLInputElement>('radio', { name: /^take it down/ }).checked).toBe(true);
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    fireEvent.click(screen.getByRole('radio', { name: 'take it down, holder back to its place' }));
    expect(screen.getByLabelText<HTMLSelectElement>('The old cutter goes to').value).toBe('S1');
  });
  it('parts left blank are no parts, not zero parts', async () => {
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'crash' }));
    await tap('End this life');
    expect(calls[0]!.input.partsSince).toEqual([]);
  });
  it('the caution of a broken cutter stands beside it: fragments', () => {
    showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'broken' }));
    expect(screen.getAllByRole('note')[0]!.textContent).toMatch(/find every fragment/);
  });
  it('another cutter into it: the same one first, the old stickout kept, then measured', async () => {
    const { calls } = showIn(
      <EndScreen
        card={card({ stickoutEntered: '1.5 in' })}
        takeable={[source(), source({ value: 'AA|S1', item: 'AA' })]}
        places={places}
      />,
      async () => ({ ok: true, done: { entry: 9, newTag: 'A-0002' } }),
    );
    fireEvent.click(screen.getByRole('radio', { name: 'chipped' }));
    fireEvent.click(screen.getByRole('checkbox', { name: 'burr' }));
    fireEvent.click(screen.getByRole('radio', { name: /another cutter into it/ }));
    await tap('End this life');
    expect(calls[0]!.input).toMatchObject({
      signs: ['burr'],
      rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: '1.5 in' },
    });
    expect(pushed).toEqual(['/rack?open=A-0002&do=measure']);
  });
  it('another one is searched on the server, and what speaks against it stands with it', async () => {
    const asked: string[] = [];
    const older = source({ value: 'EM10-A|S2', item: 'EM10-A', take: '1 unused at S2', caution: 'trial' });
    globalThis.fetch = jest.fn(async (url: string) => {
      asked.push(url);
      return { ok: true, json: async () => ({ sources: [older], more: false }) };
    }) as unknown as typeof fetch;
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />, async () => ({
      ok: true,
      done: { entry: 9, newTag: 'A-0002' },
    }));
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    fireEvent.click(screen.getByRole('radio', { name: /another cutter into it/ }));
    const field = await screen.findByRole('combobox', { name: 'Cutter from' });
    expect(field).toHaveProperty('value', 'EM10: 2 unused at S1');
    act(() => field.focus());
    fireEvent.change(field, { target: { value: 'em10-a' } });
    const option = await screen.findByRole('option', { name: /EM10-A: 1 unused at S2/ });
    expect(option.textContent).toContain('▲ trial');
    await waitFor(() =>
      expect(asked.at(-1)).toBe('/api/v1/takeable?what=cutter&like=EM10&material=C45&q=em10-a'),
    );
    fireEvent.click(option);
    await tap('End this life');
    expect(calls[0]!.input).toMatchObject({ rebuild: { cutter: { item: 'EM10-A', place: 'S2' } } });
  });
  it('where the same cutter is out, no other is chosen by itself', async () => {
    const other = source({ value: 'AA|S1', item: 'AA' });
    const { calls } = showIn(<EndScreen card={card()} takeable={[other]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    fireEvent.click(screen.getByRole('radio', { name: /another cutter into it/ }));
    expect(await screen.findByRole('combobox', { name: 'Cutter from' })).toHaveProperty('value', '');
    await tap('End this life');
    expect(screen.getByRole('alert').textContent).toContain('Say which cutter goes into it.');
    expect(calls).toEqual([]);
  });
  it('nothing is sent while it is not said which cutter goes in', async () => {
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    fireEvent.click(screen.getByRole('radio', { name: /another cutter into it/ }));
    fireEvent.change(await screen.findByRole('combobox', { name: 'Cutter from' }), { target: { value: '' } });
    await tap('End this life');
    expect(screen.getByRole('alert').textContent).toContain('Say which cutter goes into it.');
    expect(calls).toEqual([]);
  });
  it('a stop that is judged asks for the reason the refusal speaks of, and sends it', async () => {
    const stop = { field: 'stickout', value: '34 mm', limit: null, detail: 'Too short to grip' };
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />, async () => ({
      ok: false,
      problem: {
        type: 'x',
        title: 'x',
        status: 409,
        code: 'REFUSED',
        detail: stop.detail,
        way_out: 'Say why.',
        problems: [stop],
      },
    }));
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    fireEvent.click(screen.getByRole('radio', { name: /another cutter into it/ }));
    expect(screen.queryByLabelText(/A stop is judged/)).toBeNull();
    await tap('End this life');
    fireEvent.change(screen.getByLabelText(/A stop is judged/), {
      target: { value: 'longer bore than listed' },
    });
    await tap('End this life');
    expect(calls[1]!.input.rebuild).toMatchObject({ despite: 'longer bore than listed' });
  });
  it('with no cutter on a shelf there is nothing to build in', () => {
    showIn(<EndScreen card={card()} takeable={[]} places={places} />);
    expect(screen.getByRole('radio', { name: /another cutter into it/ })).toHaveProperty('disabled', true);
  });
  it('what is lost goes nowhere else; a cost is an amount or nothing', async () => {
    const { calls } = showIn(<EndScreen card={card()} takeable={[source()]} places={places} />);
    fireEvent.click(screen.getByRole('radio', { name: 'lost' }));
    expect(screen.queryByLabelText('The old cutter goes to')).toBeNull();
    fireEvent.change(screen.getByLabelText(/Cost of it/), { target: { value: 'much' } });
    await tap('End this life');
    expect(screen.getByRole('alert').textContent).toMatch(/“much” is no amount/);
    fireEvent.change(screen.getByLabelText(/Cost of it/), { target: { value: '120,5' } });
    await tap('End this life');
    expect(calls[0]!.input).toMatchObject({ kind: 'lost', costCents: 12050 });
    expect(calls[0]!.input).not.toHaveProperty('cutterTo');
  });
  it('a refusal is shown with its way out, and what was chosen stays', async () => {
    showIn(<EndScreen card={card()} takeable={[source()]} places={places} />, async () => ({
      ok: false,
      problem: {
        type: 'x',
        title: 'x',
        status: 409,
        code: 'CONFLICT',
        detail: 'A-0001 was taken down',
        way_out: 'Look for the newer tag.',
        problems: [],
      },
    }));
    fireEvent.click(screen.getByRole('radio', { name: 'worn' }));
    await tap('End this life');
    expect(screen.getByRole('alert').textContent).toMatch(/A-0001 was taken down.*newer tag/);
    expect(screen.getByRole('radio', { name: 'worn' })).toHaveProperty('checked', true);
    expect(pushed).toEqual([]);
  });
});

describe('at the machine', () => {
  const view = (over: Partial<RunView> = {}): RunView => ({ ...answer('run'), openUses: [], ...over });
  it('logs what the stepper says', async () => {
    const { calls } = showIn(<RunScreen view={view()} />);
    await tap('Parts made: one more');
    await tap('Parts made: one more');
    await tap('Log parts');
    expect(calls).toMatchObject([{ verb: 'logParts', input: { operation: OPERATION, parts: '3' } }]);
    expect(screen.getByRole('textbox', { name: 'Parts made' })).toHaveProperty('value', '1');
  });
  it('another tool in the machine under a T is said on top and at that T, and nothing says that all may run', () => {
    const { job } = answer('run');
    const tool = first(job.tools);
    const words = 'pocket 8 has A-0009 as T7, not A-0001';
    const good = { ...job, tools: [{ ...tool, use: { ...tool.use, grade: 'good' as const, why: null } }] };
    const { unmount } = showIn(<RunScreen view={view({ job: good, amiss: [] })} />);
    expect(screen.getByText('its one tool may run')).toBeTruthy();
    unmount();
    showIn(<RunScreen view={view({ job: good, amiss: [{ t: tool.t, grade: 'stop', words }] })} />);
    expect(screen.queryByText('its one tool may run')).toBeNull();
    const top = screen.getByRole('navigation', { name: 'Before the next part' });
    expect(top.textContent).toContain(words);
    expect(screen.getAllByText(new RegExp(words))).toHaveLength(2);
  });
  it('says of each tool what the one judgement says: parts left, a change at 80 %, past, worn, in question', () => {
    const { job } = answer('run');
    const tool = first(job.tools);
    const stands: UseBuild & UseState = {
      name: 'A-0001',
      cutter: geometry('square', { DC: 10, LCF: 40 }),
      body: null,
      stickout: 60,
      holder: { taper: job.machine.taper, rpmMax: 12000 },
      build: [],
      measured: 'measured',
      question: null,
      diameterMeasured: true,
      runout: null,
      registerNeeds: null,
      figuresChanged: false,
      inserts: null,
      wear: null,
      life: { used: 0.5, leftMinutes: 20, fresh: true },
    };
    const words = (over: Partial<UseState>) => {
      const use = judgeUse({
        asks: asksOf(tool.tool),
        here: tool.here,
        machine: job.machine,
        partsLeft: job.partsLeft,
        assembly: { ...stands, ...over },
        was: null,
      });
      const { unmount } = showIn(<RunScreen view={view({ job: { ...job, tools: [{ ...tool, use }] } })} />);
      const text = screen.getAllByRole('listitem')[0]!.textContent;
      unmount();
      return text;
    };
    const life = (used: number | null) => ({
      life: { used, leftMinutes: used === null ? null : 40 * (1 - used), fresh: true },
    });
    expect(words(life(0.5))).toMatch(/may run.*Good for about \d+ of/);
    expect(words(life(0.8))).toMatch(/question: .*change soon/);
    expect(words(life(1.2))).toMatch(/question: Past its expected life/);
    expect(words(life(null))).toMatch(/may run.*cannot say/);
    expect(words({ wear: { reading: 0.2, limit: 0.2, worn: true } })).toMatch(/stop: Worn/);
    expect(words({ measured: 'in question', question: '0.04 longer' })).toMatch(
      /question: Length in question/,
    );
  });
  it('says at its top which tools don’t simply run, the worst first, those of one reason together, each with a way to it', () => {
    const { job } = answer('run');
    const tool = first(job.tools);
    const show = (...uses: [grade: Grade, why: string | null][]) => {
      const tools = uses.map(([grade, why], i) => ({ ...tool, t: i + 1, use: { ...tool.use, grade, why } }));
      const { unmount } = showIn(<RunScreen view={view({ job: { ...job, tools } })} />);
      const nav = screen.queryByRole('navigation', { name: 'Before the next part' });
      const said = nav && {
        lines: [...nav.children].map((line) => line.textContent),
        to: within(nav)
          .queryAllByRole('link')
          .map((a) => [a.textContent, document.querySelector(a.getAttribute('href')!)?.tagName]),
      };
      unmount();
      return said;
    };
    expect(
      show(
        ['good', null],
        ['not judged', 'Whether it reaches: its neck is not known'],
        ['question', 'change soon'],
        ['stop', 'fragments are not found'],
        ['stop', 'fragments are not found'],
      ),
    ).toEqual({
      lines: [
        '■stop: T4 T5 fragments are not found',
        '▲question: T3 change soon',
        '○not judged: T2 Whether it reaches: its neck is not known',
      ],
      to: [
        ['T4', 'LI'],
        ['T5', 'LI'],
        ['T3', 'LI'],
        ['T2', 'LI'],
      ],
    });
    expect(show(['good', null], ['good', null])).toEqual({ lines: ['●good: all 2 tools may run'], to: [] });
    expect(show()).toBeNull();
  });
  it('a count that can hardly be is asked about, and booked when it was counted again', async () => {
    const { calls } = showIn(<RunScreen view={view()} />, async (_, input) =>
      'confirmed' in input
        ? { ok: true, done: { entry: 9, parts: 1 } }
        : {
            ok: false,
            problem: {
              type: '',
              title: '',
              status: 409,
              code: 'REFUSED',
              detail: '60 parts counted, 12 are left to make',
              way_out: 'Count again.',
              problems: [{ field: 'confirmed', value: 60, limit: null, detail: '60 parts counted' }],
            },
          },
    );
    await tap('Log parts');
    expect(screen.getByRole('alert').textContent).toMatch(/12 are left to make/);
    await tap('Counted again: 1 were made');
    expect(calls.map((c) => c.input)).toMatchObject([{ parts: '1' }, { parts: '1', confirmed: true }]);
  });
  describe('a T with a sister in a pocket', () => {
    const { job } = answer('run');
    const tool = first(job.tools);
    const sister = (use: RunView['sisters'][number]['use'] = { grade: 'good', why: null }) => ({
      ...{ t: tool.t, tag: 'A-0099', pocket: 5, h: 27, d: null, goodFor: 12, use },
    });
    const counted = (untilChange: number | null, sisters = [sister()]) =>
      view({ job: { ...job, tools: [{ ...tool, tag: 'A-0001', untilChange }] }, sisters });
    const type = (parts: string) =>
      fireEvent.change(screen.getByRole('textbox', { name: 'Parts made' }), { target: { value: parts } });
    const asked = () => screen.queryByText(/is at its count|was at its count/);

    it('asks who cut the parts past its count, and logs up to it before it goes on', async () => {
      const { calls } = showIn(<RunScreen view={counted(2)} />);
      type('2');
      expect(asked()).toBeNull();
      type('5');
      fireEvent.change(screen.getByRole('textbox', { name: /Material lot/ }), { target: { value: 'H-7 ' } });
      expect(asked()?.textContent).toBe(`T${tool.t} is at its count after 2 of these 5.`);
      await tap('Yes: log 2, go on with A-0099');
      expect(calls.map((c) => [c.verb, c.input])).toMatchObject([
        ['logParts', { operation: OPERATION, parts: 2, materialLot: 'H-7' }],
        ['tieTool', { operation: OPERATION, t: tool.t, tag: 'A-0099' }],
      ]);
      expect(screen.getByRole('textbox', { name: 'Parts made' })).toHaveProperty('value', '3');
    });
    it('at its count already it only goes on; a count that can’t be, or a sister that must not run, is not asked about', async () => {
      const { calls, unmount } = showIn(<RunScreen view={counted(0)} />);
      expect(asked()?.textContent).toBe(`T${tool.t} was at its count before these.`);
      await tap('Yes: go on with A-0099');
      expect(calls.map((c) => c.verb)).toEqual(['tieTool']);
      type(String(job.partsLeft + 1));
      expect(asked()).toBeNull();
      unmount();
      showIn(<RunScreen view={counted(0, [sister({ grade: 'stop', why: 'its edge is gone' })])} />);
      expect(asked()).toBeNull();
      expect(screen.getByText('its edge is gone', { exact: false })).toBeTruthy();
      // Nor is she counted in with the other.
      expect(screen.queryByText(/With its sister good for about/)).toBeNull();
    });
    it('what is refused is said where it was tapped, and nothing counts as logged', async () => {
      const { calls } = showIn(<RunScreen view={counted(2)} />, async () => ({
        ok: false,
        problem: {
          ...{ type: '', title: '', status: 409, code: 'REFUSED', detail: 'fragments of T7 are not found' },
          ...{ way_out: 'Say what became of them.', problems: [] },
        },
      }));
      type('5');
      await tap('Yes: log 2, go on with A-0099');
      expect(screen.getByRole('alert').textContent).toMatch(/fragments of T7 are not found/);
      expect(calls.map((c) => c.verb)).toEqual(['logParts']);
      expect(screen.getByRole('textbox', { name: 'Parts made' })).toHaveProperty('value', '5');
    });
    it('where nobody counts nothing is asked; it is gone on with by a tap', async () => {
      const { calls } = showIn(<RunScreen view={counted(null)} />);
      type('9');
      expect(asked()).toBeNull();
      expect(screen.getByText(/in pocket 5, H27: good for about 12/)).toBeTruthy();
      await tap('Go on with A-0099');
      expect(calls).toMatchObject([{ verb: 'tieTool', input: { tag: 'A-0099' } }]);
    });
  });
  it('says who signs, and offers to take back the last log', () => {
    showIn(<RunScreen view={view()} />);
    expect(screen.getByText('You sign as', { exact: false })).toBeTruthy();
    expect(screen.getByRole('button', { name: /Take back 10 parts logged/ })).toBeTruthy();
  });
  it('a T without a tag says so, and open minutes ask which assembly it was', () => {
    showIn(<RunScreen view={view({ openUses: [{ t: 8, minutes: 12.34 }] })} />);
    expect(screen.getByText('no tag tied')).toBeTruthy();
    expect(screen.getByText(/T8 ran 12.3 min without a tag/)).toBeTruthy();
  });
});

it('the stepper counts from blank, never below none, and leaves words for the door to refuse', () => {
  const seen: string[] = [];
  const { rerender } = showIn(<Stepper label="Parts" value="" onChange={(v) => seen.push(v)} />);
  const click = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  click('Parts: one more');
  click('Parts: one less');
  expect(seen).toEqual(['1', '0']);
  rerender(<Stepper label="Parts" value="lots" onChange={(v) => seen.push(v)} />);
  expect(screen.getByRole('textbox', { name: 'Parts' })).toHaveProperty('value', 'lots');
});

describe('the rack', () => {
  const slot = (
    c: RackCard | null,
    reachMm: number | null = null,
    use: RackSlot['use'] = { grade: 'good', why: null },
  ): RackSlot => ({ key: c?.tag ?? 'x', title: 'T7', card: c, use, reachMm });
  const show = (slots: RackSlot[], open: string | null = null) =>
    showIn(<Rack slots={slots} open={open} hrefOf={(s) => `/rack?open=${s.card?.tag ?? 'build'}`} />);
  it('names each assembly with its length or why there is none', () => {
    // As the rack answered of the small crib: measured.
    const { unmount } = show([slot(hung())]);
    expect(screen.getByRole('link', { name: /T7 A-0001 10 mm square end mill.*94\.112/ })).toBeTruthy();
    unmount();
    show([slot(hung({ measured: { state: 'not measured', lengthMm: null } })), slot(null)]);
    expect(
      screen.getByRole('link', { name: /T7 A-0001 10 mm square end mill.*, not measured/ }),
    ).toBeTruthy();
    expect(screen.getByText('not measured')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'T7: to build' })).toBeTruthy();
  });
  it('draws the needed reach, and marks what must not run', () => {
    const { container, unmount } = show([slot(hung(), 30)]);
    expect(container.querySelectorAll('line[stroke="var(--brass)"]')).toHaveLength(1);
    expect(screen.queryByText(/■/)).toBeNull();
    unmount();
    show([slot(hung(), 36, { grade: 'stop', why: '2 mm short' })]);
    expect(screen.getByText(/■ A-0001/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /stop: 2 mm short/ })).toBeTruthy();
  });
  it('hatching means used, cross hatching worn; neither is drawn where it is not known', () => {
    const hatched = (c: RackCard) => {
      const { container, unmount } = show([slot(c)]);
      const found = container.querySelectorAll('rect[fill^="url"]').length;
      expect(container.innerHTML).not.toMatch(/NaN/);
      unmount();
      return found;
    };
    expect(hatched(hung({ life: { ...hung().life, used: null } }))).toBe(0);
    expect(hatched(hung())).toBe(1);
    expect(hatched(hung({ wear: 0.5 }))).toBe(2);
  });
  it('pointed at or stepped to with the arrow keys, one gives its numbers', () => {
    const { container } = show([slot(hung()), slot(hung({ tag: 'A-0002', stickoutMm: 41 }))]);
    const [one, two] = within(container).getAllByRole('link');
    expect(container.textContent).toContain('Point at one');
    fireEvent.pointerEnter(one!);
    expect(container.textContent).toContain('A-0001 · ');
    expect(container.textContent).toContain('length 94.112 mm · stickout 34.0');
    act(() => one!.focus());
    fireEvent.keyDown(one!, { key: 'ArrowRight' });
    expect(document.activeElement).toBe(two);
    expect(container.textContent).toContain('stickout 41.0');
    // At the end it stays.
    fireEvent.keyDown(two!, { key: 'ArrowRight' });
    expect(document.activeElement).toBe(two);
  });
  it('the open one is marked for every reader', () => {
    const { container } = show([slot(hung())], 'A-0001');
    expect(within(container).getByRole('link', { current: true })).toBeTruthy();
  });
});

describe('a size that is off, at the machine', () => {
  const type = (label: string, value: string) =>
    fireEvent.change(within(screen.getByRole('region', { name: 'Size of T7' })).getByLabelText(label), {
      target: { value },
    });
  const section = () => screen.getByRole('region', { name: 'Size of T7' });
  const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
  const DONE = async () => ({
    ...{ ok: true as const, done: { entry: 9, tag: 'A-0001', corrected: [] } },
  });
  const WEAR: RunView['registers'] = {
    ...{ units: 'mm', digits: null, diameterSchool: 'radius', hasWear: true, dIsWear: false },
  };
  beforeEach(async () => {
    showIn(<RunScreen view={answer('run')} />);
    await tap('Size off with T7?');
  });
  // Hand arithmetic: 0.06 over two walls is 0.03 a wall, which a register that holds a radius takes away.
  it('says what to add with its sign, and what the register becomes', () => {
    type('On the drawing', '40');
    type('Measured', '40.06');
    expect(section().textContent).toContain('Add to D or to its wear−0.030 mm');
    type('D in the control now', '5.012');
    expect(section().textContent).toContain('D becomes 4.982 mm');
    type('Least, if stated', '39.98');
    type('Most, if stated', '40.02');
    expect(section().textContent).toContain('comes off when it is cut again');
    expect(section().textContent).toMatch(/Read the new value back/);
  });
  it('a floor is a matter of the length, in the register that the program calls', () => {
    type('What was measured', 'depth');
    type('On the drawing', '8');
    type('Measured', '8.03');
    expect(section().textContent).toContain('Add to H7 or to its wear+0.030 mm');
    expect(section().textContent).toContain('It cuts more than it did');
  });
  it('says nothing of what is not there, is no length, or no register moves', () => {
    type('On the drawing', '40');
    expect(section().textContent).not.toContain('Add to');
    type('Measured', 'forty');
    expect(section().textContent).toContain('no length');
    // A limit that can't be read is not one that was not stated: the number would be aimed elsewhere.
    type('Measured', '40.06');
    expect(section().textContent).toContain('Add to');
    for (const least of ['39,9,8', '0', '-1']) {
      type('Least, if stated', least);
      expect(section().textContent).toContain('no length');
      expect(section().textContent).not.toContain('Add to');
    }
    type('Least, if stated', '');
    type('D in the control now', 'five');
    expect(section().textContent).toContain('no length');
    expect(section().textContent).not.toContain('becomes');
    type('Measured', '');
    type('What was measured', 'same way');
    expect(section().textContent).toContain('no register changes this');
    expect(section().textContent).not.toContain('Add to');
  });
  it('a first cut stays off the size by as much on each wall', () => {
    type('First cut stays off by', '0.2');
    expect(section().textContent).toContain('Add to D first +0.200 mm');
  });
  // The operator reads back what the control shows: a slip is named while it is typed, and goes nowhere.
  it('is recorded once the control shows what it should: what was measured goes, the change follows from it', async () => {
    cleanup();
    const { calls } = showIn(<RunScreen view={{ ...answer('run'), registers: WEAR }} />, DONE);
    await tap('Size off with T7?');
    type('What was measured', 'depth');
    type('On the drawing', '8');
    type('Measured', '7.97');
    expect(section().textContent).toContain('Add to wear of H7 −0.030 mm');
    type('wear of H7 in the control now', '0.010');
    type('wear of H7 shows after', '-0.03');
    expect(section().textContent).toContain('it should be −0.020: it is another figure');
    expect(button('Enter it, then type what the control shows').disabled).toBe(true);
    type('wear of H7 shows after', '-0.02');
    await tap('Entered for A-0001: record it');
    expect(calls.map((c) => [c.verb, c.input])).toMatchObject([
      [
        'recordCorrection',
        {
          ...{ operation: OPERATION, t: 7, tag: 'A-0001', hBefore: '0.010', hAfter: '-0.02' },
          features: [{ kind: 'depth', wanted: '8 mm', measured: '7.97 mm' }],
        },
      ],
    ]);
  });
  it('what is asked about goes only with a reason, and what is within its limits may stay', async () => {
    cleanup();
    const { calls } = showIn(<RunScreen view={{ ...answer('run'), registers: WEAR }} />, DONE);
    await tap('Size off with T7?');
    type('What was measured', 'depth');
    type('On the drawing', '8');
    type('Measured', '7.9');
    expect(section().textContent).toContain('What does it show now?');
    type('wear of H7 in the control now', '0');
    type('wear of H7 shows after', '-0.100');
    expect(button('Entered for A-0001: record it').disabled).toBe(true);
    type('Looked at: why it is right all the same', 'a chip lay under it');
    expect(button('Entered for A-0001: record it').disabled).toBe(false);
    type('Measured', '7.995');
    type('Least, if stated', '7.98');
    type('Most, if stated', '8.02');
    await tap('It stays as it is: record the size');
    expect(calls).toHaveLength(1);
    expect(calls[0]!.input).toMatchObject({ stays: true, features: [{ least: '7.98 mm', most: '8.02 mm' }] });
    expect(calls[0]!.input).not.toHaveProperty('hAfter');
  });
  it('where nobody said whether wear has registers, it is asked before anything goes', () => {
    type('What was measured', 'depth');
    type('On the drawing', '8');
    type('Measured', '7.97');
    type('H7 in the control now', '0.000');
    type('H7 shows after', '-0.030');
    expect(button('Entered for A-0001: record it').disabled).toBe(true);
    type('It goes into', 'wear');
    type('wear of H7 shows after', '-0.030');
    expect(button('Entered for A-0001: record it').disabled).toBe(false);
  });
});
