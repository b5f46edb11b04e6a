import { chromium, type Page } from '@playwright/test';
import { chromiumHere } from '../scripts/chromium.mjs';
import { startStable, type Stable } from '../torture/server';

const HUNG = 500;
const FEW = 50;
const maker = (value: string) => ({ value, origin: 'maker' });

/** A shop whose rack is full: 500 assemblies, 50 of them with a cutter of their own to be found by. */
async function fullRack(stable: Stable): Promise<void> {
  const send = async (path: string, body: object) => {
    const answer = await stable.post(path, { who: 'IK', ...body });
    if (answer.status >= 300) throw new Error(`${path}: ${answer.status} ${answer.text}`);
  };
  await send('places', { code: 'S1', name: 'Shelf 1', kind: 'shelf' });
  const facts = { DC: maker('10'), DMM: maker('10'), LCF: maker('22'), OAL: maker('72'), NOF: maker('4') };
  for (const code of ['EM10', 'FEW10'])
    await send('items', { code, kind: 'cutter', family: 'square', facts });
  await send('items', {
    ...{ code: 'SL10', kind: 'holder' },
    facts: { CCMS: maker('40 taper'), LF: maker('60'), CLAMP_MIN: maker('10'), CLAMP_MAX: maker('10') },
    segments: [
      { length: 20, upper: 63, lower: 63 },
      { length: 40, upper: 44, lower: 32 },
    ],
  });
  for (const item of ['EM10', 'FEW10', 'SL10'])
    await send('stock/received', { item, place: 'S1', quantity: HUNG });
  for (let i = 0; i < HUNG; i += 1)
    await send('assemblies', {
      cutter: { item: i < FEW ? 'FEW10' : 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: 30 + (i % 12),
    });
}

/** Milliseconds between frames while a rack is scrolled from its top to its end and back, 90 px a frame. */
async function frames(page: Page, url: string, hung: number): Promise<number[]> {
  await page.goto(url, { waitUntil: 'networkidle' });
  const there = await page
    .getByRole('group', { name: /^Rack, to scale/ })
    .getByRole('link')
    .count();
  if (there !== hung) throw new Error(`${there} hang on the rack, not ${hung}`);
  return page.evaluate(async () => {
    // What the page scrolls: the window, or the part that is taller than it shows.
    const all = [
      document.scrollingElement!,
      ...document.querySelectorAll('main, #middle, [class*="middle"]'),
    ];
    const box = all.find((e) => e.scrollHeight > e.clientHeight + 200) ?? document.scrollingElement!;
    const taken: number[] = [];
    let last = await new Promise<number>(requestAnimationFrame);
    for (const way of [90, -90])
      for (let i = 0; i < 120; i += 1) {
        box.scrollTop += way;
        const now = await new Promise<number>(requestAnimationFrame);
        taken.push(now - last);
        last = now;
      }
    return taken;
  });
}
const share = (list: readonly number[], of: number): number =>
  list.toSorted((a, b) => a - b)[Math.floor(list.length * of)] ?? NaN;

/** How smoothly a full rack scrolls in the browser, against one with a tenth of it. */
export async function benchScroll(say: (name: string, ratio: number, note: string) => void): Promise<void> {
  const stable = await startStable();
  const browser = await chromium.launch({
    executablePath: chromiumHere(),
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    await fullRack(stable);
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const [name, value] = stable.cookie.split('=');
    await context.addCookies([{ name: name ?? '', value: value ?? '', url: stable.url }]);
    const page = await context.newPage();
    const few = await frames(page, `${stable.url}/rack?find=FEW10`, FEW);
    const all = await frames(page, `${stable.url}/rack`, HUNG);
    say(
      `a frame while the rack of ${HUNG} is scrolled, p95 / that of ${FEW}`,
      share(all, 0.95) / share(few, 0.95),
      `p50 ${share(all, 0.5).toFixed(1)}, p80 ${share(all, 0.8).toFixed(1)}, p95 ${share(all, 0.95).toFixed(1)} ms, longest ${Math.max(...all).toFixed(1)}; of ${FEW} ${share(few, 0.95).toFixed(1)}`,
    );
  } finally {
    await browser.close();
    await stable.end();
  }
}
