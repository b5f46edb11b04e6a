import { get } from 'node:http';
import AxeBuilder from '@axe-core/playwright';
import { DEMO } from '../playwright.config';
import { alertOf, expect, fitsWidth, said, scan, signAs, signIn, tagOf, test } from './help';

test.use({ baseURL: DEMO });

const VIEWS = [
  ['Today', '/'],
  ['Cutters', '/cutters?open=EM8'],
  ['A cutter’s figure', '/cutters?open=CR12-2&show=figure&fact=RE'],
  ['Add a cutter', '/cutters?new=cutter&family=square'],
  ['Backups', '/keeping'],
  ['Places', '/places?open=CAB1'],
  ['A count sheet', '/places?show=counts&sheet=C-0001'],
  ['Who has what', '/places?show=loans'],
  ['All stock', '/places?show=stock&open=CAB1-C'],
  ['Suppliers’ own', '/places?show=theirs'],
  ['Second lives', '/cutters?show=ladder'],
  ['Choose', '/choose?feature=pocket&depth=20&corner=5&group=P'],
  ['Lists in and out', '/exchange'],
  ['Rack', '/rack'],
  ['Rack with a tag', '/rack?job=J-4417&open=A-0044'],
  ['Holders', '/holders?open=H-0001'],
  ['Build', '/rack?new=build'],
  ['A build sheet', '/sheets?open=BS-1'],
  ['Build from a sheet', '/sheets?open=BS-2&do=build'],
  ['Machines', '/machines?open=MILL-2'],
  ['Pockets', '/pockets?machine=MILL-2&open=4'],
  ['Measure', '/measure?tag=A-0052'],
  ['A certificate', '/machines?what=gauge&open=BORE-20'],
  ['Jobs', '/jobs'],
  ['A job', '/jobs?open=J-3120&t=3'],
  ['A program', '/jobs?open=J-3120&do=program&line=112'],
  ['A setup sheet', '/jobs?open=J-4417&do=sheet'],
  ['Writing a setup sheet', '/jobs?open=J-4417&do=write'],
  ['A kit', '/jobs?open=J-3120&do=plan&t=3'],
  ['Other numbers for tools', '/jobs?open=J-4417&do=numbers'],
  ['The calendar', '/jobs?do=calendar'],
  ['Cutting', '/cutting?open=R-0002'],
  ['A recipe stated', '/cutting?new=recipe'],
  ['The bench', '/cutting?show=bench&recipe=R-0002'],
  ['Life', '/life'],
  ['Broken', '/breakages?by=month'],
  ['Held', '/held?open=Q-0001'],
  ['A part that came back', '/held?job=J-4417&part=137'],
  ['Hand-over', '/shift'],
  ['Buying', '/buying?open=EM8'],
  ['Entries', '/history'],
  ['Start', '/start?step=machine'],
  ['Run', '/run/1'],
  ['Alone', '/run/1/alone'],
] as const;

/** The rules of which a finding can be serious: those of WCAG, and the best practices that are. Only findings are kept. */
const SERIOUS = {
  runOnly: { type: 'tag' as const, values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] },
  rules: Object.fromEntries(
    ['accesskeys', 'aria-dialog-name', 'aria-text', 'aria-treeitem-name', 'label-title-only', 'tabindex'].map(
      (rule) => [rule, { enabled: true }],
    ),
  ),
  resultTypes: ['violations' as const],
};

for (const [name, path] of VIEWS)
  test(`${name}: fits, nothing lies over another, no serious finding by axe, light and dark`, async ({
    reading: page,
  }) => {
    const errors: string[] = [];
    const hear = (e: Error) => errors.push(e.message);
    page.on('pageerror', hear);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    for (const scheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme: scheme });
      await expect(page.locator('html')).toHaveAttribute('data-scheme', scheme);
      // Colours that still change over are neither.
      await page.evaluate(() => Promise.all(document.getAnimations().map((a) => a.finished)));
      await fitsWidth(page);
      expect(await overlaps(page)).toEqual([]);
      // In the second scheme nothing but colours is another.
      // No page of ours holds another: axe may run in the page itself and needs none beside it.
      const axe = new AxeBuilder({ page }).setLegacyMode();
      const { violations } = await (
        scheme === 'dark' ? axe.withRules(['color-contrast']) : axe.options(SERIOUS)
      ).analyze();
      expect(
        violations
          .filter((v) => v.impact === 'serious' || v.impact === 'critical')
          .map((v) => `${scheme}: ${v.id}: ${v.nodes[0]?.html.slice(0, 120)}`),
      ).toEqual([]);
    }
    page.off('pageerror', hear);
    expect(errors).toEqual([]);
  });

/** Buttons, links, fields and texts of the drawing that lie over one another. */
async function overlaps(page: import('@playwright/test').Page): Promise<string[]> {
  return page.evaluate(() => {
    const shown = [
      ...document.querySelectorAll<Element>(
        'main button, main a:not(svg a), main input, main svg text, aside button, aside input, aside select',
      ),
    ]
      // A table's buttons that show only under the pointer lie over nothing until then.
      .filter((e) => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }))
      .map((e) => ({ e, r: e.getBoundingClientRect() }))
      .filter(({ r }) => r.width > 0 && r.height > 0 && r.top < innerHeight);
    const found: string[] = [];
    for (const [i, a] of shown.entries())
      for (const b of shown.slice(i + 1)) {
        if (a.e.contains(b.e) || b.e.contains(a.e)) continue;
        const x = Math.min(a.r.right, b.r.right) - Math.max(a.r.left, b.r.left);
        const y = Math.min(a.r.bottom, b.r.bottom) - Math.max(a.r.top, b.r.top);
        if (x > 2 && y > 3)
          found.push(`${a.e.textContent?.slice(0, 30)} over ${b.e.textContent?.slice(0, 30)}`);
      }
    return found;
  });
}

test.describe('390 px', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test.beforeEach(({ reading }) => reading.setViewportSize({ width: 390, height: 844 }));
  test.afterEach(({ reading }) => reading.setViewportSize({ width: 1280, height: 800 }));
  for (const path of [
    '/run/1',
    '/run/1/alone',
    '/end/A-0042',
    '/',
    '/rack?open=A-0042',
    '/sheets?open=BS-2&do=build',
    '/pockets?machine=MILL-2',
    '/measure',
    '/registers?machine=MILL-2',
    '/cutters?open=EM8&do=return',
    '/places?open=CAB1',
  ])
    test(`${path}: fits the phone`, async ({ reading: page }) => {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      await fitsWidth(page);
    });
  for (const path of ['/run/1', '/run/1/alone', '/end/A-0042'])
    test(`${path}: every button, and every pick with its words, is large enough for a thumb`, async ({
      reading: page,
    }) => {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      const targets = page.locator(
        'main button:visible, main a:visible, main label:has(input[type=radio], input[type=checkbox])',
      );
      expect(await targets.count()).toBeGreaterThan(2);
      const small = await targets.evaluateAll((all) =>
        all
          // A link in a line of words is as high as its line; one that is a button is not.
          .filter((e) => e.tagName !== 'A' || getComputedStyle(e).display === 'inline-flex')
          .filter((e) => e.getBoundingClientRect().height < 43.5)
          .map((e) => e.textContent),
      );
      expect(small).toEqual([]);
    });
  test('the areas are a tap away', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Areas' }).click();
    await page.getByRole('link', { name: 'Jobs' }).click();
    await expect(page).toHaveURL(/jobs/);
  });
});

test('a scan opens what it names on any screen; inside a field it is what that field asks for', async ({
  page,
}) => {
  await page.goto('/cutters');
  await scan(page, 'A-0042');
  await expect(page).toHaveURL(/rack\?open=A-0042/);
  await expect(said(page)).toContainText('A-0042 opened beside the rack');
  await scan(page, 'A-0042');
  await expect(page.getByRole('heading', { name: 'Measure A-0042' })).toBeVisible();
  const length = page.getByLabel('Gauge length');
  await length.fill('119.9');
  await length.focus();
  // An order is no length: the field keeps what it had, and nothing is sent.
  await scan(page, 'O-0001');
  await expect(said(page)).toContainText('O-0001 is no figure');
  await expect(length).toHaveValue('119.9');
  await scan(page, '120.05');
  await expect(length).toHaveValue('120.05');
  // Outside the field it would take the form away: only the same scan again does.
  await length.blur();
  await scan(page, 'O-0001');
  await expect(said(page)).toContainText('not sent yet');
  await expect(length).toHaveValue('120.05');
  await scan(page, 'O-0001');
  await expect(page).toHaveURL(/buying\?order=O-0001/);
});

test('a scan into the catalogue’s words is those words', async ({ page }) => {
  await page.goto('/cutters');
  const field = page.getByLabel('Words to find');
  await field.fill('drill');
  await field.focus();
  await scan(page, 'D6.8');
  await expect(field).toHaveValue('D6.8');
  await expect(page).toHaveURL(/cutters/);
});

/** Forms with a searched field: the page, what brings the field up, its label, what is scanned, and what is then chosen. */
const SEARCHED: [path: string, first: string | null, label: string, code: string, chosen: RegExp][] = [
  ['/rack?new=build', null, 'Cutter from', 'CH12-90', /^CH12-90: /],
  ['/rack?new=build', null, 'Holder from', 'SH8-40', /^SH8-40: /],
  ['/end/A-0042', 'another cutter into it', 'Cutter from', 'CH12-90', /^CH12-90: /],
  ['/buying?new=order', null, 'What', 'C32-6', /^C32-6$/],
  ['/buying?new=kept', null, 'What', 'C32-6', /^C32-6$/],
];
for (const [path, first, label, code, chosen] of SEARCHED)
  test(`${path}, ${label}: a scan at 5, 30 and 100 ms a key chooses what it names, under a slow server, and sends nothing`, async ({
    reading: page,
  }) => {
    const asked = /\/api\/v1\/(takeable|items)\?/;
    await page.route(asked, async (route) => {
      await new Promise((done) => setTimeout(done, 450));
      // What was asked last may still wait when the test is done with the page.
      await route.continue().catch(() => undefined);
    });
    for (const gap of [5, 30, 100]) {
      await page.goto(path);
      if (first) await page.getByRole('radio', { name: first }).check();
      const field = page.getByRole('combobox', { name: label });
      await field.click();
      // What is listed first answers to no words: Enter must not take its first line.
      await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
      await field.press('Control+a');
      await page.keyboard.type(code, { delay: gap });
      await page.keyboard.press('Enter');
      await expect(field).toHaveValue(chosen);
      await expect(alertOf(page)).toHaveCount(0);
      expect(page.url()).toContain(path);
    }
    await page.unroute(asked);
  });

test('what is typed before the page is alive is there when it is, and the form has heard of it', async ({
  browser,
}) => {
  const context = await browser.newContext({ baseURL: DEMO });
  await signIn(context);
  const page = await context.newPage();
  await page.route('**/_next/static/**/*.js', async (route) => {
    await new Promise((done) => setTimeout(done, 2500));
    await route.continue().catch(() => undefined);
  });
  await page.goto('/machines?what=supplier&open=NORDKANT', { waitUntil: 'commit' });
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Nordkant AS');
  expect(await page.evaluate(() => document.documentElement.dataset.alive)).toBeUndefined();
  await page.waitForFunction(() => document.documentElement.dataset.alive === 'yes');
  await expect(name).toHaveValue('Nordkant AS');
  // A form that has heard of it is not thrown away by a scan.
  await name.blur();
  await scan(page, 'O-0001');
  await expect(said(page)).toContainText('not sent yet');
  await expect(name).toHaveValue('Nordkant AS');
  await context.close();
});

test('another tag opens at its top, and its next step comes into sight', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 500 });
  await page.goto('/cutters?open=EM8');
  const tag = tagOf(page);
  await tag.getByRole('link', { name: 'State facts' }).click();
  await expect(tag.getByRole('heading', { name: 'State facts anew' })).toBeInViewport();
  await tag.evaluate((e) => e.scrollTo(0, 600));
  await page.getByRole('link', { name: 'BN8', exact: true }).click();
  await expect(tag.getByRole('heading', { name: 'BN8' })).toBeInViewport();
});

test('a dead end opens the field that answers it, filled with what is known', async ({ page }) => {
  await page.goto('/cutters?open=EM8&do=facts&fact=supply');
  const tag = tagOf(page);
  await expect(tag.getByLabel('Supplier')).toHaveValue('NORDKANT');
  await expect(tag.getByLabel('Supplier')).toBeFocused();
  await expect(tag.getByLabel('Order code')).toHaveValue('NO-EM8');
  await expect(tag.getByLabel('DC cutting')).toHaveCount(0);
});

test('slow typing is typing: it stays in the field', async ({ page }) => {
  await page.goto('/cutters');
  await page.getByLabel('Words to find').pressSequentially('EM8', { delay: 60 });
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Words to find')).toHaveValue('EM8');
  await expect(page).toHaveURL(/cutters/);
});

test('the catalogue is searched by words and by symbol ranges', async ({ page }) => {
  await page.goto('/cutters');
  await page.getByLabel('Words to find').fill('drill DC 6..8');
  await expect(page.getByRole('link', { name: 'D6.8' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'D12' })).toBeHidden();
  // The head, D6.8 and the letter drill F of 0.257 in, 6.53 mm.
  await expect(page.getByRole('row')).toHaveCount(3);
});

test('a milling cutter’s tag says what it leaves: ridge and diameter are tried there', async ({ page }) => {
  await page.goto('/cutters?open=BN8');
  const tag = tagOf(page);
  // Ball of 8: ridge at 0.5 is 4 − √(16 − 0.0625) = 0.008; at 0.3 deep it cuts as 2 √(0.3 · 7.7) = 3.04
  await tag.getByLabel('Ridge at a stepover of').fill('0.5');
  await tag.getByLabel('Cuts as Ø at a depth of').fill('0.3');
  await expect(tag.getByText('0.008', { exact: false })).toBeVisible();
  await expect(tag.getByText('3.04', { exact: false })).toBeVisible();
  await tag.getByLabel('Ridge at a stepover of').fill('9');
  await expect(tag.getByText('more than 0, at most DC 8.00')).toBeVisible();
});

test('new figures of a machine begin with those in force: nothing is lost by leaving it as it stands', async ({
  page,
}) => {
  await page.goto('/machines?open=HORI-3&do=figures');
  const figures = async () => {
    const shop = (await (await page.request.get('/api/v1/shop')).json()) as {
      machines: Record<string, unknown>[];
    };
    const {
      figuresEntryId: _entry,
      figuresSince: _since,
      ...rest
    } = shop.machines.find((m) => m.code === 'HORI-3')!;
    return rest;
  };
  const before = await figures();
  await tagOf(page).getByRole('button', { name: 'State figures' }).click();
  await expect(said(page)).toContainText('HORI-3: registers follow');
  expect(await figures()).toEqual(before);
});

test('one click swaps the unit; an inch cutter shows in inches as it was entered', async ({ page }) => {
  await page.goto('/cutters?open=EM-1%2F2');
  await expect(tagOf(page).getByText('12.70').first()).toBeVisible();
  await page.getByRole('button', { name: /Lengths in mm/ }).click();
  await expect(tagOf(page).getByText('1/2 in', { exact: true }).first()).toBeVisible();
});

test('the label prints at 50 x 25 mm with number and code; blank until measured', async ({ page }) => {
  await page.goto('/print/A-0042');
  await page.emulateMedia({ media: 'print' });
  const label = page.getByTestId('label');
  await expect(label).toContainText('A-0042');
  await expect(label.locator('svg').first()).toBeVisible();
  await expect(label.getByRole('img', { name: 'Drawing of A-0042' })).toBeVisible();
  const box = (await label.boundingBox())!;
  // CSS: 96 px to the inch
  expect(box.width).toBeCloseTo((50 / 25.4) * 96, 0);
  expect(box.height).toBeCloseTo((25 / 25.4) * 96, 0);
  // Two registers and their days fit it too: a number that is cut off would be entered.
  const whole = () =>
    label.evaluate((e) => e.scrollHeight <= e.clientHeight + 1 && e.scrollWidth <= e.clientWidth + 1);
  expect(await whole()).toBe(true);
  await page.goto('/print/A-0005');
  await expect(label).toContainText('HORI-3');
  expect(await whole()).toBe(true);
  const rack = (await (await page.request.get('/api/v1/assemblies')).json()) as {
    assemblies: { tag: string; measured: { state: string } }[];
  };
  const unmeasured = rack.assemblies.find((a) => a.measured.state === 'not measured')!;
  await page.goto(`/print/${unmeasured.tag}`);
  await expect(page.getByTestId('label').locator('.line b').first()).toHaveText('');
});

test('dark and light can be chosen, and stay', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Dark' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
});

test('who may not do something reads who may, before they try', async ({ page }) => {
  await signIn(page.context(), 'VH');
  await page.goto('/cutters?open=EM8&do=receive');
  const receive = tagOf(page).getByRole('button', { name: 'Receive', exact: true });
  await expect(receive).toBeDisabled();
  await expect(tagOf(page).getByText('Done here by owner or crib.')).toBeVisible();
  await signAs(page, 'JB');
  await expect(receive).toBeEnabled();
});

test('a sign-in that has ended is said, and what was typed stays and is sent after the next', async ({
  page,
  context,
}) => {
  await page.goto('/cutters?open=EM8&do=receive');
  await page.getByLabel('How many').fill('3');
  const receive = tagOf(page).getByRole('button', { name: 'Receive', exact: true });
  const [cookie] = await context.cookies();
  // Signed out from elsewhere.
  await page.request.post('/api/v1/sign-out', { headers: { origin: DEMO }, data: {} });
  await context.addCookies([cookie!]);
  await receive.click();
  await expect(alertOf(page).first()).toContainText('sign-in has ended');
  await expect(page.getByLabel('How many')).toHaveValue('3');
  await signIn(context, 'JB');
  await receive.click();
  await expect(said(page)).toContainText('3 × EM8');
});

test('no page wants a script or a style that its own policy forbids', async ({ page }) => {
  const refused: string[] = [];
  page.on('console', (said) => {
    if (/Content Security Policy/.test(said.text())) refused.push(`${page.url()} ${said.text()}`);
  });
  for (const path of [
    '/',
    '/cutters',
    '/jobs?open=J-3120',
    '/rack?open=A-0042',
    '/life',
    '/print/A-0042',
    '/people',
    '/keeping',
  ])
    await page.goto(path, { waitUntil: 'networkidle' });
  expect(refused).toEqual([]);
});

test('a thing that is gone says so', async ({ page }) => {
  await page.goto('/end/A-9999');
  await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
  // Nor is an operation that is no number an error of the server.
  await page.goto('/run/none');
  await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
});

/** Bytes of the body of an answer as they come to a browser: compressed, where they are worth it. */
const sentBytes = (url: URL) =>
  new Promise<number>((resolve, reject) =>
    get(url, { headers: { 'accept-encoding': 'gzip, deflate, br' } }, (answer) => {
      let bytes = 0;
      answer.on('data', (chunk: Buffer) => (bytes += chunk.length));
      answer.on('error', reject);
      answer.on('end', () =>
        answer.statusCode === 200 ? resolve(bytes) : reject(new Error(`${url}: ${answer.statusCode}`)),
      );
    }).on('error', reject),
  );

test('the script of a first view is at most 300 kB, compressed as it comes: a page brings its own screen', async ({
  page,
}) => {
  // What the page itself asks for; what its script fetches later, such as the grid, comes after the first view. No browser
  // need draw it: the sizes are those of what the server sends to one.
  const sizes = new Map<string, Promise<number>>();
  for (const path of [
    '/',
    '/rack',
    '/jobs',
    '/cutting',
    '/life',
    '/buying',
    '/choose',
    '/cutters',
    '/places?show=stock',
    '/run/1',
    '/end/A-0042',
    '/breakages',
    '/held',
    '/shift',
  ]) {
    const html = await (await page.request.get(path)).text();
    // A browser of today leaves out what is there for those that know no modules.
    const tags = [...html.matchAll(/<script[^>]* src="([^"]+)"[^>]*>/g)];
    const asked = new Set(tags.filter(([tag]) => !/nomodule/i.test(tag)).map(([, src]) => src!));
    for (const src of asked) if (!sizes.has(src)) sizes.set(src, sentBytes(new URL(src, DEMO)));
    const all = await Promise.all([...asked].map((src) => sizes.get(src)!));
    const kilobytes = all.reduce((sum, bytes) => sum + bytes, 0) / 1000;
    expect.soft(kilobytes, path).toBeGreaterThan(50);
    expect.soft(kilobytes, path).toBeLessThanOrEqual(300);
  }
});

test('a cutter is held beside another of its material, and what was foretold beside what came', async ({
  page,
}) => {
  await page.goto('/life?item=EM8&material=C45');
  const beside = page.getByRole('region', { name: 'Beside another' });
  await beside.getByRole('link', { name: 'CR10-05' }).click();
  await expect(page).toHaveURL(/beside=CR10-05/);
  await expect(beside.getByText('EM8 lasts, against CR10-05')).toBeVisible();
  await expect(beside).toContainText(/lasts longer|Cannot say which/);
  await expect(page.getByRole('region', { name: 'Foretold, and what came' })).toContainText(
    /Of \d+ lives that began since .* fell inside/,
  );
  await page.goto('/life?item=EM8&material=C45&beside=SL8-40');
  await expect(beside).toContainText('SL8-40 has no lives in Carbon steel C45 to hold beside it');
  await page.setViewportSize({ width: 390, height: 844 });
  await fitsWidth(page);
});

test('when a change pays is asked for at the machine, and taken by a tap; nothing is sent', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/run/1');
  await page.getByText('T1 runs until a sign shows').click();
  await page.getByRole('button', { name: 'when would a change pay?' }).first().click();
  const pays = page.getByRole('button', { name: /^\d+ parts: costs least, saves/ });
  const parts = /^\d+/.exec((await pays.textContent()) ?? '')?.[0] ?? '';
  await pays.click();
  await expect(page.getByLabel('After so many parts').first()).toHaveValue(parts);
  await fitsWidth(page);
});

test('holes that were measured stand between their limits, with how many are left', async ({ page }) => {
  await page.goto('/rack?open=A-0011');
  const tag = tagOf(page);
  await expect(tag.getByRole('img', { name: /^Holes of A-0011, measured/ })).toBeVisible();
  await expect(tag.getByText(/about \d+ more/)).toBeVisible();
  await expect(tag.getByText('hole 5.037 for H12')).toBeVisible();
});
