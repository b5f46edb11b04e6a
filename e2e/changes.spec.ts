import { DEMO } from '../playwright.config';
import { AS_OWNER, expect, fill, fitsWidth, said, sends, shelved, test } from './help';

test.use({ baseURL: DEMO });
/** A machine of its own, with pockets. */
test.beforeAll(async () => {
  const put = (path: string, data: object) =>
    fetch(`${DEMO}/api/v1/${path}`, {
      method: 'POST',
      headers: { ...AS_OWNER, 'content-type': 'application/json' },
      body: JSON.stringify({ who: 'IK', ...data }),
    });
  const { status } = await put('machines', {
    ...{ code: 'SIST-1', name: 'Mill with sisters', taper: '40 taper', k: '450' },
    ...{ lengthSchool: 'datum', diameterSchool: 'radius', units: 'mm', hEqualsT: 'yes', rpmMax: '8000' },
  });
  // A worker that begins anew after a failure finds it there.
  expect([201, 409]).toContain(status);
  await put('magazines', { machine: 'SIST-1', kind: 'carousel', pockets: 8 });
});

const PROGRAM = [
  ...['G21 G90 G17 G54', 'T7 M6', 'S3000 M3', 'G0 X0 Y0', 'G0 G43 H7 Z5'],
  ...['G1 Z-5 F300', 'G1 X400 F200', 'G0 Z5', 'M30'],
].join('\n');

test('a T is changed at its count, its machine goes on to the sister in its pocket, and each edge has its own parts', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await send('jobs', {
    ...{ number: 'J-SIST', part: 'Cover', material: 'C45', quantity: 40, due: '2027-02-20' },
    machine: 'SIST-1',
  });
  await send('programs', { operation, text: PROGRAM });
  const shelf = await shelved(send, 'EM8-SIST');
  for (const { item, place } of Object.values(shelf))
    await send('stock/received', { item, place, quantity: 1 });
  const first = String((await send('assemblies', { ...shelf, stickout: 30, for: { operation, t: 7 } })).tag);
  const second = String((await send('assemblies', { ...shelf, stickout: 30 })).tag);
  for (const tag of [first, second]) await send('measurements', { tag, gaugeLength: '90' });
  await send('pockets/loaded', { machine: 'SIST-1', pocket: 1, tag: first, t: 7 });
  await send('pockets/loaded', { machine: 'SIST-1', pocket: 4, tag: second, t: 7, h: 17, d: 17 });
  await send('change-rules', { operation, t: 7, parts: 5 });

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/run/${String(operation)}`);
  await expect(page.getByText(`Sister ${second} in pocket 4, H17 D17: good for about 5`)).toBeVisible();
  await expect(page.getByText('With its sister good for about 10')).toBeVisible();
  await fitsWidth(page);
  // She has registers of her own: whose the machine takes is asked until its magazine says so.
  const asked = page.getByText('Its length is in H17, the program calls H7: does SIST-1 take its own');
  await expect(asked).toBeVisible();
  await page.goto('/pockets?machine=SIST-1&do=magazine');
  await page.getByLabel('H and D after a change to a sister').selectOption('its own');
  await page.getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText('magazine of SIST-1 stated');
  await page.goto(`/run/${String(operation)}`);
  await expect(page.getByText(`Sister ${second} in pocket 4`)).toBeVisible();
  await expect(asked).toHaveCount(0);
  // Eight were made: five are the first one's, the others its sister's.
  await page.getByRole('textbox', { name: 'Parts made' }).fill('8');
  await expect(page.getByText(/T7 is at its count after 5 of these 8/)).toBeVisible();
  await page.getByRole('button', { name: `Yes: log 5, go on with ${second}` }).click();
  await expect(said(page)).toContainText(`T7 goes on with ${second}: now log the other 3`);
  await expect(page.getByRole('textbox', { name: 'Parts made' })).toHaveValue('3');
  await page.getByRole('button', { name: 'Log parts' }).click();
  const again = page.getByRole('button', { name: /Counted again: 3/ });
  await expect(again.or(page.getByText('8 of 40 made'))).toBeVisible();
  if (await again.isVisible()) await again.click();
  await expect(page.getByText('8 of 40 made')).toBeVisible();
  await expect(page.getByText('To be changed after 2 more of 5 parts')).toBeVisible();
  await expect(page.getByText(`Sister ${first} in pocket 1, H7 D7: good for about 0`)).toBeVisible();

  // A finisher is worn sooner: said on its T, and it is worn there at once.
  await send('wear-readings', { tag: second, flankWear: '0.08' });
  await page.reload();
  await page.getByText('T7 changed after 5 parts').click();
  await fill(page, { 'Worn here at, of its flank': '0.06' });
  await page.getByRole('button', { name: 'So it is changed' }).click();
  // At the top, before the next part is begun, and at its T.
  await expect(page.getByRole('navigation', { name: 'Before the next part' })).toContainText(
    'Worn: flank wear 0.08 of 0.06 mm',
  );
  await expect(page.getByRole('listitem').getByText('Worn: flank wear 0.08 of 0.06 mm')).toBeVisible();
  await fitsWidth(page);
  await page.getByRole('link', { name: 'End life of T7' }).click();
  await page.getByRole('radio', { name: 'worn for its T, not yet as usual' }).check();
  await page.getByRole('button', { name: 'End this life' }).click();
  await expect(said(page)).toContainText(second);
});
