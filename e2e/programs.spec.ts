import { readFileSync } from 'node:fs';
import { DEMO } from '../playwright.config';
import { expect, fitsWidth, test } from './help';

/** Programs as the page reads them: the demo shop's own cover, changed as a post-processor or a hand would change it. */
test.use({ baseURL: DEMO });
const COVER = readFileSync('demo/programs/stainless-cover.nc', 'utf8');
const dropped = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('a changed program is read where it is dropped: what is wrong in it, and what is other than before', async ({
  page,
}) => {
  await page.goto('/jobs?open=J-3120');
  const before = await page.request.get('/api/v1/entries').then((r) => r.text());
  const changed = COVER.replace('G43 H5', 'G43 H8').replace('R5 Z-12 F300', 'R5 Z-14 F240');
  await page.getByLabel('Choose the program’s file').setInputFiles(dropped('cover-2.nc', changed));
  const says = page.getByRole('region', { name: 'What cover-2.nc says' });
  await expect(says).toContainText('nothing is stored yet');
  const line = 1 + changed.slice(0, changed.indexOf('G43 H8')).split('\n').length - 1;
  await expect(says).toContainText(`T5: H8 is called while T5 is in the spindle, line ${line}`);
  const tap = says.getByRole('row').filter({ hasText: 'TAP M8' });
  await expect(tap).toContainText('lowest feeding Z −14.00, was −12.00');
  // Four holes of 19 in and out at 240 and not of 17 at 300.
  await expect(tap).toContainText('min in the cut 0.63, was 0.45');
  await expect(says.getByRole('row').filter({ hasText: 'SQUARE 8' })).toContainText('as before');
  await expect(says.getByRole('region', { name: 'Its path' }).locator('[data-drawn=true]')).toBeVisible();
  // It lies in the editor to be stored, and nothing is.
  await expect(page.getByLabel('Paste the NC program')).toContainText('O3120');
  expect(await page.request.get('/api/v1/entries').then((r) => r.text())).toBe(before);
});

test('what stands below the pictures of a path stays where it is when they come', async ({ page }) => {
  // Whoever draws them takes a while to begin, as on a slow machine.
  await page.addInitScript(() => {
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, ...said: [unknown]) {
      setTimeout(() => post.apply(this, said), 1500);
    };
  });
  await page.goto('/jobs?open=J-3120');
  await page.getByLabel('Choose the program’s file').setInputFiles(dropped('cover-3.nc', COVER));
  const path = page
    .getByRole('region', { name: 'What cover-3.nc says' })
    .getByRole('region', { name: 'Its path' });
  await expect(path).toBeVisible();
  const drawn = path.locator('[data-drawn=true]');
  expect(await drawn.count()).toBe(0);
  const height = () => path.evaluate((e) => Math.round(e.getBoundingClientRect().height));
  const before = await height();
  await expect(drawn).toBeVisible();
  // A border, and a breadth that is no whole number of dots.
  expect(Math.abs((await height()) - before)).toBeLessThanOrEqual(2);
  expect(before).toBeGreaterThan(150);
});

test('a file that is dropped before the editor has come lies in it when it comes', async ({ page }) => {
  let go = () => {};
  const late = new Promise<void>((resolve) => (go = resolve));
  await page.goto('/jobs');
  // The editor comes in a script of its own, which waits.
  await page.route('**/_next/static/chunks/**', async (route) => {
    await late;
    await route.continue();
  });
  await page.getByRole('link', { name: 'J-3120' }).click();
  await page.getByLabel('Choose the program’s file').setInputFiles(dropped('cover-3.nc', COVER));
  await expect(page.getByText('The editor is on its way')).toBeVisible();
  go();
  await expect(page.getByLabel('Paste the NC program')).toContainText('O3120');
});

test('a program of 120 MB is read beside the page, which goes on, and can be stopped', async ({ page }) => {
  await page.goto('/jobs?open=J-3120');
  const file = await page.evaluateHandle(() => {
    const lines = 'X12.345 Y67.891\nG1 X10.5 Y3.25 Z-1.5 F600\n'.repeat(2_000);
    const dropped = new DataTransfer();
    dropped.items.add(
      new File(
        Array.from({ length: 1_400 }, () => lines),
        'long.nc',
      ),
    );
    return dropped;
  });
  const place = page.getByText('or drop it here');
  await place.dispatchEvent('drop', { dataTransfer: file });
  const bar = page.getByRole('progressbar', { name: 'Reading long.nc' });
  await expect(bar).toBeVisible();
  // The page answers the hand while it is read.
  await page.getByPlaceholder(/Scan, or type/).fill('EM8');
  await expect(page.getByPlaceholder(/Scan, or type/)).toHaveValue('EM8');
  await page.getByRole('button', { name: 'Stop reading' }).click();
  await expect(bar).toHaveCount(0);
  // A small one is read right after it.
  await page.getByLabel('Choose the program’s file').setInputFiles(dropped('cover.nc', COVER));
  await expect(page.getByRole('region', { name: 'What cover.nc says' })).toContainText('as before');
});

test('the program beside what it says: a line that is pointed at is shown, and its address can be given away', async ({
  page,
}) => {
  await page.goto('/jobs?open=J-3120');
  await page.getByRole('link', { name: 'Its program' }).click();
  await page.getByRole('button', { name: /TAP M8/ }).click();
  const hole = COVER.split('\n').findIndex((l) => l.includes('G84')) + 1;
  await page
    .getByRole('link', { name: String(hole), exact: true })
    .first()
    .click();
  const shown = page.locator('.cm-shown');
  await expect(shown).toHaveText('G98 G84 X10 Y10 R5 Z-12 F300');
  await expect(shown).toBeInViewport();
  // Whoever gets the address sees the same line, with its tool unfolded.
  await page.goto(page.url());
  await expect(page.locator('.cm-shown')).toBeInViewport();
  await expect(page.getByText('4 holes, from R line 112')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
  await expect(page.locator('.cm-shown')).toBeVisible();
});

test('its path is drawn: a tool is shown alone, and a place in either picture is a way to its line', async ({
  page,
}) => {
  await page.goto('/jobs?open=J-3120&do=program');
  const path = page.getByRole('region', { name: 'Its path' });
  const isDrawn = path.locator('[data-drawn=true]');
  await expect(isDrawn).toBeVisible();
  await expect(path.getByRole('img', { name: /^Z over .* down to −15.00 mm/ })).toBeVisible();
  const pictures = path.locator('canvas, svg[role=img]');
  const where = () =>
    pictures.evaluateAll((all) => all.map((one) => one.getBoundingClientRect().top + scrollY));
  const stood = await where();
  await path.getByRole('button', { name: 'T8' }).click();
  // While another tool is drawn, and after it, the pictures stay where they are.
  expect(await where()).toEqual(stood);
  await expect(isDrawn).toBeVisible();
  expect(await where()).toEqual(stood);
  // What the tap cuts is drawn in ink, the rest faint: the first place of it from above is a hole.
  const canvas = path.locator('canvas');
  const inInk = () =>
    canvas.evaluate((drawn: HTMLCanvasElement) => {
      const { width, height } = drawn;
      const { data } = drawn.getContext('2d')!.getImageData(0, 0, width, height);
      const ink = /(\d+), (\d+), (\d+)/
        .exec(
          (() => {
            const probe = document.body.appendChild(document.createElement('i'));
            probe.style.color = 'var(--accent)';
            const { color } = getComputedStyle(probe);
            probe.remove();
            return color;
          })(),
        )!
        .slice(1)
        .map(Number);
      for (let at = 0; at < width * height; at += 1)
        if (data[4 * at + 3] === 255 && ink.every((c, i) => data[4 * at + i] === c))
          return { x: (at % width) / width, y: Math.floor(at / width) / height };
      return null;
    });
  await expect.poll(inInk).not.toBeNull();
  const place = (await inInk())!;
  const box = (await canvas.boundingBox())!;
  await page.mouse.move(box.x + place.x * box.width, box.y + place.y * box.height + 2);
  await expect(path).toContainText(/line 11[2-5], Z −12.00/);
  await page.mouse.down();
  await page.mouse.up();
  await expect(page.locator('.cm-shown')).toHaveText(/G84 |^[XY][18]0$/);
  await expect(page).toHaveURL(/line=11[2-5]/);
  // The last that is done in the program's time is the tap's as well.
  const chart = path.getByRole('img', { name: /^Z over/ });
  const time = (await chart.boundingBox())!;
  await page.mouse.move(time.x + time.width * 0.985, time.y + time.height / 2);
  await expect(path).toContainText(/line \d+, T8, Z/);
});

test('what is no program says so where it is dropped', async ({ page }) => {
  await page.goto('/jobs?open=J-3120');
  await page
    .getByLabel('Choose the program’s file')
    .setInputFiles(dropped('letter.txt', 'dear diary, today we milled'));
  const says = page.getByRole('region', { name: 'What letter.txt says' });
  await expect(says).toContainText('No tool change was found in it: is it the right file?');
  await expect(says).toContainText('No more in it: T3, T2, T5, T8.');
});

test('what is pasted is read without being stored as well, as it stands in the field', async ({ page }) => {
  await page.goto('/jobs?open=J-3120');
  const field = page.getByLabel('Paste the NC program');
  await field.fill(COVER.replace('T8 M6', 'T8 M6 (TAP M8 OF THE SHELF)').replace('M30', 'G187 P3\nM30'));
  await page.getByRole('button', { name: 'Only read it' }).click();
  const says = page.getByRole('region', { name: 'What pasted says' });
  await expect(says.getByRole('row').filter({ hasText: 'T8' })).toContainText('TAP M8 OF THE SHELF');
  await says.getByRole('button', { name: /One word not understood/ }).click();
  await expect(says).toContainText('G187');
  await expect(field).toContainText('OF THE SHELF');
});
