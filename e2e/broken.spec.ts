import sharp from 'sharp';
import { DEMO } from '../playwright.config';
import { alertOf, AS_OWNER, expect, fill, fitsWidth, said, sends, shelved, tagOf, test } from './help';

test.use({ baseURL: DEMO });
/** A machine of its own: what breaks here is tied to no T of the shop's others. */
test.beforeAll(async () => {
  const { status } = await fetch(`${DEMO}/api/v1/machines`, {
    method: 'POST',
    headers: { ...AS_OWNER, 'content-type': 'application/json' },
    body: JSON.stringify({
      ...{ who: 'IK', code: 'BROKE-1', name: 'Mill of what breaks', taper: '40 taper', k: '450' },
      ...{ lengthSchool: 'datum', diameterSchool: 'radius', units: 'mm', hEqualsT: 'yes', rpmMax: '8000' },
    }),
  });
  // A worker that begins anew after a failure finds it there.
  expect([201, 409]).toContain(status);
});

const PROGRAM = [
  'G21 G90 G17 G54',
  'T7 M6',
  'S3000 M3',
  'G0 X0 Y0',
  'G0 G43 H7 Z5',
  'G1 Z-5 F300',
  'G1 X400 F200',
  'G0 Z5',
  'M30',
].join('\n');

/** A job whose T7 has a cutter of its own and cuts 2 min a part. */
async function cutting(send: ReturnType<typeof sends>, name: string) {
  const { operation } = await send('jobs', {
    ...{ number: `J-${name}`, part: 'Cover', material: 'C45', quantity: 40, due: '2027-02-20' },
    machine: 'BROKE-1',
  });
  await send('programs', { operation, text: PROGRAM });
  const shelf = await shelved(send, `EM8-${name}`);
  const { tag } = await send('assemblies', { ...shelf, stickout: 30, for: { operation, t: 7 } });
  return { operation, number: tag };
}

test('a cutter breaks at the machine: five taps, its fragments, its parts held and decided, its cause', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'BROKE');
  await send('parts', { operation, parts: 6, materialLot: 'H-33' });

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/run/${String(operation)}`);
  await page.getByRole('button', { name: 'Part 6 is good' }).click();
  await expect(said(page)).toContainText('part 6 of J-BROKE checked, good');
  await expect(page.getByText('Last found good: part 6.')).toBeVisible();
  await send('parts', { operation, parts: 3, materialLot: 'H-34', confirmed: true });

  // Five taps: which T, two signs, what it cost in parts is left open, and the end of it.
  await page.getByRole('link', { name: 'T7 broke' }).click();
  await expect(page.getByRole('radio', { name: 'broken' })).toBeChecked();
  await expect(page.getByText(/find every fragment/).first()).toBeVisible();
  await fitsWidth(page);
  await page.getByRole('checkbox', { name: 'chips packed' }).check();
  await page.getByRole('checkbox', { name: 'in a full slot' }).check();
  await page.getByRole('button', { name: 'End this life' }).click();
  await expect(page).toHaveURL(/\/breakages\?open=\d+/);
  const tag = tagOf(page);
  await expect(tag.getByText('What became of its fragments?')).toBeVisible();
  await fitsWidth(page);

  // Nothing is logged there before they are accounted for.
  await page.goto(`/run/${String(operation)}`);
  // At the top, before the next part is begun, and at its T.
  await expect(page.getByRole('navigation', { name: 'Before the next part' })).toContainText(
    'Fragments of the cutter before it are not accounted for',
  );
  await expect(
    page.getByRole('listitem').getByText('Fragments of the cutter before it are not accounted for'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Log parts' }).click();
  await expect(alertOf(page)).toContainText('are not accounted for');

  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/');
  await page.getByRole('link', { name: 'Find the fragments of T7 of J-BROKE' }).click();
  await expect(tag.getByText('What became of its fragments?')).toBeVisible();
  await tag.getByLabel('Fragments', { exact: true }).selectOption('recut');
  await tag.getByRole('button', { name: 'Say so' }).click();
  await expect(tag.getByText('recut by what is not said').first()).toBeVisible();
  await fill(tag, { 'Recut by, where they were not found (if known)': 'carbide 6 mm' });
  await tag.getByRole('button', { name: 'Say so' }).click();
  await expect(said(page)).toContainText('not found, recut');

  // Parts since the last good one: 7 to 9, of the second lot.
  await expect(tag.getByText('parts 7 to 9 of J-BROKE Cover')).toBeVisible();
  await expect(tag.getByText(/material lot H-34/)).toBeVisible();
  await tag.getByRole('button', { name: 'Hold them' }).click();
  await expect(said(page)).toContainText('parts 7 to 9 held');
  await tag.getByRole('link', { name: /^Q-\d{4}$/ }).click();
  await expect(page).toHaveURL(/\/held\?open=Q-/);
  const hold = new URL(page.url()).searchParams.get('open') ?? '';
  const tags = await page.request.get(`/api/v1/hold.pdf?number=${hold}`, { headers: AS_OWNER });
  expect((await tags.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await tag.getByLabel('Verdict').selectOption('good');
  await fill(tag, { 'To part': '8' });
  await tag.getByRole('button', { name: 'So it is' }).click();
  await expect(said(page)).toContainText('parts 7 to 8: good');
  await expect(tag.getByText('part 9: nobody decided')).toBeVisible();
  await tag.getByLabel('Verdict').selectOption('scrap');
  await tag.getByRole('button', { name: 'So it is' }).click();
  await expect(tag.getByText('part 9: scrap')).toBeVisible();

  // Why: ranked, found, and kept.
  await tag.getByRole('link', { name: 'what broke' }).click();
  await expect(tag.getByText('for it: chips packed, in a full slot').first()).toBeVisible();
  await tag.getByLabel('Cause, as it was found').selectOption('chips');
  await fill(tag, { 'What was done about it (if known)': 'air nozzle turned' });
  await tag.getByRole('button', { name: 'That was it' }).click();
  await expect(said(page)).toContainText('chips were not cleared');
  await expect(tag.getByText('; air nozzle turned')).toBeVisible();
  const { line } = (await (
    await page.request.get(`/api/v1/breakage?ending=${new URL(page.url()).searchParams.get('open')}`)
  ).json()) as { line: { tag: string; cause: string } };
  expect(line).toMatchObject({ tag: number, cause: 'chips' });
});

test('a part came back: which edges cut it, and a cutter that is held back runs nowhere', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await cutting(send, 'BACK');
  await send('parts', { operation, parts: 5 });
  await page.goto('/held');
  await fill(page, { Job: 'J-BACK', 'Part number': 'three' });
  await page.getByRole('button', { name: 'Which edges cut it?' }).click();
  await expect(page.getByText(/“three” is no part/)).toBeVisible();
  await fill(page, { 'Part number': '3' });
  await page.getByRole('button', { name: 'Which edges cut it?' }).click();
  const tag = tagOf(page);
  await expect(tag.getByText(/with parts 1 to 5/)).toBeVisible();
  await tag.getByRole('button', { name: /^Hold E-\d{4} back/ }).click();
  await tag.getByRole('button', { name: 'Hold it back', exact: true }).click();
  await expect(said(page)).toContainText('is held back');
  await expect(page.getByText('must not run:').first()).toBeVisible();
  await page.goto(`/run/${String(operation)}`);
  // At the top, before the next part is begun, and at its T.
  await expect(page.getByRole('navigation', { name: 'Before the next part' })).toContainText(
    'Its cutter is held back: part 3 of J-BACK was complained of',
  );
  await expect(
    page.getByRole('listitem').getByText('Its cutter is held back: part 3 of J-BACK was complained of'),
  ).toBeVisible();
  await page.goto('/held');
  const held = page
    .getByRole('main')
    .getByText(/must not run:/)
    .last();
  await expect(held).toBeVisible();
  await page
    .getByRole('button', { name: /^Say what was found/ })
    .last()
    .click();
  await page.getByLabel('What was found').last().fill('edge whole under the loupe');
  await page.getByRole('button', { name: 'It may be used again' }).last().click();
  await expect(said(page)).toContainText('may be used again');
  await page.goto('/held?job=J-NONE&part=1');
  await expect(page.getByText('There is no job J-NONE here with that operation.')).toBeVisible();
});

test('what broke is taken down at the bench: its fragments are said there, and nothing waits for them', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'DOWN');
  await page.goto(`/rack?open=${String(number)}&do=down`);
  const tag = tagOf(page);
  await tag.getByRole('radio', { name: 'ended', exact: true }).click();
  await tag.getByLabel('Cutter goes to').selectOption('USED');
  await tag.getByLabel('How it ended').selectOption('broken');
  await tag.getByLabel('Fragments, where it broke').selectOption('recut');
  await tag.getByRole('button', { name: 'Take down' }).click();
  await expect(tag.getByText('recut by what is not said').first()).toBeVisible();
  await fill(tag, { 'Recut by, where they were not found (if known)': 'carbide 6 mm' });
  await tag.getByRole('button', { name: 'Take down' }).click();
  await expect(said(page)).toContainText('taken down');
  await page.goto(`/run/${String(operation)}`);
  await expect(page.getByText('was taken down').first()).toBeVisible();
  await expect(page.getByText(/Fragments/)).toHaveCount(0);
  // An address that says what is no end is answered, and says so.
  await page.goto('/end/A-0042?how=sulked');
  await expect(page.getByText(/how: “sulked”|sulked/).first()).toBeVisible();
  await expect(page.getByRole('radio', { name: 'broken' })).not.toBeChecked();
});

test('wear is read in a picture: two points on what is known, two on the land; it is kept with the reading', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'EDGE');
  await send('parts', { operation, parts: 3 });
  // Drawn for it: the body of a cutter 500 dots wide, an 8 mm one, and a dark land of 50 dots, which is 0.8 mm.
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="1000" height="600"><rect width="1000" height="600" fill="#fff"/>
    <rect x="250" y="100" width="500" height="450" fill="#ccc"/><rect x="300" y="300" width="400" height="50" fill="#333"/></svg>`;
  const buffer = await sharp(Buffer.from(drawing)).png().toBuffer();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/rack?open=${String(number)}&do=wear`);
  const tag = tagOf(page);
  await tag.getByText('from a picture').click();
  const picture = page.getByRole('region', { name: 'Wear in a picture' });
  const chosen = picture.getByLabel('A picture of the worn edge');
  await chosen.setInputFiles({ name: 'edge.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(picture).toContainText('This file is no picture that can be shown');
  await chosen.setInputFiles({ name: 'edge.png', mimeType: 'image/png', buffer });
  await picture.getByRole('button', { name: '4 ×' }).click();
  const points = picture.getByTestId('points');
  const point = async (x: number, y: number) => {
    const box = (await points.boundingBox())!;
    await points.click({ position: { x: (x / 1000) * box.width, y: (y / 600) * box.height } });
  };
  await expect(picture).toContainText('Point at one end of the known length');
  await point(250, 300);
  await point(750, 300);
  await point(500, 300);
  await point(500, 340);
  await expect(picture).toContainText(/The land is 0\.6[3-5]\d ±/);
  // Ten dots too short: moved there by the keyboard.
  await picture.getByRole('button', { name: 'where the worn land ends' }).press('Shift+ArrowDown');
  await expect(picture).toContainText(/The land is (0\.79|0\.80)\d ± 0\.0\d\d mm/);
  await fitsWidth(page);
  await picture.getByRole('button', { name: 'Use as flank wear' }).click();
  await expect(tag.getByLabel('Flank wear VB')).toHaveValue(/^0\.(79|80)\d$/);
  await expect(tag.getByLabel('It may be off by')).toHaveValue(/^0\.0\d\d$/);
  await tag.getByRole('button', { name: 'Record' }).click();
  await expect(tag.getByText(/VB 0\.(79|80)\d ± 0\.0\d\d/)).toBeVisible();
  const row = tag.getByRole('group', { name: 'Pictures of its edge' });
  await expect(row.getByRole('img')).toHaveCount(1);
  // 3 parts of 400 mm at 200 and 10 mm at 300.
  await expect(row).toContainText('6.1 min');
});

test('a T is changed after so many parts: its machine counts them and says when it is due', async ({
  page,
}) => {
  const send = sends(page);
  const { operation } = await cutting(send, 'RULE');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/run/${String(operation)}`);
  await page.getByRole('button', { name: /^T7 runs until a sign shows/ }).click();
  await fill(page, { 'After so many parts (if known)': '4' });
  await page.getByLabel('Chosen').selectOption('hand');
  await page.getByRole('button', { name: 'So it is changed' }).click();
  await expect(said(page)).toContainText('T7 is changed after 4 parts');
  await expect(page.getByText('To be changed after 4 more of 4 parts')).toBeVisible();
  await fitsWidth(page);
  await fill(page, { 'Material lot (if known)': 'H-9' });
  for (let more = 0; more < 3; more += 1)
    await page.getByRole('button', { name: 'one more' }).first().click();
  await page.getByRole('button', { name: 'Log parts' }).click();
  await expect(page.getByText('Change it now: 4 of 4 parts cut')).toBeVisible();
  // Counted in what its edge cut instead: the form keeps nothing of the parts, and says at once what a part takes.
  await expect(page.getByLabel('After so many parts (if known)')).toHaveValue('4');
  await fill(page, { 'After so many parts (if known)': '', 'Or after so much (if known)': '40' });
  await page.getByLabel('counted in').selectOption('holes');
  await page.getByRole('button', { name: 'So it is changed' }).click();
  await expect(page.getByText(/its program does not say how many holes a part takes/).first()).toBeVisible();
  await page.getByLabel('counted in').selectOption('minutes');
  await page.getByRole('button', { name: 'So it is changed' }).click();
  await expect(said(page)).toContainText('T7 is changed after 40.0 min');
  await expect(page.getByText(/To be changed after \d+ more parts, at 40.0 min/)).toBeVisible();
  await fitsWidth(page);
});

test('the shift is handed over with a note, printed, and taken over by initials', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Hand over' }).click();
  await expect(page.getByRole('heading', { name: 'Hand-over', exact: true })).toBeVisible();
  await fill(page, { 'A note for whoever takes over (if known)': 'BROKE-1: look at the nozzle' });
  await page.getByRole('button', { name: 'Hand over' }).click();
  await expect(page.getByText(/BROKE-1: look at the nozzle/).first()).toBeVisible();
  const sheet = await page.request.get('/api/v1/hand-over.pdf');
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
  await page.getByRole('button', { name: /^Take it over/ }).click();
  await expect(said(page)).toContainText('taken over from IK');
  await expect(page.getByText(/^since IK took over/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Hand over' })).toBeVisible();
});

test('what an edge cut is corrected log by log, and what was not logged is added; both are taken back where they stand', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'CUT');
  await send('parts', { operation, parts: 5 });
  await page.goto(`/rack?open=${String(number)}`);
  const tag = tagOf(page);
  await expect(tag.getByText(/^5 parts, 10\.\d min, 2\.[01] m$/).first()).toBeVisible();
  await tag.getByRole('button', { name: 'log by log' }).click();
  await tag.getByRole('button', { name: /^Correct what it cut at/ }).click();
  await fill(tag, { 'Minutes in the cut, in truth': '-3' });
  await tag.getByRole('button', { name: 'Correct it' }).click();
  await expect(tag.getByText(/at least 0/).first()).toBeVisible();
  await fill(tag, { 'Minutes in the cut, in truth': '7', 'Why (if known)': 'override at 140 %' });
  await tag.getByRole('button', { name: 'Correct it' }).click();
  await expect(said(page)).toContainText(`what ${String(number)} cut is corrected`);
  await expect(tag.getByText(/^5 parts, 7\.0 min, 2\.[01] m$/).first()).toBeVisible();

  await tag.getByRole('button', { name: 'it cut something that was not logged' }).click();
  await fill(tag, { 'Minutes in the cut (if known)': '3' });
  await tag.getByRole('button', { name: 'Add it' }).click();
  await expect(said(page)).toContainText('beside the logs is kept');
  await expect(tag.getByText('10.0 min', { exact: true }).first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
  await tag.getByRole('button', { name: 'Take back this correction' }).click();
  await expect(said(page)).toContainText('took back this correction');
  await expect(tag.getByText(/^5 parts, 10\.\d min, 2\.[01] m$/).first()).toBeVisible();
});

test('lives of a drill are counted in holes, and otherwise where that is asked', async ({ page }) => {
  await page.goto('/life?item=D12&material=C45');
  await expect(page.getByRole('img', { name: /share not yet failed against holes/ })).toBeVisible();
  await expect(tagOf(page).getByText(/^In holes, half had failed by/)).toBeVisible();
  await page.getByRole('link', { name: 'minutes in the cut' }).click();
  await expect(page.getByRole('img', { name: /against minutes in the cut/ })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
});

test('two cutters are tried by turns: who ends a life is offered whose turn it is, and the end says why', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'TRYA');
  await shelved(send, 'EM8-TRYB');
  await send('parts', { operation, parts: 4 });
  await page.goto('/life?item=EM8-TRYA&material=C45');
  const tag = tagOf(page);
  await tag.getByRole('button', { name: 'try another against EM8-TRYA' }).click();
  await tag.getByRole('combobox', { name: /^The other one/ }).fill('EM8-TRYB');
  await page
    .getByRole('option', { name: /^EM8-TRYB / })
    .first()
    .click();
  await expect(tag.getByText(/^6 of each tell one that lasts/)).toBeVisible();
  await fill(tag, { 'Failures of each': '4' });
  await tag.getByRole('button', { name: 'Begin the trial' }).click();
  await expect(said(page)).toContainText('EM8-TRYA tried against EM8-TRYB');
  const trial = page.getByRole('region', { name: /^TR-/ }).filter({ hasText: 'EM8-TRYB' });
  await expect(trial.getByText(/Cannot say yet: it goes on until 8 have failed/)).toBeVisible();
  await expect(trial.getByText('0 and 0 have begun')).toBeVisible();

  // What ran before it began is not in it: the first turn is the first's, of which none lies here; the other's lies.
  const spare = await send('stock/received', { item: 'EM8-TRYA', place: 'CAB1-C', quantity: 2 });
  expect(spare).toBeTruthy();
  await send('endings', { tag: number, kind: 'worn' });
  const { tag: second } = await send('assemblies', {
    cutter: { item: 'EM8-TRYA', place: 'CAB1-C' },
    holder: { item: 'EM8-TRYA-H', place: 'CAB1-C' },
    stickout: 30,
    for: { operation, t: 7 },
  });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/end/${String(second)}`);
  await page.getByRole('radio', { name: 'worn', exact: true }).check();
  await page.getByRole('radio', { name: 'another cutter into it' }).check();
  await expect(page.getByRole('combobox', { name: 'Cutter from' })).toHaveValue(/^EM8-TRYB: 1 unused/);
  await expect(page.getByText(/TR-\d+ in C45: EM8-TRYB goes in next/)).toBeVisible();
  await fitsWidth(page);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.goto('/life?item=EM8-TRYA&material=C45');
  await trial.getByRole('button', { name: /^end TR-/ }).click();
  await trial.getByRole('combobox', { name: /^Which one won/ }).selectOption('EM8-TRYB');
  await trial.getByRole('button', { name: 'End it' }).click();
  await expect(trial.getByText(/the lives do not say so/).first()).toBeVisible();
  await fill(trial, { Why: 'leaves the better wall' });
  await trial.getByRole('button', { name: 'End it' }).click();
  await expect(trial.getByText(/EM8-TRYB won; what lies of EM8-TRYA is used up first/)).toBeVisible();
  await trial.getByRole('button', { name: /^Take back the end of TR-/ }).click();
  await expect(trial.getByText('1 and 0 have begun')).toBeVisible();
});

test('two kinds of holders are tried by the lives of one cutter: the machine and the build say where the next one goes', async ({
  page,
}) => {
  const send = sends(page);
  const { operation, number } = await cutting(send, 'HOLT');
  await shelved(send, 'EM8-HOLU');
  for (const item of ['EM8-HOLT', 'EM8-HOLT-H'])
    await send('stock/received', { item, place: 'CAB1-C', quantity: 2 });
  await send('parts', { operation, parts: 4 });
  await page.goto('/life?item=EM8-HOLT&material=C45');
  const tag = tagOf(page);
  await tag.getByRole('button', { name: 'try another against EM8-HOLT' }).click();
  await tag.getByRole('radio', { name: 'two kinds of holders' }).check();
  // What is no holder is not offered, and without the other one nothing begins.
  await tag.getByRole('combobox', { name: /^The one/ }).fill('EM8-HOLT');
  await expect(page.getByRole('option', { name: /^EM8-HOLT / })).toHaveCount(0);
  await page.getByRole('option', { name: /^EM8-HOLT-H / }).click();
  await tag.getByRole('button', { name: 'Begin the trial' }).click();
  await expect(tag.getByText(/against is missing|is needed/).first()).toBeVisible();
  await tag.getByRole('combobox', { name: /^The other one/ }).fill('EM8-HOLU-H');
  await page.getByRole('option', { name: /^EM8-HOLU-H / }).click();
  await tag.getByRole('button', { name: 'Begin the trial' }).click();
  await expect(said(page)).toContainText('EM8-HOLT-H tried against EM8-HOLU-H');
  const trial = page.getByRole('region', { name: /^TR-/ }).filter({ hasText: 'EM8-HOLU-H' });
  await expect(trial.getByText('The next EM8-HOLT goes into EM8-HOLT-H')).toBeVisible();

  // What stands was built before it began: the one that is built next is the first of it, and then the other holder is due.
  await send('endings', { tag: number, kind: 'worn' });
  const next = await send('assemblies', {
    cutter: { item: 'EM8-HOLT', place: 'CAB1-C' },
    holder: { item: 'EM8-HOLT-H', place: 'CAB1-C' },
    ...{ stickout: 30, for: { operation, t: 7 } },
  });
  const says = /^TR-\d+ in C45: the next EM8-HOLT goes into EM8-HOLU-H$/;
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/run/${String(operation)}`);
  await expect(page.getByText(says)).toBeVisible();
  await fitsWidth(page);
  await send('parts', { operation, parts: 5, confirmed: true });
  await page.goto(`/end/${String(next.tag)}`);
  await page.getByRole('radio', { name: 'another cutter into it' }).check();
  await expect(page.getByText(says)).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`/rack?new=build&job=J-HOLT&operation=${String(operation)}&t=7`);
  await page.getByRole('combobox', { name: 'Cutter from' }).fill('EM8-HOLT');
  await page.getByRole('option', { name: /^EM8-HOLT: / }).click();
  await page.getByRole('combobox', { name: 'Holder from' }).fill('EM8-HOLT-H');
  await expect(
    page.getByRole('option', { name: /the next EM8-HOLT goes into EM8-HOLU-H/ }).first(),
  ).toBeVisible();
  await page.goto('/life?item=EM8-HOLT&material=C45');
  await expect(trial.getByText('1 and 0 have begun')).toBeVisible();
});

test('which of two pays is reckoned as it is typed, with what the lives leave open', async ({ page }) => {
  await page.goto('/life?item=EM14&material=C45&beside=EM14-U');
  const speeds = page.getByRole('region', { name: 'By cutting speed' });
  await expect(speeds).toContainText(/Taylor’s n 0\.\d+ \(.*\): a tenth faster lasts \d+ % less/);
  await expect(speeds).toContainText('nobody has cut it so slow here');
  await page.getByRole('button', { name: 'which pays, for a part?' }).click();
  const pays = page.getByRole('region', { name: 'Which pays' });
  await expect(pays.getByText(/is needed\.$/)).toBeVisible();
  await fill(pays, { 'The machine costs a minute': '0.9', 'Minutes a change takes': '4' });
  await fill(pays, { 'EM14: minutes in the cut a part': '3', 'EM14-U: minutes in the cut a part': '3' });
  // The dearer of the two lasts half as long again: with nothing bought once it pays from the first part on.
  await expect(pays.getByText('EM14-U pays, however many are made.').first()).toBeVisible();
  await fill(pays, { 'EM14-U: bought once': '180' });
  await expect(pays.getByText(/^EM14-U pays from \d+ parts on, the other below\.$/).first()).toBeVisible();
  await expect(pays.getByText(/^If EM14 lasts as long, and EM14-U as short, as is likely/)).toBeVisible();
  await fill(pays, { 'Chips of a part': '0' });
  await expect(pays.getByText(/^Chips of a part are cm³, more than 0/)).toBeVisible();
  await fill(pays, { 'Chips of a part': '45' });
  await expect(pays.getByText(/a litre of chips \d/).first()).toBeVisible();
  await expect(pays.getByRole('img', { name: /^What all parts cost by EM14 and by EM14-U/ })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
});
