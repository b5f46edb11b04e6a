/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { type Answer, useSurroundings } from '@/ui/shell';
import { showIn } from '@/ui/testing';
import { VerbForm } from './VerbForm';
import type { FieldSpec } from './toInput';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: () => undefined }),
}));

const fields: FieldSpec[] = [
  { name: 'tag', label: 'Tag' },
  { name: 'gaugeLength', label: 'Gauge length', kind: 'length' },
  {
    name: 'place',
    label: 'Place',
    kind: 'choice',
    options: [['S1', 'Shelf 1']],
    add: {
      verb: 'addPlace',
      title: 'Places',
      submit: 'Add place',
      fields: [{ name: 'code', label: 'Code' }],
    },
  },
];
const form = (
  <VerbForm
    verb="recordMeasurement"
    fields={fields}
    fixed={{ who: 'IK' }}
    shape={(input) => input}
    submit="Record"
    when
  />
);
const refused = (detail: string, field: string | null): Answer => ({
  ok: false,
  problem: {
    type: 'x',
    title: 'x',
    status: 422,
    code: 'INVALID_INPUT',
    detail,
    way_out: 'Correct it.',
    problems: [{ field, value: null, limit: null, detail }],
  },
});
const type = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const send = () => act(async () => fireEvent.click(screen.getByRole('button', { name: 'Record' })));

it('sends what was typed, blanks left out, with what is fixed and a form id', async () => {
  const { calls } = showIn(form);
  type(/Gauge length/, ' 94.1 ');
  await send();
  expect(calls).toEqual([
    {
      verb: 'recordMeasurement',
      input: { gaugeLength: '94.1', who: 'IK', formId: expect.stringMatching(/^[0-9a-f-]{36}$/) },
    },
  ]);
  await waitFor(() => expect(screen.getByLabelText(/Gauge length/)).toHaveProperty('value', ''));
});

it('names the unit that is shown and sends it', async () => {
  const { calls } = showIn(form, undefined, 'inch');
  expect(screen.getByText('Gauge length, in')).toBeTruthy();
  type(/Gauge length/, '3.7');
  await send();
  expect(calls[0]!.input.gaugeLength).toBe('3.7 in');
});

it('a problem stands at its field, what was typed stays, and the corrected form keeps its id until it is recorded', async () => {
  let answers = 0;
  const { calls } = showIn(form, async () =>
    answers++ === 0
      ? refused('gaugeLength: “-9” is too small', 'gaugeLength')
      : { ok: true, done: { entry: 2 } },
  );
  type(/Gauge length/, '-9');
  await send();
  const field = screen.getByLabelText(/Gauge length/);
  expect(field).toHaveProperty('value', '-9');
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(field.getAttribute('aria-describedby')!)!.textContent).toMatch(/too small/);
  expect(screen.getByRole('alert').textContent).toMatch(/Correct it/);
  type(/Gauge length/, '94');
  await send();
  expect(screen.queryByRole('alert')).toBeNull();
  expect(calls[1]!.input.formId).toBe(calls[0]!.input.formId);
  type(/Gauge length/, '95');
  await send();
  expect(calls[2]!.input.formId).not.toBe(calls[1]!.input.formId);
});

it('a lost answer keeps the form’s id, so that sending again records it once', async () => {
  let answers = 0;
  const { calls } = showIn(form, async () => {
    if (answers++ === 0) throw new Error('network');
    return { ok: true, done: { entry: 3 } };
  });
  type(/Gauge length/, '94');
  await send();
  expect(screen.getByRole('alert').textContent).toMatch(/recorded only once/);
  await send();
  expect(calls[1]!.input).toEqual(calls[0]!.input);
});

it('a second tap while the first is under way sends nothing', async () => {
  let go: (a: Answer) => void = () => undefined;
  const { calls } = showIn(form, () => new Promise((resolve) => (go = resolve)));
  type(/Gauge length/, '94');
  await send();
  expect(screen.getByRole('button', { name: 'Writing …' }).getAttribute('aria-disabled')).toBe('true');
  await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Writing …' })));
  expect(calls).toHaveLength(1);
  await act(async () => go({ ok: true, done: { entry: 4 } }));
  expect(screen.getByRole('button', { name: 'Record' })).toBeTruthy();
});

it('what happened earlier is sent as a moment of the shop’s zone (St John’s: 3 h 30 min behind)', async () => {
  const { calls } = showIn(form);
  fireEvent.click(screen.getByRole('button', { name: 'not now, earlier' }));
  fireEvent.change(await screen.findByLabelText(/When it happened/, { selector: 'input' }), {
    target: { value: '2027-01-05 08:00' },
  });
  await send();
  expect(calls[0]!.input.happenedAt).toBe('2027-01-05T11:30:00.000Z');
});

it('one more to choose from is added beside the form, which keeps what was typed', async () => {
  const { calls } = showIn(form);
  type(/Tag/, 'A-0001');
  fireEvent.click(screen.getByRole('button', { name: 'one more: places' }));
  type(/^Code/, 'S2');
  await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Add place' })));
  expect(calls).toMatchObject([{ verb: 'addPlace', input: { code: 'S2' } }]);
  expect(screen.getByLabelText(/Tag/)).toHaveProperty('value', 'A-0001');
  expect(screen.queryByRole('button', { name: 'Add place' })).toBeNull();
});

it('swapping the shown unit while a form is open does not turn typed millimetres into inches', async () => {
  const Swap = () => {
    const { swapUnit } = useSurroundings();
    return (
      <button type="button" onClick={swapUnit}>
        swap
      </button>
    );
  };
  const { calls } = showIn(
    <>
      <Swap />
      {form}
    </>,
  );
  type(/Gauge length/, '20');
  fireEvent.click(screen.getByRole('button', { name: 'swap' }));
  // The form goes on in the new unit; what was typed keeps its own, and says it.
  expect(screen.getByLabelText('Gauge length, in')).toHaveProperty('value', '20 mm');
  await send();
  expect(calls[0]!.input.gaugeLength).toBe('20 mm');
});

describe('a button that writes', () => {
  const button = () => screen.getByRole('button', { name: 'Record' });
  it('takes a double tap for one, also where its second half comes round after the answer', async () => {
    const wait = () => new Promise((done) => setTimeout(done, 20));
    const { calls } = showIn(form, async () => {
      await wait();
      return { ok: true, done: { entry: 1 } };
    });
    type(/Gauge length/, '94');
    // The finger came down twice before the answer; a busy page gets to the second only now.
    const late = new MouseEvent('click', { bubbles: true, cancelable: true, detail: 1 });
    Object.defineProperty(late, 'timeStamp', { value: performance.now() });
    await act(async () => fireEvent.click(button(), { detail: 1 }));
    await act(wait);
    await act(wait);
    await act(async () => void button().dispatchEvent(late));
    await act(async () => fireEvent.click(button(), { detail: 2 }));
    expect(calls).toHaveLength(1);
  });
  it('takes keys as they come, and a tap of its own', async () => {
    const { calls } = showIn(form);
    await act(async () => fireEvent.click(button(), { detail: 0 }));
    await act(async () => fireEvent.click(button(), { detail: 0 }));
    await act(async () => fireEvent.click(button(), { detail: 1 }));
    expect(calls).toHaveLength(3);
  });
});

it('what stands anew is shown where nobody typed; what was typed stays, whatever stands by now', async () => {
  function Page() {
    const [start, setStart] = useState('A-0001');
    return (
      <>
        <button onClick={() => setStart((was) => `${was}1`)}>anew</button>
        <VerbForm
          verb="recordMeasurement"
          fields={[{ name: 'tag', label: 'Tag', start }]}
          shape={(input) => input}
          submit="Record"
        />
      </>
    );
  }
  showIn(<Page />);
  const anew = () => fireEvent.click(screen.getByRole('button', { name: 'anew' }));
  expect(screen.getByLabelText('Tag')).toHaveProperty('value', 'A-0001');
  anew();
  await waitFor(() => expect(screen.getByLabelText('Tag')).toHaveProperty('value', 'A-00011'));
  type(/Tag/, 'A-0007');
  anew();
  expect(screen.getByLabelText('Tag')).toHaveProperty('value', 'A-0007');
});
