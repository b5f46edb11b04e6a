import { DEMO } from '../playwright.config';
import { alertOf, expect, fill, fitsWidth, said, scan, signAs, tagOf, test } from './help';

test.use({ baseURL: DEMO });
const list = (text: string, name = 'list.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a list comes in: shown value by value, a column named, all or nothing, taken back', async ({
  page,
}) => {
  await page.goto('/exchange');
  await signAs(page, 'IK');
  const chooser = page.getByLabel('A list to bring in');
  await chooser.setInputFiles(list('code;kind;family;DC;Schaft\n"open'));
  await expect(alertOf(page)).toContainText('quotation mark is not closed');
  await chooser.setInputFiles(
    list(
      '\uFEFFcode;kind;family;DC;LCF;Schaft\nNEU-1;cutter;square;7,5;16;8\nEM8;cutter;square;8;21;\nBAD;cutter;square;-3;;\n',
    ),
  );
  await expect(page.getByText('1 new, 1 changed')).toBeVisible();
  await expect(page.getByRole('row', { name: /BAD/ })).toContainText('DC = -3');
  await expect(page.getByRole('row', { name: /EM8 LCF/ })).toContainText('21 (maker)');
  await page.getByLabel('Schaft').selectOption('DMM');
  await expect(page.getByText(/of unknown meaning/)).toBeHidden();
  await page.getByRole('button', { name: 'Bring in 1 new and 1 changed' }).click();
  await expect(said(page)).toContainText('1 new and 1 changed from list.csv');
  await page.goto('/cutters?q=NEU+DC%3D7.5');
  await expect(page.getByRole('link', { name: 'NEU-1' })).toBeVisible();
  await page.goto('/exchange');
  await page.getByRole('button', { name: 'Take back the list list.csv' }).click();
  await expect(said(page)).toContainText('took back');
  await page.goto('/cutters?q=NEU+DC%3D7.5');
  await expect(page.getByText('Nothing answers to this')).toBeVisible();
});

test('what is seen goes out: as CSV with the same words, as a spreadsheet', async ({ page }) => {
  await page.goto('/cutters?q=drill+DC+6..8');
  const csv = page.getByRole('link', { name: 'CSV' });
  const [download] = await Promise.all([page.waitForEvent('download'), csv.click()]);
  const text = (await import('node:fs')).readFileSync((await download.path())!, 'utf8');
  expect(
    text
      .split('\r\n')
      .filter(Boolean)
      .map((l) => l.split(',')[0]!.replace('\uFEFF', '')),
  ).toEqual(['code', 'D-F', 'D6.8']);
  const xlsx = await page.request.get(`${DEMO}/api/v1/items.xlsx?kind=insert`);
  expect((await xlsx.body()).subarray(0, 2).toString()).toBe('PK');
});

test('choosing by the cut: what fits with reasons, what can’t by how much, the kit of a thread', async ({
  page,
}) => {
  await page.goto('/choose');
  const tag = tagOf(page);
  await fill(tag, {
    'What is cut': 'pocket',
    'Material, ISO 513': 'P',
    'Smallest inside corner': '5',
    'Depth to reach': '20',
  });
  await tag.getByRole('button', { name: 'Find cutters' }).click();
  await expect(page.getByRole('heading', { name: 'Fits' })).toBeVisible();
  await expect(page.getByRole('row', { name: /CR10-05 / }).first()).toContainText('on hand');
  await expect(page.getByRole('row', { name: /EM16R/ })).toContainText('6 mm too thick for the corner');
  await page.goto('/choose?feature=thread&thread=M6&depth=12');
  await expect(page.getByRole('row', { name: /^tap M6/ })).toContainText('TAP-M6');
  await page.goto('/choose?feature=pocket&depth=ten');
  await expect(alertOf(page)).toContainText('depth');
});

test('a count sheet: differences are explained before they are booked, and booked once', async ({ page }) => {
  await page.goto('/places');
  await signAs(page, 'IK');
  await scan(page, 'CAB1-C-1');
  await expect(page.getByRole('heading', { name: 'CAB1-C-1' })).toBeVisible();
  await page.getByRole('button', { name: 'Count this place' }).click();
  await expect(page.getByRole('heading', { name: /C-000/ })).toBeVisible();
  const tag = tagOf(page);
  await expect(tag.getByText('·', { exact: true })).toBeVisible();
  await tag.getByLabel(/Counted of SEKN1203-P25/).fill('4');
  await tag.getByRole('button', { name: 'Enter 1 counted' }).click();
  await expect(tag.getByText('1 missing.')).toBeVisible();
  await tag.getByRole('button', { name: 'Book the differences' }).click();
  await expect(tag.getByText(/differ: say what you found out/).first()).toBeVisible();
  await tag.getByLabel('What was the matter').fill('one fell behind the bin');
  await tag.getByRole('button', { name: 'Book the differences' }).click();
  await expect(said(page)).toContainText('1 missing, 0 over');
  await expect(tag.getByText(/Booked by IK/)).toBeVisible();
});

test('handing out and taking back: a used cutter asks for its grade', async ({ page }) => {
  await page.goto('/cutters?open=EM3-2A&do=issue');
  await signAs(page, 'IK');
  const tag = tagOf(page);
  await fill(tag, { 'How many': '1' });
  await tag.getByLabel('To', { exact: true }).selectOption('MS');
  await tag.getByRole('button', { name: 'Hand out', exact: true }).click();
  await expect(said(page)).toContainText('1 × EM3-2A to MS');
  await tag.getByRole('link', { name: 'Take back' }).click();
  await fill(tag, { From: 'HAND-MS', 'How many': '1', Onto: 'USED', 'Was it used?': 'yes' });
  await tag.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect(tag.getByText('A used cutter that comes back is graded').first()).toBeVisible();
  await fill(tag, { 'If used': 'plastics' });
  await tag.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect(said(page)).toContainText(/E-\d+ back to USED/);
});

test('a picture is kept with its cutter; what is none is refused', async ({ page }) => {
  await page.goto('/cutters?open=BN8');
  await signAs(page, 'IK');
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
    'base64',
  );
  await page
    .getByLabel('A picture')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('none') });
  await expect(page.getByText('This is no picture that can be read').first()).toBeVisible();
  await page.getByLabel('A picture').setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: png });
  await expect(said(page)).toContainText('picture of BN8 kept');
  await expect(page.getByRole('img', { name: 'BN8: the cutter' })).toBeVisible();
});

test('the catalogue by keys: an arrow walks it, Enter opens beside; a column sorts on the server', async ({
  page,
}) => {
  await page.goto('/cutters');
  await expect(page.getByRole('grid')).toBeVisible();
  await page.getByRole('columnheader', { name: 'Unused' }).click();
  await expect(page).toHaveURL(/sort=unused/);
  await page.getByRole('gridcell').first().click();
  await expect(page).toHaveURL(/open=/);
  const first = new URL(page.url()).searchParams.get('open');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(() => new URL(page.url()).searchParams.get('open')).not.toBe(first);
});

test('a question is kept by name and asked again with one click', async ({ page }) => {
  await page.goto('/cutters?q=LCF%3E20&sort=-unused');
  await signAs(page, 'IK');
  await page.getByRole('button', { name: 'keep this question' }).click();
  await fill(page, { 'Call it': 'long ones' });
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(said(page)).toContainText('kept as long ones');
  await page.goto('/cutters');
  await page.getByRole('link', { name: 'long ones' }).click();
  await expect(page).toHaveURL(/LCF/);
  await expect(page.getByLabel('Words to find')).toHaveValue('LCF>20');
});

test('all stock: found by a place and a range, whose it is, and out as it is seen', async ({ page }) => {
  await page.goto('/places?show=stock');
  await page.getByLabel('Find').fill('CAB1-C CNMG');
  await expect(page).toHaveURL(/q=CAB1-C/);
  const rows = page.getByRole('row', { name: /CN12-08/ });
  await expect(rows).toHaveCount(2);
  await page.getByRole('combobox', { name: /^Whose/ }).selectOption('theirs');
  await expect(rows).toHaveCount(1);
  await expect(rows.first()).toContainText('NORDKANT’s until used');
  const csv = await page.request.get(
    `${DEMO}${(await page.getByRole('link', { name: 'CSV' }).getAttribute('href'))!}`,
  );
  expect((await csv.text()).split('\r\n')[1]).toMatch(/^CN12-08,.*,CAB1-C,.*,NORDKANT,,16,0,$/);
  await expect(page.getByRole('grid')).toBeVisible();
  await page.getByRole('columnheader', { name: 'How many' }).click();
  await expect(page).toHaveURL(/sort=quantity/);
  await page.getByRole('link', { name: 'CAB1-C', exact: true }).click();
  await expect(tagOf(page).getByRole('heading', { name: 'CAB1-C' })).toBeVisible();
});

test('what was taken of a supplier’s own stock is settled once', async ({ page }) => {
  await page.goto('/places?show=theirs');
  await signAs(page, 'IK');
  await expect(page.getByText('24.80')).toBeVisible();
  await page.getByLabel('Invoice or delivery note').fill('R-2027-11');
  await page.getByRole('button', { name: 'Settled with NORDKANT' }).dblclick();
  await expect(said(page)).toContainText('4 taken of NORDKANT’s stock settled');
  await expect(page.getByText('Nothing was taken that is not settled.')).toBeVisible();
  await page.getByRole('button', { name: /Take back the settlement/ }).click();
  await expect(page.getByText('24.80')).toBeVisible();
});

test('a count takes what the books don’t know of; the ladder is the shop’s own', async ({ page }) => {
  await page.goto('/places?open=CAB1-B');
  await signAs(page, 'IK');
  await page.getByRole('button', { name: 'Count this place' }).click();
  const tag = tagOf(page);
  await tag.getByText('Something else lies there').click();
  await fill(tag, { 'What lies there': 'EM3-2A', 'How many': '2' });
  await tag.getByRole('button', { name: 'Enter it' }).click();
  await expect(tag.getByText('2 over.')).toBeVisible();
  await page.goto('/cutters?show=ladder');
  await page.getByRole('button', { name: 'One more rung' }).click();
  await page.getByRole('textbox', { name: 'Rung 5' }).fill('wood');
  await page.getByRole('button', { name: 'Set the ladder' }).click();
  await expect(said(page)).toContainText('the ladder has 6 rungs');
  await page.getByRole('button', { name: 'Rung 5 away' }).click();
  await page.getByRole('button', { name: 'Set the ladder' }).click();
  await expect(said(page)).toContainText('the ladder has 5 rungs');
});

test('a fact is stated where it stands on the figure; a wrong address says so and shows the rest', async ({
  page,
}) => {
  await page.goto('/cutters?open=CR12-2');
  await signAs(page, 'IK');
  await page.getByRole('link', { name: /On the figure/ }).click();
  await page
    .getByRole('link', { name: /^LCF flute length/ })
    .locator('rect')
    .click();
  const form = page.getByRole('region', { name: 'State LCF' });
  await fill(form, { 'LCF flute length': '99' });
  await form.getByRole('button', { name: 'State LCF' }).click();
  await expect(form.getByRole('alert')).toContainText('LCF');
  await fill(form, { 'LCF flute length': '27' });
  await form.getByRole('button', { name: 'State LCF' }).click();
  await expect(said(page)).toContainText('LCF of CR12-2 stated');
  await expect(page.getByRole('link', { name: /^LCF flute length: 27/ })).toBeVisible();
  await page.goto('/cutters?open=CR12-2&sort=colour');
  await expect(page.getByRole('alert').filter({ hasText: 'sort' })).toHaveCount(1);
  await expect(page.getByRole('grid').getByRole('link', { name: 'CR12-2' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'CR12-2' }).first()).toBeVisible();
});

test('a long count draws the lines that are looked at; what was typed into one that went by is sent', async ({
  page,
}) => {
  const write = async (path: string, data: Record<string, unknown>) => {
    const answer = await page.request.post(`${DEMO}/api/v1/${path}`, {
      headers: { origin: DEMO },
      data: { who: 'IK', formId: crypto.randomUUID(), ...data },
    });
    expect(answer.status(), await answer.text()).toBe(201);
    return (await answer.json()) as { number?: string };
  };
  await write('places', { code: 'LONG', name: 'Long drawer', kind: 'drawer' });
  for (let i = 100; i < 240; i += 1) {
    await write('items', {
      code: `LONG-${i}`,
      kind: 'cutter',
      family: 'drill',
      facts: { DC: { value: `${i / 20}`, origin: 'maker' } },
    });
    await write('stock/received', { item: `LONG-${i}`, place: 'LONG', quantity: 2 });
  }
  const { number } = await write('counts', { place: 'LONG' });
  await page.goto(`/places?show=counts&sheet=${number}`);
  await signAs(page, 'IK');
  const table = tagOf(page).getByRole('table');
  await expect(table).toHaveAttribute('aria-rowcount', '141');
  expect(await table.getByRole('row').count()).toBeLessThan(60);
  await table.getByLabel('Counted of LONG-100 at LONG').fill('2');
  await table.getByLabel('Counted of LONG-100 at LONG').hover();
  const last = table.getByLabel('Counted of LONG-239 at LONG');
  await expect(async () => {
    await page.mouse.wheel(0, 4000);
    await expect(last).toBeVisible({ timeout: 500 });
  }).toPass();
  await last.fill('1');
  await expect(table.getByLabel('Counted of LONG-100 at LONG')).toHaveCount(0);
  await tagOf(page).getByRole('button', { name: 'Enter 2 counted' }).click();
  await expect(said(page)).toContainText('2 lines entered, 1 differ');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the areas come out over the screen and go by Escape; what was booked comes up where the thumb is', async ({
    page,
  }) => {
    await page.goto('/cutters?open=EM8&do=receive');
    await page.getByRole('button', { name: 'Areas' }).click();
    const me = page.getByRole('dialog').getByRole('link', { name: 'IK Ida Kvist' });
    await expect(me).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(me).toHaveCount(0);
    await fill(tagOf(page), { 'How many': '2' });
    await tagOf(page).getByRole('button', { name: 'Receive', exact: true }).click();
    await expect(said(page)).toContainText('2 × EM8');
    const words = (await said(page).textContent()) ?? '';
    const shown = page.getByText(words, { exact: true }).last();
    await expect(shown).toBeInViewport();
    expect((await shown.boundingBox())!.y).toBeGreaterThan(700);
  });
});

test('anything can be ordered without a job, and its promise be stated anew; a job is changed and closed', async ({
  page,
}) => {
  await page.goto('/buying?new=order');
  await signAs(page, 'IK');
  await tagOf(page).getByRole('button', { name: 'One more line' }).click();
  await fill(tagOf(page), {
    'What in line 1': 'C32-6',
    'How many in line 1': '2',
    'What in line 2': 'C32-10',
    'How many in line 2': '3',
    'Promised for': '2027-02-01',
  });
  // The demo's collets cost 19.00.
  await expect(tagOf(page).getByText('Total 95.00')).toBeVisible();
  await tagOf(page).getByRole('button', { name: 'Ordered' }).click();
  await expect(said(page)).toContainText('recorded: C32-6, C32-10');
  await page.getByRole('row', { name: /C32-6/ }).getByRole('link').click();
  await fill(tagOf(page), { 'The supplier says now': '2027-02-08' });
  await tagOf(page).getByRole('button', { name: 'Promised', exact: true }).click();
  await expect(said(page)).toContainText('counts from 2027-02-08');
  await expect(tagOf(page).getByText('first for 1 Feb').first()).toBeVisible();

  await page.goto('/jobs?open=J-0820');
  await fill(tagOf(page), { Quantity: '80', 'It is': 'cancelled', Why: 'the customer withdrew' });
  await tagOf(page).getByRole('button', { name: 'Change it' }).click();
  await expect(said(page)).toContainText('J-0820 is cancelled');
  await page.goto('/jobs');
  await expect(page.getByRole('row', { name: /J-0820/ })).toContainText('cancelled');
});

test('inserts for a bare body: a scan at 5, 30 and 100 ms a key chooses the parcel it names, under a slow server', async ({
  page,
}) => {
  // A body that was mounted once has its mark, and stands bare again.
  const post = async (path: string, data: object) => {
    const answer = await page.request.post(`/api/v1/${path}`, {
      headers: { origin: DEMO },
      data: { who: 'IK', ...data },
    });
    expect(answer.status()).toBe(201);
    return (await answer.json()) as { piece: string };
  };
  const { piece } = await post('inserts/mounted', {
    body: 'FB63',
    bodyFrom: 'CAB1-A',
    item: 'SEKN1203-P25',
    from: 'CAB1-C',
  });
  await post('inserts/taken-out', { piece, to: 'CAB1-C' });
  await page.route('**/api/v1/stock?**', async (route) => {
    await new Promise((done) => setTimeout(done, 450));
    await route.continue().catch(() => undefined);
  });
  for (const gap of [5, 30, 100]) {
    await page.goto('/cutters?open=FB63');
    await tagOf(page).getByRole('button', { name: 'Put inserts in' }).click();
    const field = page.getByRole('combobox', { name: 'Inserts from' });
    await field.click();
    await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
    await page.keyboard.type('SEKN1203-K15', { delay: gap });
    await page.keyboard.press('Enter');
    await expect(field).toHaveValue(/^SEKN1203-K15: /);
    expect(page.url()).toContain('open=FB63');
  }
});

test('scrap is weighed by its outlines, sold by the scales, and taken back where it stands', async ({
  page,
}) => {
  await page.goto('/places?show=scrap');
  const heap = page.getByRole('region', { name: 'Scrap of carbide' });
  await expect(heap.getByText('never sold yet')).toBeVisible();
  await heap.getByRole('button', { name: 'It was sold', exact: true }).click();
  await fill(page, { 'On the scales, kg': '7.5', 'A kilogram fetched': '18', 'To whom': 'Alt & Eisen' });
  await heap.getByRole('button', { name: 'All of it was sold' }).click();
  await expect(said(page)).toContainText('7.5 kg of carbide sold for 135.00');
  await expect(heap).toBeHidden();
  await page.getByRole('button', { name: 'Take back that carbide was sold' }).click();
  await expect(heap.getByText('Weighs at most')).toBeVisible();
});

test('one seat is turned while the others cut on; why its edges ended is asked for', async ({ page }) => {
  await page.goto('/cutters?open=SM50');
  const tag = tagOf(page);
  await expect(tag.getByText('Not alike: seats 1, 2, 4, 5')).toBeVisible();
  await tag.getByRole('button', { name: 'Turn inserts, all or some' }).click();
  await tag.getByRole('group', { name: 'Seats turned' }).getByLabel('2', { exact: true }).check();
  await tag.getByRole('button', { name: 'Turn', exact: true }).click();
  await expect(tag.getByText('Why only some edges are turned is not said.')).toBeVisible();
  await fill(tag, { 'How the life of these edges ended': 'worn' });
  await tag.getByRole('button', { name: 'Turn', exact: true }).click();
  await expect(said(page)).toContainText('1 turned, 0 replaced, 4 cut on');
  await expect(tag.getByText('Not alike: seats 1, 4, 5')).toBeVisible();
  await expect(tag.getByText('Held 3 sets of edges so far')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
});

test('at the machine the inserts of a body are turned, and it goes on in its holder', async ({ page }) => {
  const shown = await page.request.get('/api/v1/assemblies');
  const { assemblies } = (await shown.json()) as {
    assemblies: { tag: string; cutter: { code: string } }[];
  };
  const tag = assemblies.find((card) => card.cutter.code === 'SM50')!.tag;
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/end/${tag}`);
  await page.getByRole('radio', { name: 'worn' }).check();
  await expect(page.getByRole('radio', { name: 'turn its inserts, and go on with it' })).toBeChecked();
  await fitsWidth(page);
  await page.getByRole('button', { name: 'End this life' }).click();
  await expect(said(page)).toContainText('is built in its place: measure it');
  await expect(tagOf(page)).toContainText('3 edges left');
});
