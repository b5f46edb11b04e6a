import { DEMO } from '../playwright.config';
import { alertOf, AS_OWNER, expect, fill, patient, said, signIn, tagOf, test } from './help';

/** Two people at once, keys alone, and a connection that breaks. */
test.use({ baseURL: DEMO });

test('two people end the same life: one wins, the other is told what happened, nothing is booked twice', async ({
  browser,
}) => {
  const { assemblies } = (await (await fetch(`${DEMO}/api/v1/assemblies`, { headers: AS_OWNER })).json()) as {
    assemblies: { tag: string; measured: { state: string }; ties: { job: string }[] }[];
  };
  const tag = assemblies.find((a) => a.measured.state === 'measured' && a.ties.length === 1)!.tag;
  const pages = await Promise.all(
    ['TO', 'JB'].map(async (initials) => {
      const context = await browser.newContext();
      await signIn(context, initials);
      const page = patient(await context.newPage());
      await page.goto(`${DEMO}/end/${tag}`);
      await page.getByRole('radio', { name: 'worn', exact: true }).check();
      return page;
    }),
  );
  await pages[0]!.getByRole('button', { name: 'End this life' }).click();
  await expect(pages[0]!).toHaveURL(/run/);
  await pages[1]!.getByRole('button', { name: 'End this life' }).click();
  await expect(alertOf(pages[1]!).first()).toContainText(`${tag} was taken down`);
  await expect(pages[1]!.getByRole('radio', { name: 'worn', exact: true })).toBeChecked();
  const entries = (await (await fetch(`${DEMO}/api/v1/entries`, { headers: AS_OWNER })).json()) as {
    words: string;
  }[];
  expect(entries.filter((e) => e.words.includes(`of ${tag} ended`))).toHaveLength(1);
  await Promise.all(pages.map((p) => p.context().close()));
});

test('the last one on the shelf goes to one of two who build at once', async () => {
  const post = (path: string, body: Record<string, unknown>) =>
    fetch(`${DEMO}/api/v1/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...AS_OWNER },
      body: JSON.stringify({ who: 'IK', ...body }),
    });
  await post('items', {
    code: 'LAST',
    kind: 'cutter',
    family: 'square',
    facts: {
      DC: { value: '10', origin: 'maker' },
      DMM: { value: '10', origin: 'maker' },
      OAL: { value: '72', origin: 'maker' },
    },
  });
  await post('stock/received', { item: 'LAST', place: 'CAB1-A', quantity: 1 });
  await post('stock/received', { item: 'CC10-40', place: 'HOLD', quantity: 2 });
  const build = () =>
    post('assemblies', {
      cutter: { item: 'LAST', place: 'CAB1-A' },
      holder: { item: 'CC10-40', place: 'HOLD' },
      stickout: 34,
    });
  const statuses = (await Promise.all([build(), build(), build()])).map((r) => r.status).sort();
  expect(statuses).toEqual([201, 409, 409]);
});

test('a connection that breaks while writing: sent again, it is recorded once', async ({ page }) => {
  await page.goto('/cutters?open=EM6&do=receive');
  await fill(tagOf(page), { 'How many': '4' });
  const unused = tagOf(page).getByRole('definition').first();
  const before = Number(await unused.textContent());
  // The server gets the first write, but its answer never comes back.
  let lost = false;
  await page.route('**/*', async (route) => {
    if (!lost && route.request().method() === 'POST') {
      lost = true;
      await route.fetch();
      return route.abort();
    }
    return route.continue();
  });
  const receive = tagOf(page).getByRole('button', { name: 'Receive', exact: true });
  await receive.click();
  await expect(alertOf(page).first()).toContainText('No answer came');
  await expect(page.getByLabel('How many')).toHaveValue('4');
  await receive.click();
  await expect(said(page)).toContainText('4 × EM6');
  await expect(unused).toHaveText(String(before + 4));
});

test('keys alone: skip to the screen, the scan line, the keys’ own help, a line of work', async ({
  page,
}) => {
  await page.goto('/');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the screen' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  // The day of the machines comes first, then the lines of work.
  const first = page.getByRole('main').getByRole('listitem').first().getByRole('link').first();
  await expect(page.getByRole('main').getByRole('link').first()).toBeFocused();
  const focused = () => first.evaluate((e) => e === document.activeElement);
  for (let i = 0; i < 30 && !(await focused()); i += 1) await page.keyboard.press('Tab');
  await expect(first).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('region', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await expect(page.getByLabel('Scan or type a number')).toBeFocused();
  await page.keyboard.type('what?', { delay: 50 });
  await expect(page.getByLabel('Scan or type a number')).toHaveValue('what?');
});

test('a line that is pressed stays under the hand while other lines come', async ({ page }) => {
  await page.goto('/cutters', { waitUntil: 'networkidle' });
  const line = page.getByRole('link', { name: 'D12' });
  // The answer comes when the line is pressed.
  let press = () => {};
  const pressed = new Promise<void>((resolve) => (press = resolve));
  await page.route('**/api/v1/items?*', async (route) => {
    await pressed;
    await route.continue();
  });
  const answered = page.waitForResponse('**/api/v1/items?*');
  await page.getByLabel('Words to find').evaluate((field: HTMLInputElement) => {
    field.focus({ preventScroll: true });
    document.execCommand('insertText', false, 'drill');
  });
  // What typing moves by itself has moved: the field comes into view, and what can be done with a question.
  await expect(page.getByRole('button', { name: 'keep this question' })).toBeVisible();
  await line.hover();
  await page.mouse.down();
  press();
  await (await answered).finished();
  await page.waitForTimeout(300);
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: 'D12' })).toBeVisible();
});

test('the address holds the state: reloading and going back show the same', async ({ page }) => {
  await page.goto('/cutters');
  await page.getByLabel('Words to find').fill('drill');
  // The answer has come: the lines that are there stay where they are.
  await expect(page.getByRole('link', { name: 'BN8' })).toBeHidden();
  await page.getByRole('link', { name: 'D12' }).click();
  await expect(page.getByRole('heading', { name: 'D12' })).toBeVisible();
  await page.reload({ waitUntil: 'networkidle' });
  await expect(page.getByRole('heading', { name: 'D12' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'D12' })).toBeHidden();
});
