import { defineConfig } from '@playwright/test';
import { chromiumHere } from './scripts/chromium.mjs';

const executablePath = chromiumHere();
if (!executablePath)
  throw new Error(
    'Chromium is needed: npm run test:e2e installs it on Debian, elsewhere install it and set STABLE_CHROMIUM.',
  );

export const DEMO = 'http://127.0.0.1:4311';
export const OWN = 'http://127.0.0.1:4312';
/** The demo’s key of full rights, for what is asked without a browser. */
export const DEMO_KEY = 'the-key-of-the-demo-in-these-tests';
/** A working morning, so that every run and every picture sees the same demo shop. */
export const NOW = '2027-01-12T09:00:00Z';

const server = (command: string, port: string, env: Record<string, string>) => ({
  command,
  url: `http://127.0.0.1:${port}/api/health`,
  env: {
    STABLE_DIST: '.next-test',
    PORT: port,
    STABLE_ZONE: 'Europe/Oslo',
    NEXT_TELEMETRY_DISABLED: '1',
    ...env,
  },
  timeout: 240_000,
  reuseExistingServer: false,
  gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 10_000 },
});

export default defineConfig({
  testDir: 'e2e',
  // What only reads the demo runs on both workers; after it what writes to the demo and what writes to a folder of its own,
  // each in its own order, and what starts servers wherever a worker is free.
  workers: 2,
  projects: [
    { name: 'reads', testMatch: ['views.spec.ts', 'programs.spec.ts'], fullyParallel: true },
    { name: 'own', testMatch: 'story.spec.ts', dependencies: ['reads'] },
    // Each starts a Stable of its own, on a port and a folder of its own: whichever worker is free takes the next.
    { name: 'starts', testMatch: 'server.spec.ts', fullyParallel: true, dependencies: ['reads'] },
    {
      name: 'writes',
      testMatch: [
        'broken.spec.ts',
        'changes.spec.ts',
        'holders.spec.ts',
        'builds.spec.ts',
        'measuring.spec.ts',
        'registers.spec.ts',
        'shelves.spec.ts',
        'together.spec.ts',
        'doors.spec.ts',
        'planning.spec.ts',
      ],
      dependencies: ['reads'],
      workers: 1,
    },
  ],
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? 'test-results/e2e.json' }],
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Oslo',
    launchOptions: {
      executablePath,
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
    },
  },
  webServer: [
    server('node scripts/demo.mjs --fresh', '4311', {
      STABLE_DEMO_FOLDER: '.stable/test-demo',
      STABLE_KEEP_DEMO: '.stable/kept-demo',
      STABLE_NOW: NOW,
      STABLE_DEMO_KEY: DEMO_KEY,
    }),
    server('node e2e/freshOwn.mjs', '4312', { STABLE_DATA: '.stable/test-own' }),
  ],
});
