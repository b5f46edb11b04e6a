/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { type SignSeen, wearLimit, wearOutlook, type WearReading, whenToChange } from '@/core/life';
import type { AssemblyView } from '@/crib/rack';
import type { UnwatchedView } from '@/crib/jobs';
import { ChangeChart } from '@/ui/kit/chart';
import { Surrounded } from '@/ui/testing';
import { AloneScreen } from './jobs/AloneScreen';
import { SignPicks } from './rack/wear/SignPicks';
import { WearChart } from './rack/wear/WearChart';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ replace: () => undefined }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));

function Signs({ seen }: { seen: (signs: SignSeen[]) => void }) {
  const [signs, setSigns] = useState<SignSeen[]>([]);
  return (
    <SignPicks
      value={signs}
      onChange={(next) => {
        setSigns(next);
        seen(next);
      }}
    />
  );
}

it('a sign grows by tapping, and the tap after strong takes it away; others stay', () => {
  let last: SignSeen[] = [];
  render(<Signs seen={(signs) => (last = signs)} />);
  const tap = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }));
  tap(/^finish/);
  for (const strength of ['slight', 'clear', 'strong']) {
    tap(/^burr/);
    expect(last).toContainEqual({ sign: 'burr', strength });
  }
  tap(/^burr/);
  expect(last).toEqual([{ sign: 'finish', strength: 'slight' }]);
});

/** As much of a card as the chart asks for. */
function cardOf(points: [number, number][], DC: number, minutes: number): AssemblyView {
  const readings = points.map(([m, flankMm], entryId) => ({
    ...{ minutes: m, flankMm, cornerMm: null, chips: null, zone: null, runoutMm: null, driftMm: null },
    ...{ signs: [], flankWearMm: flankMm, entryId },
  }));
  const wear = {
    ...wearOutlook(readings satisfies WearReading[], DC, minutes),
    limit: wearLimit(DC),
    readings,
  };
  return { tag: 'A-0001', life: { minutes }, wear } as unknown as AssemblyView;
}

describe('wear over minutes', () => {
  it('has a dot a reading, those of running in hollow, and says where it is worn', () => {
    const card = cardOf(
      [
        [0, 0],
        [2, 0.06],
        [10, 0.08],
        [20, 0.105],
        [30, 0.13],
      ],
      10,
      30,
    );
    const { container } = render(
      <Surrounded>
        <WearChart card={card} />
      </Surrounded>,
    );
    expect(screen.getByRole('img', { name: /Flank wear of A-0001 .* worn at 0.20 mm/ })).toBeTruthy();
    const fills = [...container.querySelectorAll('circle')].map((c) => c.getAttribute('fill'));
    expect(fills.filter((f) => f === 'var(--sheet)')).toHaveLength(1);
    expect(fills).toHaveLength(5);
    expect(screen.getByText(/hollow: running in/)).toBeTruthy();
  });
  it.each([
    ['one reading', [[5, 0.1]]],
    [
      'wear that falls',
      [
        [5, 0.1],
        [9, 0.08],
      ],
    ],
    [
      'a crossing far off',
      [
        [5, 0.1],
        [9, 0.1001],
      ],
    ],
    [
      'one that is worn',
      [
        [5, 0.1],
        [9, 0.3],
      ],
    ],
  ] as [string, [number, number][]][])('%s is drawn without a number that is none', (_, points) => {
    const { container } = render(
      <Surrounded>
        <WearChart card={cardOf(points, 10, 9)} />
      </Surrounded>,
    );
    expect(container.innerHTML).not.toMatch(/NaN|Infinity/);
    expect(container.querySelectorAll('circle')).toHaveLength(points.length);
  });
});

it.each([
  ['it pays', { planned: 1, failure: 5 }, 1],
  ['as good without end', { planned: 1, failure: 1.05 }, 1],
  ['none pays', { planned: 5, failure: 5 }, 0],
])('cost over the age of a change, where %s', (_, costs, best) => {
  const change = whenToChange({ shape: 2, scale: 100 }, costs, null);
  const { container } = render(<ChangeChart change={change} per="a minute" />);
  expect(container.querySelectorAll('circle')).toHaveLength(best);
  expect(container.innerHTML).not.toMatch(/NaN|Infinity/);
});

describe('a run left alone', () => {
  const line = {
    tag: 'A-0001',
    words: 'a mill',
    minutes: 12,
    used: 0.5,
    worn: false,
    atLeast: false,
    fresh: 0.99,
    change: false,
    otherWear: false,
    sisters: [],
    counted: null,
  };
  const view = (more: Partial<UnwatchedView>): UnwatchedView => ({
    ...{ operation: 1, job: 'J-1', part: 'Block', machine: 'M2', partsLeft: 40, parts: 6, wanted: 0.95 },
    ...{
      cutMinutes: 90,
      now: 0.97,
      after: 0.97,
      reached: true,
      unknown: [],
      thrown: { minutes: 0, cost: 0 },
    },
    goesFor: { asItStands: 6, fresh: 9 },
    against: [],
    lines: [{ ...line, t: 1, chance: 0.97, use: { grade: 'good', why: null } }],
    ...more,
  });
  const show = (more: Partial<UnwatchedView>) =>
    render(
      <Surrounded>
        <AloneScreen view={view(more)} />
      </Surrounded>,
    );
  it('says that it is enough, and for how many parts it goes', () => {
    show({});
    expect(screen.getByText('97 % that every edge lasts: enough as it stands.')).toBeTruthy();
    expect(
      screen.getByText(/At 95 % it runs for 6 parts as it stands, for 9 with every edge fresh/),
    ).toBeTruthy();
  });
  it('is not enough, however long the edges last, while something else speaks against a T', () => {
    show({ against: [{ t: 1, grade: 'stop', words: 'Its cutter is held back: fell' }] });
    expect(screen.getByText('Not to be left alone before this is seen to:')).toBeTruthy();
    expect(screen.getByText(/Its cutter is held back: fell/)).toBeTruthy();
    expect(screen.getByText('97 % that every edge lasts.')).toBeTruthy();
    expect(screen.queryByText(/enough as it stands/)).toBeNull();
  });
  it('never says certain, nor impossible where it is not', () => {
    show({ now: 0.9999, lines: [{ ...line, t: 1, chance: 0.002, use: { grade: 'good', why: null } }] });
    expect(screen.getByText(/over 99.9 % that every edge lasts/)).toBeTruthy();
    expect(screen.getByText(/under 1 % that it lasts/)).toBeTruthy();
  });
  it('a worn one is a stop, a T that may not run says why, and one of which nothing is known is named', () => {
    show({
      ...{ now: 0, after: 0.96, reached: false, unknown: [3], goesFor: { asItStands: 0, fresh: 9 } },
      lines: [
        { ...line, t: 1, chance: 0, worn: true, change: true, use: { grade: 'stop', why: 'Worn' } },
        { ...line, t: 2, chance: 0.9, use: { grade: 'question', why: 'Length in question' } },
        { ...line, t: 3, tag: null, chance: null, fresh: null, use: { grade: 'not judged', why: null } },
        { ...line, t: 4, chance: null, fresh: null, otherWear: true, use: { grade: 'good', why: null } },
      ],
    });
    expect(screen.getByText(/change it before you leave: it is worn/)).toBeTruthy();
    expect(screen.getByText('Length in question')).toBeTruthy();
    expect(screen.getByText(/cannot say: nothing is tied to it/)).toBeTruthy();
    expect(screen.getByText(/cannot say: it is worn here at another wear/)).toBeTruthy();
    expect(screen.getByText(/Not in it: T3/)).toBeTruthy();
    expect(screen.getByText(/At 95 % it runs for no part with the worn changed/)).toBeTruthy();
  });
  it('a program that was not understood whole promises nothing: it is that chance at most', () => {
    show({
      reached: false,
      lines: [{ ...line, t: 1, atLeast: true, chance: 0.97, use: { grade: 'good', why: null } }],
    });
    expect(screen.getByText(/T1 may cut for longer/)).toBeTruthy();
    expect(screen.queryByText(/enough as it stands/)).toBeNull();
  });
  it('where nothing is known of any, no chance is said', () => {
    show({
      ...{ now: 1, after: 1, reached: false, unknown: [1] },
      lines: [{ ...line, t: 1, chance: null, fresh: null, use: { grade: 'good', why: null } }],
    });
    expect(screen.getByText(/of none of its tools is anything known/)).toBeTruthy();
    expect(screen.queryByText(/that every edge lasts/)).toBeNull();
  });
});
