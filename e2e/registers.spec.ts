import { readFileSync } from 'node:fs';
import { DEMO } from '../playwright.config';
import { alertOf, AS_OWNER, expect, fill, fitsWidth, said, scan, sends, shelved, tagOf, test } from './help';

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

test('tools go into a machine’s pockets by hand, by scan and dragged; two are swapped; its numbers stand beside', async ({
  page,
}) => {
  const maker = (value: string) => ({ value, origin: 'maker' });
  const send = sends(page);
  await send('machines', {
    ...{ code: 'POC-9', name: 'Pocket mill', taper: 'HSK-A 63', k: '400', lengthSchool: 'datum' },
    ...{ diameterSchool: 'diameter', units: 'mm', hEqualsT: 'yes' },
  });
  const facts = {
    DC: maker('5'),
    DMM: maker('6'),
    LCF: maker('14'),
    OAL: maker('57'),
    SUBSTRATE: maker('carbide'),
  };
  await send('items', { code: 'PK-5', kind: 'cutter', family: 'square', facts });
  const holds = { CCMS: maker('HSK-A 63'), LF: maker('80'), CLAMP_MIN: maker('6'), CLAMP_MAX: maker('6') };
  await send('items', { code: 'PK-H6', kind: 'holder', facts: holds });
  for (const item of ['PK-5', 'PK-H6']) await send('stock/received', { item, place: 'CAB1-C', quantity: 2 });
  const at = (item: string) => ({ item, place: 'CAB1-C' });
  const tags: string[] = [];
  for (const stickout of [20, 22]) {
    const { tag } = await send('assemblies', { cutter: at('PK-5'), holder: at('PK-H6'), stickout });
    await send('measurements', { tag, gaugeLength: 80 + stickout, diameter: '5' });
    tags.push(String(tag));
  }
  const [one, two] = tags as [string, string];

  await page.goto('/pockets?machine=POC-9');
  const tag = tagOf(page);
  await fill(tag, { Kind: 'carousel', Pockets: '8', 'Widest beside': '80' });
  await tag.getByRole('button', { name: 'State it' }).click();
  const pocket = (n: number) => page.getByRole('button', { name: new RegExp(`^Pocket ${n}: `) });
  await expect(pocket(8)).toBeVisible();

  // Scanned, then its pocket.
  await scan(page, one);
  await expect(page.getByText('is in the hand: tap its pocket')).toBeVisible();
  await scan(page, 'P-03');
  await expect(said(page)).toContainText(`${one} in pocket 3 as T3`);
  await pocket(3).click();
  // 100 down to the datum surface at 400.
  await expect(tag.getByText('−300.000')).toBeVisible();

  // From the tag of the other: in the hand, then tapped into the pocket that is taken.
  await page.goto(`/pockets?machine=POC-9&tag=${two}`);
  await pocket(3).click();
  await expect(alertOf(page)).toContainText(`${one} is in pocket 3`);
  await pocket(5).click();
  await expect(said(page)).toContainText(`${two} in pocket 5 as T5`);

  // Dragged onto the other, and swapped.
  const middle = async (n: number): Promise<[number, number]> => {
    const box = (await pocket(n).boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  await expect(pocket(5)).toHaveAccessibleName(`Pocket 5: T5, ${two}`);
  const [x, y] = await middle(5);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 12, y, { steps: 4 });
  // Where everything lies is measured once it is moving.
  await page.evaluate(() => new Promise((seen) => setTimeout(seen, 200)));
  await page.mouse.move(...(await middle(3)), { steps: 12 });
  await expect(pocket(3)).toHaveAttribute('data-over');
  await page.mouse.up();
  await page.getByRole('button', { name: 'Swap the two' }).click();
  await expect(pocket(3)).toHaveAccessibleName(`Pocket 3: T5, ${two}`);
  await expect(pocket(5)).toHaveAccessibleName(`Pocket 5: T3, ${one}`);
  await fitsWidth(page);

  await pocket(5).click();
  await tag.getByRole('button', { name: 'Take it out' }).click();
  await expect(said(page)).toContainText(`${one} is out of pocket 5`);
  await page.goto(`/rack?open=${two}`);
  await expect(tag.getByText('as T5')).toBeVisible();
});

test('K is found with three tools touched off twice; a tag gives its length; what they disagree by is said', async ({
  page,
}) => {
  const figures = { taper: '40 taper', k: '500', lengthSchool: 'datum', diameterSchool: 'radius' };
  expect(
    (
      await page.request.post('/api/v1/machines', {
        headers: AS_OWNER,
        data: { who: 'IK', code: 'FK-1', name: 'To be set up', units: 'mm', hEqualsT: 'yes', ...figures },
      })
    ).ok(),
  ).toBe(true);
  await page.goto('/machines?open=FK-1&do=k');
  const tag = tagOf(page);
  await tag.getByLabel('Block, mm').fill('10');
  const tool = (n: number) => tag.getByRole('group', { name: `Tool ${n}` });
  const touch = async (n: number, L: string, once: string, again: string) => {
    await tool(n).getByLabel('Length, mm, or its tag').fill(L);
    await tool(n).getByLabel('Machine Z, once').fill(once);
    await tool(n).getByLabel('Machine Z, again').fill(again);
  };
  // The demo's long one is 204 and some long: looked up by its tag.
  await touch(1, 'A-0054', '-399.978', '-399.978');
  await expect(tool(1).getByText('measured 90.012')).toBeVisible();
  await touch(2, '142', '-347.990', '-347.990');
  await expect(tag.getByText('2 of three tools touched off')).toBeVisible();
  // By hand: 90.012 + 10 + 399.978 = 499.990, and the same of 142 and of 210.
  await touch(3, '210', '-279.990', '-279.950');
  await expect(tag.getByText('Touches of one tool differ by 0.04 mm')).toBeVisible();
  await tool(3).getByLabel('Machine Z, again').fill('-279.990');
  await expect(tag.getByText('499.990').first()).toBeVisible();
  await expect(tag.getByText('−0.010').or(tag.getByText('-0.010')).first()).toBeVisible();
  await fitsWidth(page);
  await tag.getByRole('button', { name: 'State it from now on' }).click();
  await expect(said(page)).toContainText('K of FK-1 is 499.990');

  // Where a vise stands, once; then zero follows from the stock, and goes out as a program.
  await page.goto('/machines?open=FK-1&do=offsets');
  await fill(tag, { Code: 'V1', 'What it is': 'Vise', 'of its middle': '-24.6', 'Width of its jaws': '6' });
  await fill(tag, { 'of its fixed jaw': '-10', 'Its bed above': '4' });
  await tag.getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText('V1 stated on FK-1');
  await fill(tag, { 'Stock along X': '4', 'along Y': '3', 'along Z': '1.5' });
  // -24.6 less half of 6.
  await expect(tag.getByText('−27.600')).toBeVisible();
  await fitsWidth(page);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    tag.getByRole('link', { name: 'Program that writes it' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('FK-1-G54.nc');
  expect(readFileSync(await file.path(), 'utf8')).toContain('G10 L2 P1 X-27.600 Y-10.000 Z5.500');
});

test('a size that is off is corrected at the machine: read back, recorded, in the sheet, and taken back', async ({
  page,
}) => {
  const send = sends(page);
  await send('machines', {
    ...{ code: 'COR-9', name: 'Mill of corrections', taper: '40 taper', k: '400', lengthSchool: 'datum' },
    ...{ diameterSchool: 'diameter', units: 'mm', hEqualsT: 'yes', wearRegisters: 'no' },
  });
  const { operation } = await send('jobs', {
    ...{ number: 'J-COR', part: 'Cap', material: 'C45', quantity: 5, due: '2027-06-01', machine: 'COR-9' },
    highestBeside: 0,
  });
  const text = 'G21 G90 G17 G54\nT4 M6\nS3000 M3\nG0 X0 Y0\nG0 G43 H4 Z5\nG1 Z-5 F100\nG1 X100\nG0 Z5\nM30';
  await send('programs', { operation, text });
  const { tag } = await send('assemblies', {
    ...(await shelved(send, 'CO-8')),
    ...{ stickout: 25, for: { operation, t: 4 } },
  });
  await send('measurements', { tag, gaugeLength: 85, diameter: '8' });
  await send('registers-given', {
    ...{ machine: 'COR-9', how: 'read back', lines: [{ t: 4, tag, h: '-315', d: '8' }] },
  });

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/run/${String(operation)}`);
  await page.getByRole('button', { name: 'Size off with T4?' }).click();
  const size = page.getByRole('region', { name: 'Size of T4' });
  await size.getByLabel('What was measured').selectOption({ label: 'depth, from the top down' });
  await size.getByLabel('On the drawing').fill('8');
  await size.getByLabel('Measured', { exact: true }).fill('8.03');
  // 0.03 too deep: the length goes up by that, −315.000 becomes −314.970.
  await expect(size.getByText('−314.970')).toBeVisible();
  const after = size.getByLabel('H4 shows after');
  await after.fill('-315.03');
  await expect(size.getByText('it should be −314.970')).toBeVisible();
  await expect(size.getByRole('button', { name: 'Enter it, then type' })).toBeDisabled();
  await after.fill('-314.97');
  await fitsWidth(page);
  await size.getByRole('button', { name: `Entered for ${String(tag)}: record it` }).click();
  await expect(said(page)).toContainText(`${String(tag)}: H4 0.030`);
  await expect(size.getByText('to −314.970')).toBeVisible();

  await page.goto('/registers?machine=COR-9');
  await expect(page.getByText('It has its numbers')).toBeVisible();
  await page.getByText('1 as they were given').click();
  await expect(page.getByText('−314.970')).toBeVisible();

  await page.goto(`/run/${String(operation)}`);
  await page.getByRole('button', { name: 'Size off with T4?' }).click();
  await size.getByRole('button', { name: /^Take back the correction/ }).click();
  await expect(said(page)).toContainText('took back the correction');
  await expect(size.getByText('to −314.970')).toHaveCount(0);
});
