/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import DayField from './DayField';

const show = (moment: boolean) =>
  render(
    <>
      <label id="due-label" htmlFor="due">
        Due back
      </label>
      <DayField
        id="due"
        moment={moment}
        value={moment ? '2027-01-05T14:30' : '2027-01-05'}
        wrong
        describedBy="due-help"
        onChange={() => undefined}
      />
      <div id="due-help">2027-01-05 is past</div>
    </>,
  );

it.each([
  [false, ['2027', '01', '05']],
  [true, ['2027', '01', '05', '14', '30']],
])(
  'a day is asked by its parts, named by its label, with what was wrong tied to it (with a time: %p)',
  (moment, parts) => {
    show(moment);
    const group = screen.getByRole('group', { name: 'Due back', description: '2027-01-05 is past' });
    expect(group.getAttribute('aria-invalid')).toBe('true');
    expect(
      within(group)
        .getAllByRole('spinbutton')
        .map((e) => e.textContent),
    ).toEqual(parts);
    expect(screen.getByRole('button', { name: /Choose date/ })).toBeTruthy();
  },
);
