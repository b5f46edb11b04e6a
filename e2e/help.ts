import { type BrowserContext, test as base, expect, type Locator, type Page } from '@playwright/test';
import { DEMO, DEMO_KEY } from '../playwright.config';

/**
 * A page that is gone to, or drawn anew, is used once it is alive: what is typed, tapped or gone back from before that
 * a browser on a busy machine may lose, and no person is that quick.
 */
export function patient(page: Page): Page {
  const alive = () =>
    page.waitForFunction(
      () => document.documentElement.dataset.alive === 'yes' || !document.querySelector('#middle'),
    );
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  page.goto = async (...args) => {
    const answer = await goto(...args);
    await alive();
    return answer;
  };
  page.reload = async (...args) => {
    const answer = await reload(...args);
    await alive();
    return answer;
  };
  return page;
}
/** What a program of full rights sends. */
export const AS_OWNER = { authorization: `Bearer ${DEMO_KEY}` };

/** Writes as a program of full rights does, for what a test needs to be there; gives back the answer. */
export const sends =
  (page: Page) =>
  async (path: string, data: object): Promise<Record<string, unknown>> => {
    const answer = await page.request.post(`/api/v1/${path}`, {
      headers: AS_OWNER,
      data: { who: 'IK', ...data },
    });
    expect(answer.ok(), await answer.text()).toBe(true);
    return (await answer.json()) as Record<string, unknown>;
  };

/** An 8 mm cutter and a holder of 60 for it, one of each on a shelf, by a program; what a build of them takes. */
export async function shelved(
  send: ReturnType<typeof sends>,
  code: string,
  /** What its cutter has besides. */
  more: Record<string, string> = {},
): Promise<Record<'cutter' | 'holder', { item: string; place: string }>> {
  const maker = (value: string) => ({ value, origin: 'maker' });
  const facts = {
    ...{ DC: maker('8'), DMM: maker('8'), LCF: maker('20'), OAL: maker('63') },
    SUBSTRATE: maker('carbide'),
    ...Object.fromEntries(Object.entries(more).map(([symbol, value]) => [symbol, maker(value)])),
  };
  await send('items', { code, kind: 'cutter', family: 'square', facts });
  const holds = { CCMS: maker('40 taper'), LF: maker('60'), CLAMP_MIN: maker('8'), CLAMP_MAX: maker('8') };
  await send('items', { code: `${code}-H`, kind: 'holder', facts: holds });
  for (const item of [code, `${code}-H`])
    await send('stock/received', { item, place: 'CAB1-C', quantity: 1 });
  const at = (item: string) => ({ item, place: 'CAB1-C' });
  return { cutter: at(code), holder: at(`${code}-H`) };
}

/** A sign-in of one of the demo’s people: the name and the value of its cookie. */
export async function sessionOf(who: string): Promise<[name: string, value: string]> {
  const answer = await fetch(`${DEMO}/api/v1/sign-in/demo`, {
    method: 'POST',
    headers: { origin: DEMO, 'content-type': 'application/json' },
    body: JSON.stringify({ who }),
  });
  const [name, value] = answer.headers.getSetCookie()[0]!.split(';', 1)[0]!.split('=');
  return [name!, value!];
}

/** Signs a browser in to the demo as one of its people, as a tap on its first page does. */
export async function signIn(context: BrowserContext, who = 'IK'): Promise<void> {
  const [name, value] = await sessionOf(who);
  await context.addCookies([{ name, value, url: DEMO, httpOnly: true, sameSite: 'Strict' }]);
}

export const test = base.extend<object, { reading: Page }>({
  // On the demo somebody is signed in, as at any screen of the shop in the morning.
  context: async ({ context, baseURL }, give) => {
    if (baseURL === DEMO) await signIn(context);
    await give(context);
  },
  page: async ({ page }, give) => give(patient(page)),
  /**
   * A page of the demo that one worker's reading tests share, for what leaves nothing behind in the browser: its
   * scripts and fonts are fetched and compiled once, as at a hatch where Stable stays open all day.
   */
  reading: [
    async ({ browser }, give) => {
      const context = await browser.newContext({
        baseURL: DEMO,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        timezoneId: 'Europe/Oslo',
      });
      await signIn(context);
      await give(patient(await context.newPage()));
      await context.close();
    },
    { scope: 'worker' },
  ],
});
export { expect };

/** Fills fields of a form by their labels; a choice is picked by its value. */
export async function fill(scope: Page | Locator, values: Record<string, string>): Promise<void> {
  // On a page: the middle of the screen, since the scan line has a label of its own.
  const within = 'goto' in scope ? scope.getByRole('main') : scope;
  for (const [label, value] of Object.entries(values)) {
    const field = within.getByLabel(label, { exact: false }).first();
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption(value);
    else if ((await field.getAttribute('role')) === 'combobox') await find(field, value);
    else if ((await field.getAttribute('role')) === 'group') await typeDay(field, value);
    else await field.fill(value);
  }
}

/** Finds in a searched choice by words and takes the first that is found with them in its title. */
async function find(field: Locator, words: string): Promise<void> {
  await field.fill(words);
  await field.page().getByRole('option', { name: words }).first().click();
}

/** Types a day into the parts of its field: year, month, day. */
async function typeDay(group: Locator, iso: string): Promise<void> {
  await group.getByRole('spinbutton').first().click();
  await group.page().keyboard.type(iso.replaceAll('-', ''));
  await expect(group.locator('input')).toHaveValue(iso);
}

/** What the scan line says. */
export const said = (page: Page): Locator => page.getByRole('search').getByRole('status');

/** The tag beside the screen. */
export const tagOf = (page: Page): Locator => page.getByRole('complementary', { name: 'Tag' });

/** What came up on the screen or its tag because of what was done; the framework announces new pages elsewhere. */
export const alertOf = (page: Page): Locator => page.locator('main, aside').getByRole('alert');

/** The page has no sideways scroll: everything fits the width. */
export async function fitsWidth(page: Page): Promise<void> {
  const [content, window] = await page.evaluate(() => [document.documentElement.scrollWidth, innerWidth]);
  expect(content).toBeLessThanOrEqual(window!);
}

/** Whoever is at the screen is somebody else now. */
export async function signAs(page: Page, initials: string): Promise<void> {
  await signIn(page.context(), initials);
  await page.reload();
}

/**
 * A scan as a keyboard wedge sends it: characters and Enter without pause. A key's time stamp is when the wedge sent
 * it, not when a busy page came round to it, so all of them are made before the first is handled.
 */
export async function scan(page: Page, text: string): Promise<void> {
  await page.evaluate((code) => {
    const target = document.activeElement ?? document.body;
    const events = [...code, 'Enter'].map(
      (key) => new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
    );
    for (const event of events) {
      const { key } = event;
      const taken = !target.dispatchEvent(event);
      // The browser would type the character into the field that has the focus.
      if (!taken && key.length === 1 && target instanceof HTMLInputElement) {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(
          target,
          target.value + key,
        );
        target.dispatchEvent(new Event('input', { bubbles: true }));
      }
    }
  }, text);
}
