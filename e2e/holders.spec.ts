import { DEMO } from '../playwright.config';
import { expect, fill, fitsWidth, said, sends, shelved, tagOf, test } from './help';

test.use({ baseURL: DEMO });

test('a holder is marked on the rack, falls, and runs nowhere until it was looked over and measured again', async ({
  page,
}) => {
  const send = sends(page);
  const { tag: number } = await send('assemblies', { ...(await shelved(send, 'EM8-FELL')), stickout: 30 });
  await send('measurements', { tag: number, gaugeLength: '90', runout: '0.004' });
  const tag = tagOf(page);

  await page.goto(`/rack?open=${String(number)}`);
  await tag.getByRole('link', { name: 'give it a mark' }).click();
  await tag.getByRole('button', { name: 'Give it a mark' }).click();
  await expect(said(page)).toContainText(/H-\d{4} is a EM8-FELL-H/);
  const mark = /H-\d{4}/.exec((await said(page).textContent()) ?? '')?.[0] ?? '';
  await expect(tag.getByRole('link', { name: mark })).toBeVisible();

  // At the hatch, on a phone: two taps.
  await page.setViewportSize({ width: 390, height: 844 });
  await tag.getByRole('link', { name: 'dropped' }).click();
  await fill(tag, { 'How, and on what': 'off the cart' });
  await fitsWidth(page);
  await tag.getByRole('button', { name: 'It was dropped' }).click();
  await expect(said(page)).toContainText(`${mark} must be looked over`);
  await expect(
    tag.getByText(`${mark} was dropped, and nobody has looked it over since: off the cart`),
  ).toBeVisible();

  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/');
  await page.getByRole('link', { name: `Look over ${mark} in ${String(number)}` }).click();
  await expect(tag.getByRole('heading', { name: mark })).toBeVisible();
  await tag.getByRole('link', { name: 'Look it over' }).click();
  await fill(tag, { Found: 'good' });
  await tag.getByRole('button', { name: 'Record it' }).click();
  await expect(said(page)).toContainText(`${mark}: recorded`);
  await page.goto(`/rack?open=${String(number)}`);
  await expect(tag.getByText(`Measured before ${mark} was dropped: measure it again`)).toBeVisible();

  // Its rule, of its own item alone.
  await page.goto(`/holders?open=${mark}`);
  await tag.getByText('A rule of EM8-FELL-H of its own').click();
  await fill(tag, { 'or after clampings': '1' });
  await tag.getByRole('button', { name: 'It is the rule of EM8-FELL-H' }).click();
  await expect(tag.getByText(/By its own rule: looked over after 1 clamping/)).toBeVisible();
});
