// Refreshes docs/screenshots from a demo shop of its own: npm run pictures. One picture of each main view.
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromiumHere } from './chromium.mjs';
import { ROOT } from './prepare.mjs';

const BASE = 'http://127.0.0.1:4315';
const PICTURES = [
  ['today', '/'],
  ['rack', '/rack?open=QUESTION'],
  [
    'build',
    '/rack?new=build',
    { fill: { 'Cutter from': 'EM6-LN', 'Holder from': 'CC32-40', 'Collet 32': 'C32-6', Stickout: '34' } },
  ],
  ['cutters', '/cutters?open=CR12-2'],
  ['choose', '/choose?feature=pocket&depth=20&corner=5&group=P&stock=3'],
  ['holders', '/holders?open=H-0001'],
  ['registers', '/registers?machine=HORI-3'],
  ['pockets', '/pockets?machine=MILL-2&open=4'],
  ['job', '/jobs?open=J-3120&t=3'],
  ['program', '/jobs?open=J-3120&do=program&line=112'],
  ['setup', '/jobs?open=J-4417&do=sheet'],
  ['kit', '/jobs?open=J-3120&do=kit'],
  [
    'bench',
    '/cutting?show=bench&recipe=R-0002',
    {
      typed: {
        'Stands out, mm': '42',
        'May bend, mm': '0.02',
        'Spindle gives, kW': '5.5',
        ...{ 'Depth, This cut': '6', 'Width, This cut': '8' },
        ...{ 'Speed, Beside it': '180', 'Feed, Beside it': '0.12' },
        ...{ 'Depth, Beside it': '28', 'Width, Beside it': '1.6' },
      },
    },
  ],
  ['life', '/life'],
  // The demo is the same on any day: so is the number of what broke in it.
  ['broken', '/breakages?by=tool%20line&open=259'],
  ['buying', '/buying?open=EM8', { open: 'because' }],
  ['measure', '/measure?tag=A-0052', { viewport: { width: 390, height: 844 } }],
  ['run', '/run/1', { viewport: { width: 390, height: 844 } }],
  ['end', '/end/QUESTION', { viewport: { width: 390, height: 844 } }],
];

const out = join(ROOT, 'docs', 'screenshots');
mkdirSync(out, { recursive: true });
const server = spawn('node', ['scripts/demo.mjs', '--fresh'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: {
    ...process.env,
    PORT: '4315',
    STABLE_DEMO_FOLDER: join(ROOT, '.stable', 'pictures'),
    STABLE_KEEP_DEMO: join(ROOT, '.stable', 'kept-demo'),
    STABLE_NOW: '2027-01-12T09:00:00Z',
    STABLE_ZONE: 'Europe/Oslo',
  },
});
const answers = () =>
  fetch(`${BASE}/api/health`).then(
    (r) => r.ok,
    () => false,
  );
while (!(await answers())) {
  if (server.exitCode !== null) process.exit(1);
  await new Promise((resolve) => setTimeout(resolve, 500));
}
// Whatever goes wrong, the server does not stay behind.
process.on('exit', () => server.kill('SIGTERM'));
process.on('unhandledRejection', (error) => {
  console.error(error);
  process.exit(1);
});
const signedIn = await fetch(`${BASE}/api/v1/sign-in/demo`, {
  method: 'POST',
  headers: { origin: BASE, 'content-type': 'application/json' },
  body: JSON.stringify({ who: 'IK' }),
});
const cookie = signedIn.headers.getSetCookie()[0].split(';', 1)[0];
const signIn = (context) =>
  context.addCookies([{ name: cookie.split('=')[0], value: cookie.split('=')[1], url: BASE }]);
const { assemblies } = await (await fetch(`${BASE}/api/v1/assemblies`, { headers: { cookie } })).json();
const tagOf = (state) => assemblies.find((a) => a.measured.state === state && a.ties.length).tag;

const browser = await chromium.launch({
  executablePath: chromiumHere(),
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-quic',
  ],
});
for (const [name, path, options = {}] of PICTURES) {
  const { fill = {}, typed = {}, open, measured, ...context } = options;
  const at = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Oslo',
    ...context,
  });
  await signIn(at);
  const page = await at.newPage();
  await page.goto(BASE + path.replace('QUESTION', tagOf(measured ? 'measured' : 'in question')), {
    waitUntil: 'networkidle',
  });
  for (const [label, value] of Object.entries(fill)) {
    const field = page.getByRole('complementary', { name: 'Tag' }).getByLabel(label).first();
    if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption(value);
    else if ((await field.getAttribute('role')) === 'combobox') {
      await field.fill(value);
      await page.getByRole('option', { name: value }).first().click();
    } else await field.fill(value);
  }
  for (const [label, value] of Object.entries(typed))
    await page.getByLabel(label, { exact: true }).fill(value);
  if (open) await page.getByRole('complementary', { name: 'Tag' }).getByText(open, { exact: true }).click();
  await page.screenshot({ path: join(out, `${name}.png`) });
  console.log(name);
  await at.close();
}
await browser.close();
process.exit(0);
