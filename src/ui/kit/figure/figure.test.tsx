/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { surveyLives, medianLife } from '@/core/life';
import { money } from '@/core/units';
import type { LifeSheet } from '@/crib/life';
import { SurvivalChart } from '@/ui/kit/chart';
import { Caution } from '@/ui/kit/page';
import { BecauseThis, GradeMark, Judgements, Row, Unknown } from './figure';

it('a grade is told by word and shape, not by colour alone', () => {
  render(
    <>
      <GradeMark grade="stop">2 mm short</GradeMark>
      <GradeMark grade="question">past</GradeMark>
      <GradeMark grade="good" />
      <GradeMark grade="not judged" />
    </>,
  );
  expect(screen.getByText('stop:', { exact: false })).toBeTruthy();
  for (const shape of ['■', '▲', '●', '○']) expect(screen.getByText(shape)).toBeTruthy();
  expect(screen.getByText('not judged')).toBeTruthy();
});

it('because unfolds to words, formula, and values with their sources', () => {
  render(
    <BecauseThis
      because={{
        words: 'Stiffness falls.',
        formula: 'L / D',
        values: [{ name: 'L', value: '34 mm', source: 'measured by IK' }],
      }}
    />,
  );
  expect(screen.queryByText('L / D')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'because', expanded: false }));
  expect(screen.getByText('L / D')).toBeTruthy();
  expect(screen.getByText('measured by IK')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'because', expanded: true }));
  expect(screen.queryByText('L / D')).toBeNull();
});

it('judgements stand worst first', () => {
  const j = (code: string, grade: 'good' | 'stop' | 'question' | 'not judged') => ({
    code,
    grade,
    words: code,
    because: { words: '', values: [] },
  });
  render(<Judgements list={[j('a', 'good'), j('b', 'not judged'), j('c', 'stop'), j('d', 'question')]} />);
  const order = screen.getAllByText(/^(stop|question|not judged|good):/).map((e) => e.textContent);
  expect(order).toEqual(['stop: ', 'question: ', 'not judged: ', 'good: ']);
});

it('a caution defers to the machine maker, the site and trained people', () => {
  render(<Caution>Door shut.</Caution>);
  expect(screen.getByRole('note').textContent).toMatch(
    /Door shut\. Follow the machine maker’s manual, the site’s rules and local law; trained people only/,
  );
});

it('a row shows its unit beside the figure, and words where it is not known', () => {
  render(
    <>
      <Row name="Length" unit="mm">
        94.112
      </Row>
      <Row name="Runout">
        <Unknown>not measured</Unknown>
      </Row>
    </>,
  );
  expect(screen.getByText('mm')).toBeTruthy();
  expect(screen.getByText('not measured')).toBeTruthy();
  expect(document.body.textContent).not.toMatch(/\b0\b/);
});

it('money comes from integer cents', () =>
  expect([0, 5, 3150, 100_000].map(money)).toEqual(['0.00', '0.05', '31.50', '1000.00']));

describe('the survival chart', () => {
  const life = (times: [number, boolean][]): LifeSheet => {
    const list = times.map(([minutes, failed]) => ({ minutes, failed }));
    return {
      item: { id: 1, code: 'EM8', words: 'x' },
      material: { id: 1, code: 'C45', name: 'Steel' },
      ...surveyLives(list),
      next: null,
      change: null,
      changeAt: null,
      edge: { cents: null, of: 'a new one' },
      costs: { said: null, costs: null },
      others: [],
      reground: null,
      bySpeed: null,
      byRecipe: null,
      byHolder: null,
      beside: null,
      measure: 'minutes' as const,
      counted: null,
      median: medianLife(list),
      expectation: null,
      consumption: null,
      endings: {},
      lives: list.length,
      reckoned: list.length,
      records: list.map((l, i) => ({
        edgeSetId: i,
        mark: `E-${i}`,
        minutes: l.minutes,
        parts: 1,
        lowerBound: false,
        began: new Date(0),
        ended: l.failed ? 'worn' : null,
        endedAt: null,
        counts: l.failed ? ('failure' as const) : ('censored' as const),
        signs: [],
        costCents: null,
        note: null,
        endedEntry: null,
        foretold: null,
        holes: null,
        metres: null,
      })),
    };
  };
  it('marks failures and the not failed apart, names its axes and itself', () => {
    render(
      <SurvivalChart
        life={life([
          [10, true],
          [20, true],
          [30, false],
        ])}
      />,
    );
    expect(screen.getByRole('img', { name: /Lives of EM8 in C45/ })).toBeTruthy();
    expect(document.querySelectorAll('circle title')).toHaveLength(2);
    expect(document.querySelectorAll('line title')).toHaveLength(1);
    expect(screen.getByText('minutes in the cut')).toBeTruthy();
    expect(screen.getByText('median')).toBeTruthy();
  });
  it('draws a single running life without a median and without a number that is none', () => {
    const { container } = render(<SurvivalChart life={life([[5, false]])} />);
    expect(screen.queryByText('median')).toBeNull();
    expect(container.innerHTML).not.toMatch(/NaN|Infinity/);
  });
});
