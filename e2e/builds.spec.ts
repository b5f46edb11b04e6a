import { DEMO } from '../playwright.config';
import { alertOf, expect, fill, fitsWidth, said, scan, sends, shelved, tagOf, test } from './help';

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
  const send = sends(page);
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

test('a sheet is written, built from piece by piece with scans, and its substitute is judged', async ({
  page,
}) => {
  const maker = (value: string) => ({ value, origin: 'maker' });
  const send = sends(page);
  const square = {
    DC: maker('9'),
    DMM: maker('10'),
    LCF: maker('22'),
    OAL: maker('72'),
    SUBSTRATE: maker('carbide'),
  };
  await send('items', {
    code: 'SH-9-4',
    kind: 'cutter',
    family: 'square',
    facts: { ...square, NOF: maker('4') },
  });
  await send('items', {
    code: 'SH-9-3',
    kind: 'cutter',
    family: 'square',
    facts: { ...square, NOF: maker('3') },
  });
  const holds = { CCMS: maker('40 taper'), LF: maker('60'), CLAMP_MIN: maker('10'), CLAMP_MAX: maker('10') };
  await send('items', { code: 'SH-H10', kind: 'holder', facts: holds });
  for (const item of ['SH-9-4', 'SH-9-3', 'SH-H10'])
    await send('stock/received', { item, place: 'CAB1-C', quantity: 2 });

  await page.goto('/sheets?new=sheet');
  const tag = tagOf(page);
  await fill(tag, { Code: 'BS-9', 'What it is for': 'Nine wide slots', Cutter: 'SH-9-4', Holder: 'SH-H10' });
  await fill(tag, { Stickout: '20', Shortest: '20', Longest: '34' });
  await fill(tag, { 'Torque, N m': '50' });
  await tag.getByRole('button', { name: 'Write the sheet' }).click();
  // 22 of flute: at 20 out the holder would grip two of it.
  await expect(alertOf(page)).toContainText('Gripped on the flutes');
  await fill(tag, { Stickout: '32', Shortest: '30' });
  await tag.getByRole('button', { name: 'Write the sheet' }).click();
  await expect(said(page)).toContainText('BS-9 is at version 1');
  await expect(tag.getByText('92.0')).toBeVisible();

  await tag.getByRole('link', { name: 'Build from it' }).click();
  await expect(tag.getByRole('heading', { name: 'Step 1' })).toBeVisible();
  await scan(page, 'DR6-DT');
  await expect(said(page)).toContainText('none of it can be taken for this step');
  await scan(page, 'SH-9-3');
  await expect(tag.getByText(/SH-9-3 in the place of SH-9-4: NOF 3/)).toBeVisible();
  await expect(tag.getByRole('heading', { name: 'Step 2' })).toBeVisible();
  // Whoever finds the right one goes back to it.
  await tag.getByRole('button', { name: 'another' }).click();
  await scan(page, 'SH-9-4');
  await scan(page, 'SH-H10');
  await expect(tag.getByRole('heading', { name: 'Set and tighten' })).toBeVisible();
  await expect(tag.getByText('Cleaned?')).toBeVisible();
  await tag.getByLabel(/clean and free of oil/).check();
  await tag.getByLabel('Stickout').fill('36');
  await expect(tag.getByText(/BS-9 v1 says 30 mm to 34 mm/)).toBeVisible();
  await tag.getByLabel('Stickout').fill('32');
  await expect(tag.getByRole('button', { name: 'Build', exact: true })).toBeDisabled();
  await tag.getByLabel(/Tightened to/).check();
  await fitsWidth(page);
  await tag.getByRole('button', { name: 'Build', exact: true }).click();
  await expect(said(page)).toContainText('built from BS-9: measure it next');
  await expect(tag.getByText('expected 92.0')).toBeVisible();
  await expect(tag.getByText(/Built from BS-9 version 1/)).toBeVisible();

  // Drawn anew: what stands says which version it is of.
  await page.goto('/sheets?open=BS-9&do=change');
  await fill(tag, { Longest: '36' });
  await tag.getByRole('button', { name: 'Write version 2' }).click();
  await expect(said(page)).toContainText('BS-9 is at version 2');
  await expect(tag.getByText('version 1, older than what stands here')).toBeVisible();
});

test('an edge is read with a sign that grows by tapping, and what was not looked at is no reading', async ({
  page,
}) => {
  const send = sends(page);
  const shelf = await shelved(send, 'EM8-WEAR');
  const { tag: mark } = await send('assemblies', { ...shelf, stickout: 30 });
  const number = String(mark);
  await page.goto(`/rack?open=${number}&do=wear`);
  const tag = tagOf(page);
  // Nothing was looked at: that is no reading.
  await tag.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(alertOf(page)).toContainText('The reading says nothing');
  const burr = tag.getByRole('button', { name: /^burr/ });
  await burr.click();
  await burr.click();
  await expect(burr).toHaveAccessibleName('burr: clear');
  await burr.click();
  await expect(burr).toHaveAccessibleName('burr: strong');
  await fill(tag, { 'Flank wear VB': '0.08', 'Worn to': '30' });
  await tag.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(tag.getByText(/can't end at 30 mm: the flute is 20 mm long/).first()).toBeVisible();
  await fill(tag, { 'Worn to': '6' });
  await tag.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(said(page)).toContainText(`the edge of ${number} read`);
  await expect(tag.getByText('VB 0.080 · burr (strong)')).toBeVisible();
  await expect(tag.getByRole('img', { name: /^Flank wear of .* worn at 0.16/ })).toBeVisible();
  // One reading makes no line.
  await expect(tag.getByText('cannot say').first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
});

test('when to change is reckoned for what a change and a failure cost, and an amount that is none is said at its field', async ({
  page,
}) => {
  await page.goto('/life?item=EM8&material=C45');
  const tag = tagOf(page);
  await fill(tag, { 'A planned change costs': '38', 'A failure in the cut costs': 'dear' });
  await tag.getByRole('button', { name: 'Reckon' }).click();
  await expect(tag.getByText('an amount over 0, two decimals at most')).toBeVisible();
  await fill(tag, { 'A failure in the cut costs': '240', 'Minutes in the cut a part': '1.5' });
  await tag.getByRole('button', { name: 'Reckon' }).click();
  await expect(tag.getByRole('img', { name: /^Cost a part/ })).toBeVisible();
  await expect(tag.getByText(/^\d+ parts$/)).toBeVisible();
  // A failure that costs no more than a change is waited for.
  await fill(tag, { 'A failure in the cut costs': '38' });
  await tag.getByRole('button', { name: 'Reckon' }).click();
  await expect(tag.getByText('a failure costs no more than a planned change').first()).toBeVisible();
});

test('a run that is left alone says for how many parts it goes', async ({ page }) => {
  await page.goto('/run/1');
  await page.getByRole('link', { name: 'leave it alone?' }).click();
  await expect(page.getByRole('heading', { name: /^Leave J-/ })).toBeVisible();
  await page.getByRole('button', { name: 'one more' }).first().click();
  await page.getByRole('button', { name: /^Reckon for/ }).click();
  await expect(page).toHaveURL(/parts=\d+&chance=0.95/);
  await page.getByRole('radio', { name: '99 %' }).click();
  await expect(page).toHaveURL(/chance=0.99/);
  await expect(page.getByText(/At 99 % it runs for/)).toBeVisible();
  // An address that somebody wrote by hand is answered with what goes.
  await page.goto('/run/1/alone?parts=0');
  await expect(page.getByText(/0 is not a run of 1 to 10000/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Leave J-/ })).toBeVisible();
});
