import { DEMO } from '../playwright.config';
import { AS_OWNER, expect, fill, fitsWidth, said, tagOf, test } from './help';

test.use({ baseURL: DEMO });

test('a stack of parts is offered, drawn, judged while the tip is moved, built, measured and taken down', async ({
  page,
}) => {
  const maker = (value: string) => ({ value, origin: 'maker' });
  const facts = {
    DC: maker('3'),
    LCF: maker('8'),
    DMM: maker('6'),
    OAL: maker('57'),
    SUBSTRATE: maker('carbide'),
  };
  const send = async (path: string, data: object) =>
    expect(
      (await page.request.post(`/api/v1/${path}`, { headers: AS_OWNER, data: { who: 'IK', ...data } })).ok(),
    ).toBe(true);
  await send('items', { code: 'EM3-STK', kind: 'cutter', family: 'square', facts });
  await send('stock/received', { item: 'EM3-STK', place: 'CAB1-A', quantity: 1 });
  await page.goto('/rack?new=build');
  const tag = tagOf(page);
  const choose = async (label: RegExp | string, words: string, offered: RegExp) => {
    await tag.getByRole('combobox', { name: label }).fill(words);
    await page.getByRole('option', { name: offered }).first().click();
  };
  await choose('Cutter from', 'EM3-STK', /^EM3-STK: .*unused/);
  await choose('Holder from', 'CC32-40', /^CC32-40: /);
  // The holder asks for a collet: what fits the shank of 6 stands first, what does not says why.
  await tag.getByRole('combobox', { name: /^Collet 32/ }).click();
  await expect(page.getByRole('listbox').getByRole('option').first()).toContainText('C32-6');
  await expect(page.getByRole('option', { name: /C16-6/ })).toContainText(
    'C16-6 is a collet 16; CC32-40 takes 32',
  );
  await choose(/^Collet 32/, 'C32-16', /^C32-16: /);
  await fill(tag, { Stickout: '20' });
  await expect(tag.getByText('Shank is 9 mm too thin for this holder')).toBeVisible();
  await tag.getByRole('button', { name: /one more part/ }).click();
  await choose(/^Part 2/, 'EXT16', /^EXT16: /);
  await choose(/^Collet 16/, 'C16-6', /^C16-6: /);
  await tag.getByRole('button', { name: /one more part/ }).click();
  await choose(/^Part 4/, 'PS40', /^PS40: /);
  // 70 to the holder's face, 100 more to the extension's.
  await expect(tag.getByText('190.0')).toBeVisible();
  await expect(tag.getByText('too thin')).toBeHidden();

  // The tip is moved by hand: half a millimetre a key.
  const tip = tag.getByRole('slider', { name: 'Set on the drawing' });
  await tip.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(tag.getByLabel('Stickout', { exact: false })).toHaveValue('19.5');
  for (let i = 0; i < 25; i++) await page.keyboard.press('ArrowLeft');
  await expect(tag.getByText('Gripped on the flutes: 1 mm of flute would be in the bore')).toBeVisible();
  await fill(tag, { Stickout: '20' });
  await expect(tip).toHaveAttribute('aria-valuenow', '20');

  // A wall 60 deep, 9 from the axis: the extension's head of 22 goes into it.
  await tag.getByText('Beside a wall').click();
  await fill(tag, { 'Wall deep': '60', 'From the axis': '9' });
  await expect(tag.getByText(/The holder is 2 mm in the wall/)).toBeVisible();
  await fill(tag, { 'From the axis': '12' });
  await expect(tag.getByText('Clears the wall by 1 mm')).toBeVisible();
  await fitsWidth(page);

  await tag.getByRole('button', { name: 'Build', exact: true }).click();
  await expect(said(page)).toContainText('built: measure it next');
  await expect(tag.getByText('expected 190.0')).toBeVisible();
  await fill(tag, { 'Gauge length': '190.04' });
  await tag.getByRole('button', { name: 'Record' }).click();
  await expect(said(page)).toContainText('measured');
  const parts = tag.getByRole('listitem');
  await expect(parts).toHaveCount(6);
  await expect(parts.nth(2)).toContainText('EXT16');
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
  await tag.getByRole('link', { name: 'take down' }).click();
  await fill(tag, { 'Cutter goes to': 'USED', 'C16-6 back to HOLD, or to': 'CAB1-C' });
  await tag.getByRole('button', { name: 'Take down' }).click();
  await expect(said(page)).toContainText('taken down');
  const at = await page.request.get('/api/v1/stock?q=C16-6');
  expect((await at.json()).lines.map((l: { place: string }) => l.place)).toContain('CAB1-C');
});

test('the rack is found by words, by machine and by taper, and the address holds it', async ({ page }) => {
  await page.goto('/rack');
  const rack = page.getByRole('group', { name: 'Rack, to scale, hanging from the gauge line' });
  const hang = rack.getByRole('link');
  await expect(page.getByText(/^\d+ assemblies/)).toBeVisible();
  await page.getByLabel('Find on the rack').fill('face mill');
  await expect(page.getByText(/^3 of \d+ assemblies/)).toBeVisible();
  await expect(hang).toHaveCount(3);
  await page.getByLabel('Find on the rack').fill('');
  await page.getByLabel('Taper').selectOption('R8');
  await expect(hang).toHaveCount(2);
  await page.reload();
  await expect(hang).toHaveCount(2);
  await page.getByLabel('Find on the rack').fill('no such tool');
  await page.getByRole('link', { name: 'Show all' }).click();
  await expect(page.getByText(/^\d+ assemblies/)).toBeVisible();
});
