import { execFileSync } from 'node:child_process';
import { DEMO } from '../playwright.config';
import { expect, fill, fitsWidth, said, scan, sends, shelved, tagOf, test } from './help';

test.use({ baseURL: DEMO });

/** With the simulated presetter that the demo starts beside itself. */
test('a length is read till it repeats and recorded with its device; what is typed over is no reading', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/rack?open=A-0053&do=measure');
  const tag = tagOf(page);
  await expect(tag.getByText('Checked today, 0.002 mm off')).toBeVisible();
  const read = tag.getByRole('button', { name: 'Read from PRE-1' });
  await read.click();
  await expect(tag.getByText('once more: a reading counts when it repeats')).toBeVisible();
  await read.click();
  await expect(tag.getByText(/2 agree within 0\.00\d\d/)).toBeVisible();
  await expect(tag.getByLabel('Gauge length')).toHaveValue(/^204\.0\d\d\d mm$/);
  await fitsWidth(page);
  await tag.getByRole('button', { name: 'Record' }).click();
  await expect(said(page)).toContainText('A-0053 measured');
  await expect(tag.getByText(/IK, PRE-1/)).toBeVisible();

  await page.goto('/rack?open=A-0053&do=measure');
  await read.click();
  await read.click();
  await expect(tag.getByText(/2 agree within/)).toBeVisible();
  await fill(tag, { 'Gauge length': '204.09' });
  await tag.getByRole('button', { name: 'Record' }).click();
  await expect(said(page)).toContainText('A-0053 measured');
  await expect(tag.getByText(/IK, PRE-1/)).toHaveCount(1);
});

test('a device is checked at its master; one that is off names what it measured since', async ({ page }) => {
  await page.goto('/machines');
  await page.getByRole('link', { name: 'PRE-1' }).click();
  const tag = tagOf(page);
  await tag.getByRole('button', { name: 'Read from PRE-1' }).click();
  await expect(tag.getByLabel('It reads')).toHaveValue(/^(200\.00|199\.99)\d\d mm$/);
  await tag.getByRole('button', { name: 'Record the check' }).click();
  await expect(said(page)).toContainText('PRE-1 is good for today');
  await fill(tag, { 'It reads': '200.03' });
  await tag.getByRole('button', { name: 'Record the check' }).click();
  await expect(said(page)).toContainText('PRE-1 is off: 0 to measure again');
  await expect(tag.getByText('0.03 mm off at its master: set it to zero and check again')).toBeVisible();
  await fill(tag, { 'It reads': '200' });
  await tag.getByRole('button', { name: 'Record the check' }).click();
  await expect(said(page)).toContainText('PRE-1 is good for today');
});

test('a label is printed, its code read off the print and scanned; measured again, it is known for stale', async ({
  page,
}) => {
  const maker = (value: string) => ({ value, origin: 'maker' });
  const send = sends(page);
  const facts = {
    DC: maker('7'),
    DMM: maker('8'),
    LCF: maker('20'),
    OAL: maker('63'),
    SUBSTRATE: maker('carbide'),
  };
  await send('items', { code: 'LB-7', kind: 'cutter', family: 'square', facts });
  const holds = { CCMS: maker('40 taper'), LF: maker('60'), CLAMP_MIN: maker('8'), CLAMP_MAX: maker('8') };
  await send('items', { code: 'LB-H8', kind: 'holder', facts: holds });
  for (const item of ['LB-7', 'LB-H8']) await send('stock/received', { item, place: 'CAB1-C', quantity: 1 });
  const at = (item: string) => ({ item, place: 'CAB1-C' });
  const { tag } = await send('assemblies', { cutter: at('LB-7'), holder: at('LB-H8'), stickout: 25 });
  await send('measurements', { tag, gaugeLength: '85.02', diameter: '6.991' });

  const pdf = await (await page.request.get(`/api/v1/labels.pdf?tags=${String(tag)}&as=one`)).body();
  const [printed] = JSON.parse(
    execFileSync(process.execPath, ['src/app/testing/readPrint.mjs'], { input: pdf, encoding: 'utf8' }),
  ) as { text: string; codes: { text: string }[] }[];
  expect(printed!.text).toContain('85.02');
  const code = printed!.codes[0]!.text;

  await page.goto('/');
  await scan(page, code);
  await expect(said(page)).toContainText(`${String(tag)} opened beside the rack`);
  await expect(tagOf(page).getByRole('heading', { name: String(tag) })).toBeVisible();
  // Again: the screen knows it by its tag.
  await scan(page, code);
  await expect(said(page)).toContainText('again: measure it');
  await fill(tagOf(page), { 'Gauge length': '85.03' });
  await tagOf(page)
    .getByRole('button', { name: /^Record/ })
    .click();
  await expect(said(page)).toContainText(`${String(tag)} measured`);
  await scan(page, code);
  await expect(said(page)).toContainText('STALE LABEL: it was measured again');
});

/** What is to be measured, built by a program: an 8 mm cutter in a holder of 60. */
async function toMeasure(send: ReturnType<typeof sends>, code: string): Promise<string> {
  const { tag } = await send('assemblies', { ...(await shelved(send, code)), stickout: 25 });
  return String(tag);
}

test('measuring begins with a scan and goes back to the next one: presetter, height stand, by eye, warm', async ({
  page,
}) => {
  const tag = await toMeasure(sends(page), 'MS-8');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/rack');
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  await expect(page.getByText('Scan the tag of what stands in the device')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: tag })).toContainText('not measured');
  await fitsWidth(page);

  await scan(page, tag);
  await expect(page.getByRole('heading', { name: tag, exact: true })).toBeVisible();
  const read = page.getByRole('button', { name: 'Read from PRE-1' });
  await read.click();
  await expect(page.getByText('once more')).toBeVisible();
  await read.click();
  await expect(page.getByText(/2 agree within/)).toBeVisible();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByText('Scan the tag of what stands in the device')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: tag })).toHaveCount(0);

  // The height stand: what its dial shows against the block, sent or read by eye.
  await scan(page, tag);
  await page.getByRole('button', { name: 'STAND-1', exact: true }).click();
  await page.getByLabel('Block it stands against').fill('80');
  await page.getByRole('button', { name: 'Read from STAND-1' }).click();
  await expect(page.getByText('once more')).toBeVisible();
  await page.getByRole('button', { name: 'Read from STAND-1' }).click();
  await expect(page.getByText(/2 agree within/)).toBeVisible();
  await expect(page.getByLabel('Gauge length')).toHaveValue(/^8[45]\.\d{4} mm$/);
  await page.getByLabel('Dial shows').fill('-5');
  await expect(page.getByLabel('Gauge length')).toHaveValue('75.0000 mm');
  await page.getByLabel('Dial shows').fill('5.02');
  await page.getByLabel('Tool warmer than the room').fill('30');
  // 60.02 of steel and 25 of carbide: 10 K x (60.02 x 11.5 + 25 x 5.5) millionths.
  await expect(page.getByText('85.012 mm: grown by 0.008')).toBeVisible();
  await fitsWidth(page);
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  const newest = async () =>
    (await (await page.request.get(`/api/v1/assembly?tag=${tag}`)).json()).measurements[0];
  await expect.poll(newest).toMatchObject({ device: 'STAND-1', blockMm: 80, temperature: 30 });

  await page.goto('/measure?tag=A-9999');
  await expect(page.getByText('A-9999 does not stand.')).toBeVisible();
});

test('a torque wrench is found off: what it tightened is named, and tightened again it is so no more', async ({
  page,
}) => {
  const tag = await toMeasure(sends(page), 'TW-8');
  await page.goto('/machines');
  await page.getByRole('link', { name: 'add a master, block, wrench or gauge' }).click();
  const form = tagOf(page);
  await fill(form, { Code: 'TW-1', Name: 'Wrench of the test', 'What it is': 'torque wrench' });
  await form.getByRole('button', { name: 'Add it' }).click();
  await expect(said(page)).toContainText('TW-1: record when it was calibrated');

  await page.goto(`/rack?open=${tag}`);
  await tagOf(page).getByRole('link', { name: 'tightened' }).click();
  await fill(tagOf(page), { With: 'TW-1', 'To, N m': '60' });
  await tagOf(page).getByRole('button', { name: 'Record it' }).click();
  await expect(said(page)).toContainText(`${tag} tightened with TW-1`);

  await page.goto('/machines?what=gauge&open=TW-1');
  await fill(tagOf(page), { Found: 'off', 'Due again': '2027-07-01' });
  await tagOf(page).getByRole('button', { name: 'Record it' }).click();
  await expect(said(page)).toContainText('TW-1 was off: 1 to do again');
  await expect(tagOf(page).getByText('In doubt since it was last good')).toBeVisible();
  await tagOf(page).getByRole('link', { name: tag }).click();
  await fill(tagOf(page), { With: 'WRENCH-1' });
  await tagOf(page).getByRole('button', { name: 'Record it' }).click();
  await expect(said(page)).toContainText(`${tag} tightened with WRENCH-1`);
  await page.goto('/machines?what=gauge&open=TW-1');
  await expect(tagOf(page).getByText('Found off on')).toBeVisible();
  await expect(tagOf(page).getByText('In doubt since it was last good')).toHaveCount(0);
});
