import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { DEMO } from '../playwright.config';
import {
  AS_OWNER,
  expect,
  fill,
  fitsWidth,
  patient,
  said,
  sends,
  shelved,
  signIn,
  tagOf,
  test,
} from './help';

/**
 * A part that is made again: from the earlier job to a kit on the cart, with a program that a hand has spoiled in three
 * places. Depths and reach by plane geometry, worked beside each.
 */
test.use({ baseURL: DEMO });
/** A machine of its own: what is planned here is no work of the shop's others. */
const MACHINE = {
  ...{ code: 'PLAN-1', name: 'Mill of the planner', taper: '40 taper', k: '450', lengthSchool: 'datum' },
  ...{ diameterSchool: 'radius', units: 'mm', hEqualsT: 'yes', rpmMax: '8000', feedMax: '6000' },
};
test.beforeAll(async () => {
  const { status } = await fetch(`${DEMO}/api/v1/machines`, {
    method: 'POST',
    headers: { ...AS_OWNER, 'content-type': 'application/json' },
    body: JSON.stringify({ ...MACHINE, who: 'IK' }),
  });
  // A worker that begins anew after a failure finds it there.
  expect([201, 409]).toContain(status);
});
const PROGRAM = (h = 32, z = '-8.') =>
  [
    '%\nO9001\nG21 G90 G17 G40 G80 G94\nG54',
    '(T31 SQUARE 8)\nT31 M6\nS2600 M3\nG0 G43 H31 Z50. M8\nG0 X0 Y0\nG0 Z2.',
    `G1 Z${z} F130\nG1 X60. F260\nG0 Z50.`,
    `(T32 SQUARE 8 FINISH)\nT32 M6\nS2600 M3\nG0 G43 H${h} Z50. M8\nG0 X0 Y0\nG0 Z2.`,
    'G1 Z-6. F130\nG1 X60. F260\nG0 Z50.\nM30\n%\n',
  ].join('\n');
/** Stores a program that was dropped, once its path is drawn, and sees that it is stored. */
async function storesIt(page: Page): Promise<void> {
  await expect(page.getByRole('figure', { name: /^From above/ })).toBeVisible();
  await page.getByRole('button', { name: 'Read and store' }).click();
  await expect(said(page)).toContainText('program read');
}
const dropped = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('from an earlier job to the kit: a wrong H, a Z too deep and a tool too short are found, shown and mended', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await send('jobs', {
    ...{
      number: 'J-9001',
      part: 'Bracket',
      material: 'C45',
      quantity: 10,
      due: '2027-02-10',
      machine: 'PLAN-1',
    },
    ...{ highestBeside: 24, partZero: 96 },
  });
  await send('programs', { operation, name: 'bracket.nc', text: PROGRAM() });
  const taken = await shelved(send, 'PL8');
  const { tag } = await send('assemblies', { ...taken, stickout: 30 });
  await send('measurements', { tag, gaugeLength: '90.01', diameter: '7.99' });
  await send('ties', { operation, t: 31, tag });
  await send('pass-depths', { operation, t: 31, depth: 8 });

  // Made again: nothing is typed twice.
  await page.goto('/jobs?open=J-9001');
  await page.getByRole('link', { name: 'make it again as another job' }).click();
  await fill(tagOf(page), { 'Job number': 'J-9002', Quantity: '12', Due: '2027-02-20' });
  await page.getByRole('button', { name: 'Make it again' }).click();
  await expect(page.getByRole('heading', { name: /J-9002 Bracket/ })).toBeVisible();
  await expect(page.getByText('Taken over from J-9001')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'T31' })).toContainText(String(tag));

  // How it is set up: zero is picked on the stock.
  await page.getByRole('link', { name: 'Setup sheet' }).click();
  await page.getByRole('link', { name: 'Write the sheet' }).click();
  for (const [label, value] of [
    ['Drawing', 'D-9001'],
    ['Stock X', '100'],
    ['Stock Y', '80'],
    ['Stock Z', '18'],
    ['Parallels', '10'],
  ] as const)
    await page.getByLabel(new RegExp(`^${label}`)).fill(value);
  await page.getByRole('button', { name: 'Zero left, near' }).click();
  await page.getByRole('button', { name: 'Zero at the top' }).click();
  await expect(page.getByLabel(/^Zero above the bottom/)).toHaveValue('18 mm');
  await page.getByRole('button', { name: 'Write it', exact: true }).click();
  await expect(page.getByText('left, near, top')).toBeVisible();
  await expect(page.getByText('0.00 to −18.00')).toBeVisible();

  // The spoiled program: what is wrong stands at its tool, with its line.
  await page.goto('/jobs?open=J-9002');
  await page
    .getByLabel('Choose the program’s file')
    .setInputFiles(dropped('bracket-2.nc', PROGRAM(31, '-40.')));
  await expect(page.getByRole('region', { name: 'What bracket-2.nc says' })).toContainText(
    'H31 is called while T32',
  );
  await storesIt(page);
  const line = (t: string) => page.getByRole('row').filter({ hasText: t }).first();
  // 40 down, 18 of stock and 10 of parallels: 12 into the vise.
  await line('T31').click();
  await expect(page.getByText('Z -40 mm goes 12 mm into what carries the part')).toBeVisible();
  await page.getByRole('link', { name: 'T32' }).click();
  await expect(tagOf(page).getByText('H31 is called with T32')).toBeVisible();

  // The right program: one is left. 24 above and 8 below ask for 32 of reach, and 30 stand out.
  await page.goto('/jobs?open=J-9002');
  await page.getByLabel('Choose the program’s file').setInputFiles(dropped('bracket-3.nc', PROGRAM()));
  // What it says comes with the file: nobody stores it before.
  await expect(page.getByRole('region', { name: 'What bracket-3.nc says' })).toContainText('T32');
  await storesIt(page);
  await expect(line('T31')).toContainText('2 mm short: the holder would hit');
  // One with flutes of 34 is built, 36 out, and tied in its place.
  const long = await shelved(send, 'PL8-L', { LCF: '34', OAL: '80' });
  const maker = (value: string) => ({ value, origin: 'maker' });
  await send('facts', {
    item: 'PL8-L-H',
    facts: { GRIP_MIN: maker('24'), DEPTH_MAX: maker('50'), RPM_MAX: maker('12000') },
  });
  const { tag: longer } = await send('assemblies', { ...long, stickout: 36 });
  await send('measurements', { tag: longer, gaugeLength: '96.01', diameter: '7.99' });
  await page.reload();
  await line('T31').click();
  await tagOf(page)
    .getByLabel(/^Assembly/)
    .selectOption(String(longer));
  await tagOf(page).getByRole('button', { name: 'Tie', exact: true }).click();
  await expect(line('T31')).toContainText('good');

  // The kit: what hangs on the rack is pulled by a scan, what is not built is said and looked up.
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await expect(page.getByRole('region', { name: 'On the rack, to be pulled' })).toContainText(String(longer));
  await page.getByPlaceholder(/Scan, or type/).fill(String(longer));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Pulled' })).toContainText(String(longer));
  await send('stock/received', { item: 'PL8', place: 'CAB1-C', quantity: 1 });
  const build = page.getByRole('region', { name: 'To build' });
  await build.getByRole('link', { name: 'say what it is to be' }).click();
  await page.getByLabel('What it does').fill('finishes the wall');
  await page.getByLabel(/It is this cutter/).fill('PL8');
  await page.getByRole('option', { name: /PL8/ }).first().click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(build).toContainText('PL8: 1 unused at CAB1-C');
  await expect(page.getByRole('region', { name: 'One walk' })).toContainText('CAB1-C');
  const list = await page.request.get('/api/v1/kit.pdf?number=J-9002');
  expect(list.headers()['content-type']).toBe('application/pdf');
  expect((await list.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
  // The job's own table says at the machine's width what is wrong with each T; how it moves is on its sheet.
  await page.goto('/jobs?open=J-9002');
  await expect(page.getByRole('columnheader', { name: 'Checks' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Reach' })).toBeHidden();
  await fitsWidth(page);
});

test('two write one setup sheet: the second sees what the first wrote, and both words stand', async ({
  page,
  browser,
}) => {
  const send = sends(page);
  await send('jobs', {
    ...{ number: 'J-9003', part: 'Lid', material: 'C45', quantity: 3, due: '2027-02-10', machine: 'PLAN-1' },
  });
  const context = await browser.newContext({ baseURL: DEMO, locale: 'en-GB' });
  await signIn(context, 'MS');
  const other = patient(await context.newPage());
  await page.goto('/jobs?open=J-9003&do=write');
  await other.goto('/jobs?open=J-9003&do=write');
  await other.getByLabel(/^Drawing/).fill('D-9003');
  await other.getByLabel(/^Stock Z/).fill('20');
  await other.getByRole('button', { name: 'Write it', exact: true }).click();
  await expect(other.getByText('D-9003')).toBeVisible();
  await context.close();

  await page.getByLabel(/^Stock Z/).fill('22');
  await page.getByLabel(/^Notes/).fill('soft jaws\nsecond line');
  await page.getByRole('button', { name: 'Write it', exact: true }).click();
  await expect(page.getByText(/MS has written this sheet since you opened it/)).toBeVisible();
  const meanwhile = page.getByRole('region', { name: 'Written meanwhile' });
  await expect(meanwhile).toContainText('drawing was blank, is D-9003');
  await expect(meanwhile).toContainText('You both changed stock Z');
  await expect(page.getByLabel(/^Stock Z/)).toHaveValue('22');
  await meanwhile.getByRole('button', { name: 'Take what MS wrote, keep mine' }).click();
  await expect(page.getByLabel(/^Drawing/)).toHaveValue('D-9003');
  await page.getByRole('button', { name: 'Write it', exact: true }).click();
  await expect(page.getByRole('definition').filter({ hasText: 'D-9003' })).toBeVisible();
  await expect(page.getByRole('definition').filter({ hasText: '22 mm' })).toBeVisible();
  await expect(page.getByText('soft jaws')).toBeVisible();
  await expect(page.getByText('second line')).toBeVisible();
});

test('other numbers for a program: seen line by line, taken as a copy, and moved with all that belongs to each T', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await send('jobs', {
    ...{
      number: 'J-9004',
      part: 'Plate',
      material: 'C45',
      quantity: 3,
      due: '2027-02-10',
      machine: 'PLAN-1',
    },
  });
  await send('programs', { operation, name: 'plate.nc', text: PROGRAM() });
  await send('tool-plans', { operation, t: 32, does: 'finishes the wall' });
  await page.goto('/jobs?open=J-9004');
  await page.getByRole('link', { name: 'other numbers for its tools' }).click();
  // The second is dragged above the first.
  const grip = (t: number) => page.getByRole('button', { name: new RegExp(`^T${t}: drag it`) });
  const from = (await grip(32).boundingBox())!;
  const to = (await grip(31).boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y - 12, { steps: 4 });
  await page.mouse.move(to.x + 8, to.y + 4, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('listitem').filter({ hasText: 'T32' })).toContainText('→ T1');
  // What was dragged swallows a click that comes within a twentieth of a second, as no hand is quick.
  await page.waitForTimeout(200);
  await page.getByRole('button', { name: 'What changes in the program' }).click();
  await expect(page.getByText('T31 M6')).toBeVisible();
  await expect(page.getByText('T2 M6')).toBeVisible();
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'The changed copy' }).click();
  const copy = await coming;
  expect(copy.suggestedFilename()).toBe('plate-renumbered.nc');
  const text = readFileSync(await copy.path(), 'utf8');
  expect(text).toBe(
    PROGRAM()
      .replaceAll('T31', 'T-b')
      .replaceAll('H31', 'H-b')
      .replaceAll('T32', 'T1')
      .replaceAll('H32', 'H1')
      .replaceAll('-b', '2'),
  );
  await page.getByRole('button', { name: 'Number them so' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'finishes the wall' })).toContainText('T1');
  // The stored one can be had as it was: two programs, the newer in force.
  const { program } = (await page.request.get('/api/v1/job?number=J-9004').then((r) => r.json())) as {
    program: { entryId: number };
  };
  expect(await page.request.get(`/api/v1/programs/${program.entryId}`).then((r) => r.text())).toBe(text);
});

test('a job is dragged to the day it is to start, or to another machine once that was asked about; the day of the machines knows', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await send('jobs', {
    ...{ number: 'J-9005', part: 'Cap', material: 'C45', quantity: 4, due: '2027-03-10', machine: 'BENCH-1' },
  });
  await send('programs', { operation, name: 'cap.nc', text: PROGRAM() });
  await page.goto('/jobs?do=calendar');
  const bar = page.getByRole('button', { name: /J-9005/ });
  const drag = async (right: number, down: number) => {
    const from = (await bar.boundingBox())!;
    await page.mouse.move(from.x + 12, from.y + 12);
    await page.mouse.down();
    await page.mouse.move(from.x + 24, from.y + 14, { steps: 3 });
    await page.mouse.move(from.x + 12 + right, from.y + 12 + down, { steps: 8 });
    await page.mouse.up();
  };
  const before = (await bar.boundingBox())!;
  await drag(0, 70);
  const asks = page.getByRole('dialog', { name: /J-9005, operation 10: from BENCH-1 to / });
  await expect(asks).toContainText('it is proved again there');
  await asks.getByRole('button', { name: 'Leave it on BENCH-1' }).click();
  await expect(asks).toBeHidden();
  // Two weeks from now, whatever day it is: some fourteen columns on.
  await drag(520, 0);
  await expect(said(page)).toContainText('J-9005 starts');
  await expect.poll(async () => (await bar.boundingBox())!.x - before.x).toBeGreaterThan(300);
  await drag(0, 70);
  await asks.getByRole('button', { name: 'Move it' }).click();
  await expect(said(page)).toContainText(/J-9005 goes on .+ from /);
  await expect(asks).toBeHidden();
  // Its keeper without a mouse puts it back by a form.
  await page.goto('/jobs?open=J-9005&new=machine');
  await fill(tagOf(page), { 'To machine': 'BENCH-1' });
  await page.getByRole('button', { name: 'Move it' }).click();
  await expect(said(page)).toContainText('J-9005 goes on BENCH-1 now');
  await page.goto('/');
  const strip = page.getByRole('region', { name: 'The day of the machines' });
  await expect(strip.getByText(/after that/).filter({ hasText: 'J-9005' })).toContainText('from');
});

test('a machine says how it gains speed: a program that was read before says so, and is read again where it stands', async ({
  page,
}) => {
  const send = sends(page);
  const quick = { ...MACHINE, code: 'PLAN-2', name: 'Quick mill', rapid: '20000', toolChangeS: '4' };
  await send('machines', quick);
  const { operation } = await send('jobs', {
    ...{ number: 'J-9006', part: 'Plug', material: 'C45', quantity: 4, due: '2027-03-12', machine: 'PLAN-2' },
  });
  await send('programs', { operation, name: 'plug.nc', text: PROGRAM() });
  await page.goto('/jobs?open=J-9006');
  await expect(page.getByText('Without acceleration, so at least that.')).toBeVisible();
  const { name: _name, ...figures } = quick;
  await send('machine-figures', { ...figures, acceleration: '0.5', corner: '0.01' });
  await page.reload();
  const notice = page.getByRole('region', { name: 'Read before its machine was stated anew' });
  await expect(notice).toContainText('Read before PLAN-2 was stated anew');
  await notice.getByRole('button', { name: 'Read it again' }).click();
  await expect(said(page)).toContainText('the program of J-9006 was read again');
  await expect(notice).toHaveCount(0);
  await expect(page.getByText(/for gaining speed and corners/)).toBeVisible();
  await expect(page.getByText('Without acceleration')).toHaveCount(0);
});

test('what a T runs with is kept as a recipe, a changed program is held against it, and what came of it is said', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await send('jobs', {
    ...{ number: 'J-9007', part: 'Rail', material: 'C45', quantity: 4, due: '2027-03-14', machine: 'PLAN-1' },
  });
  await send('programs', { operation, name: 'rail.nc', text: PROGRAM() });
  const { tag } = await send('assemblies', { ...(await shelved(send, 'PL9', { NOF: '4' })), stickout: 30 });
  await send('ties', { operation, t: 31, tag });
  await page.goto('/jobs?open=J-9007&t=31');
  await fill(tagOf(page), { 'What it does': 'roughing' });
  await page.getByRole('button', { name: 'Keep what it runs with' }).click();
  await expect(said(page)).toContainText(/R-\d+, not tried: T31 runs by it/);
  await expect(tagOf(page).getByText(/Runs by R-\d+, not tried in C45/)).toBeVisible();
  // Twice the feed is twice the chip: F520 by S2600 and four flutes is 0.05 a tooth for 0.025.
  await send('programs', {
    operation,
    name: 'rail-2.nc',
    text: PROGRAM().replaceAll('F260', 'F520').replaceAll('F130', 'F260'),
  });
  await page.reload();
  await expect(tagOf(page).getByText(/Feeds 0.05 mm a tooth, R-\d+ says 0.025 mm a tooth/)).toBeVisible();
  await page.getByRole('link', { name: 'how it is run' }).click();
  await expect(page.getByRole('heading', { name: 'Cutting' })).toBeVisible();
  await fill(tagOf(page), { 'It was': 'rejected', 'What was seen': 'rubs' });
  await page.getByRole('button', { name: 'Say so' }).click();
  await expect(said(page)).toContainText('rejected');
  await expect(tagOf(page).getByText('rubs')).toBeVisible();
  // Another is stated instead: what stands in the old one is not typed twice.
  await page.getByRole('link', { name: 'run it otherwise' }).click();
  await fill(tagOf(page), { 'Feed, mm': '0.05' });
  await page.getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText(/recipe R-\d+ stated/);
  await expect(tagOf(page).getByText('not tried')).toBeVisible();
  await expect(tagOf(page).getByText('Nobody has run it here yet.')).toBeVisible();
});

test('a cut is tried on the bench: two figures give the rest, what binds is named, its point goes by hand and by keys', async ({
  page,
}) => {
  const send = sends(page);
  await shelved(send, 'PL10', { NOF: '4' });
  // What the spindle gives: 10 N m at 4775 rev/min would be 5 kW; it keeps to 2.
  await page.goto('/machines?open=PLAN-1&do=spindle');
  await fill(tagOf(page), { 'from rev/min': '0', 'to rev/min': '8000', kW: '2', 'N m': '10' });
  await tagOf(page).getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText('PLAN-1: what its spindle gives is stated');
  await page.goto('/machines?open=CuSn8&what=material');
  await expect(tagOf(page)).toContainText('A place to begin, from memory of tables: kc1.1 1365');
  await fill(tagOf(page), { 'kc1.1': '1200', mc: '0.2', 'Where from': 'measured' });
  await tagOf(page).getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText('what CuSn8 takes to cut is stated');
  await page.goto('/cutting?show=bench&item=PL10');
  await page.getByLabel('What is cut').selectOption('C45');
  const typed = async (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  await typed('Speed, This cut', '120');
  await typed('Feed, This cut', '0.05');
  await typed('Depth, This cut', '10');
  await typed('Width, This cut', '2');
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });
  // 1000 x 120 / (π x 8) = 4775; by 4 teeth of 0.05: 955; by 10 x 2: 19.1 cm3.
  await expect(row('Turns n')).toContainText('4775');
  await expect(row('Feed a minute')).toContainText('955');
  await expect(row('Cut away')).toContainText('19.10');
  await typed('Holder up to, rev/min', '4000');
  await expect(row('What binds')).toContainText('n 4775 of 4000, the limit of holder');
  await page.getByRole('combobox', { name: /^Machine/ }).selectOption('PLAN-1');
  await expect(row('What binds')).toContainText('of 4000, the limit of holder');
  await typed('Holder up to, rev/min', '9000');
  await expect(row('What binds')).toContainText(/ of 2 kW/);
  await page.getByLabel('What is cut').selectOption('own CuSn8');
  await row('Power, by Kienzle').getByText('because').click();
  await expect(row('Power, by Kienzle')).toContainText('CuSn8, measured here');
  await typed('Spindle gives, kW', '1');
  const point = page.getByRole('slider', { name: 'This cut: depth and width' });
  await point.focus();
  await page.keyboard.press('Shift+ArrowUp');
  // A tenth of the flute of 20.
  await expect(page.getByLabel('Depth, This cut', { exact: true })).toHaveValue('12.00');
  const from = (await point.boundingBox())!;
  await page.mouse.move(from.x + 9, from.y + 9);
  await page.mouse.down();
  await page.mouse.move(from.x + 69, from.y + 9, { steps: 4 });
  await page.mouse.up();
  await expect
    .poll(async () => Number(await page.getByLabel('Width, This cut').inputValue()))
    .toBeGreaterThan(2.5);
  await expect(page.getByText('Shaded: past a limit')).toBeVisible();
  // Another beside it: shallow and wide.
  await typed('Speed, Beside it', '120');
  await typed('Feed, Beside it', '0.03');
  await typed('Depth, Beside it', '1');
  await typed('Width, Beside it', '6');
  await expect(row('Flute that wears')).toContainText('5');
  // Past what its edge stands: in a slot half of what a tooth is fed is no longer taken off its chip.
  await page.getByText('What else is asked of it').click();
  await typed('Thickest chip it stands, mm', '0.03');
  await expect(row('What binds')).toContainText('of 0.03 mm that its edge stands');
  await typed('Goes down at, °', '5');
  await expect(row('What binds')).toContainText('ramp: ');
  // The map of speeds: the keys raise Vc, and the cut with it.
  await page.getByLabel('The map goes over').selectOption('speed');
  await page.getByRole('slider', { name: 'This cut: speed and feed' }).focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect
    .poll(async () => Number(await page.getByLabel('Speed, This cut').inputValue()))
    .toBeGreaterThan(120);
  await typed('Speed, This cut', '110');
  // What was found is kept, with what was typed; the bench stays beside it.
  await page.getByRole('button', { name: 'Keep as a recipe, This cut' }).click();
  await expect(tagOf(page).getByLabel('Speed (if known)')).toHaveValue('110');
  await fill(tagOf(page), { 'What it does': 'roughs' });
  await page.getByRole('button', { name: 'State it' }).click();
  await expect(said(page)).toContainText(/recipe R-\d+ stated/);
  await expect(tagOf(page)).toContainText('110');
  await expect(tagOf(page)).toContainText('Reckoned on the bench.');
  await expect(page.getByLabel('Speed, This cut')).toHaveValue('110');
});
