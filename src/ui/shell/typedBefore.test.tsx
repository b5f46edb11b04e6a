/** @jest-environment jsdom */
import { act } from '@testing-library/react';
import { hydrateRoot } from 'react-dom/client';
import { useState } from 'react';
import { handOver } from './typedBefore';

/** A page that was drawn by the server, filled in, and then comes alive: as a browser does it. */
function Form() {
  const [name, setName] = useState('as it came');
  return (
    <>
      <input value={name} onChange={(e) => setName(e.target.value)} />
      <output>{name}</output>
    </>
  );
}
/** As the server draws it. */
const DRAWN = '<input value="as it came"/><output>as it came</output>';
const alive = async (before: (page: HTMLElement) => void): Promise<string | null> => {
  const page = document.createElement('div');
  page.innerHTML = DRAWN;
  document.body.append(page);
  before(page);
  await act(async () => void hydrateRoot(page, <Form />));
  await act(async () => handOver(page));
  return page.querySelector('output')!.textContent;
};

it('what was typed before is heard of', async () =>
  expect(
    await alive((page) => {
      page.querySelector('input')!.value = 'typed';
    }),
  ).toBe('typed'));
it('what is as it came is left alone', async () => expect(await alive(() => undefined)).toBe('as it came'));
