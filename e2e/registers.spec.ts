import { readFileSync } from 'node:fs';
import { DEMO } from '../playwright.config';
import { expect, fitsWidth, said, test } from './help';

test.use({ baseURL: DEMO });

test('at the machine: a slip is named while it is typed, what is read back is recorded, a table fills the rest', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/machines?open=HORI-3');
  await page.getByRole('link', { name: 'Numbers to give it' }).click();
  await expect(page.getByRole('heading', { name: 'Numbers for HORI-3' })).toBeVisible();
  await fitsWidth(page);
  const line = page.getByRole('region', { name: /^T12 / });
  await expect(line.getByText('never given to this machine')).toBeVisible();
  const due = (await line
    .locator('span')
    .filter({ hasText: /^\d+\.\d{3}$/ })
    .allTextContents()) as [string, string];
  // The last two digits change places, unless they are alike: then the last one is another.
  const [a, b] = [due[0].at(-2)!, due[0].at(-1)!];
  const slipped = `${due[0].slice(0, -2)}${b}${a === b ? Number(a) - 1 : a}`;
  const h = line.getByLabel('H12: what the control shows');
  await h.fill(slipped);
  await expect(line.getByText(/two digits are swapped|it is another figure/)).toBeVisible();
  await page.getByRole('button', { name: '1 T read back' }).click();
  await expect(page.getByRole('alert').first()).toContainText(`H12 reads ${slipped}`);
  await expect(h).toHaveValue(slipped);
  await h.fill(due[0]);
  await line.getByLabel('D12: what the control shows').fill(due[1]);
  await expect(line.getByText('as it should be').first()).toBeVisible();
  await page.getByRole('button', { name: '1 T read back' }).click();
  await expect(said(page)).toContainText('1 T of HORI-3: read back');
  await expect(page.getByText('1 as they were given')).toBeVisible();

  // The control's own table, with one figure that is off.
  await page.getByLabel('The control’s table').setInputFiles({
    name: 'table.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('T,H,D\n1,123.867,49.995\n15,144.085,4.988\n'),
  });
  await expect(said(page)).toContainText('2 T read from table.csv');
  await expect(page.getByRole('region', { name: /^T15 / }).getByText('two digits are swapped')).toBeVisible();
  await expect(page.getByRole('region', { name: /^T1 / }).getByText('as it should be')).toHaveCount(2);
});

test('the program that writes them says what it does; a machine that is none has none', async ({ page }) => {
  await page.goto('/registers?machine=MILL-2');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Program that writes them' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('MILL-2-registers.nc');
  const text = readFileSync(await download.path(), 'latin1');
  expect(text).toContain('G21 G90');
  const xml = await page.request.get('/api/v1/registers.xml?machine=MILL-2&what=all');
  expect(xml.headers()['content-type']).toContain('xml');
  expect(await xml.text()).toContain('<FunctionalLength code="LF" units="MILLIMETER"');
  expect((await page.request.get('/api/v1/registers.nc?machine=NONE')).status()).toBe(404);
});
