import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backOff } from './supervise.mjs';

/** The supervisor as it is, over small servers that do one thing each. Each start leaves a line in `starts`. */
const folder = mkdtempSync(join(tmpdir(), 'stable-supervise-'));
afterAll(() => rmSync(folder, { recursive: true }));
const root = process.cwd();
let n = 0;
/** What a server of such a body does under supervision, until it ends or `until` says to end it. */
async function supervised(body, { limits = {}, until } = {}) {
  n += 1;
  const data = join(folder, `data${n}`);
  const script = join(folder, `server${n}.mjs`);
  const starts = join(folder, `starts${n}`);
  writeFileSync(
    script,
    `import { appendFileSync, readFileSync } from 'node:fs';
     const nth = readFileSync(${JSON.stringify(starts)}, 'utf8').length + 1;
     // Counted once it listens to signals: on a busy machine it is else told to end before it can hear it.
     let counted = false;
     const started = () => { if (!counted) appendFileSync(${JSON.stringify(starts)}, 'x'); counted = true; };
     process.on('exit', started);
     const beat = (rss = 1) => process.send({ beat: true, rss });
     process.on('disconnect', () => process.exit(0));
     ${body}
     started();`,
  );
  writeFileSync(starts, '');
  const main = join(folder, `main${n}.mjs`);
  writeFileSync(
    main,
    `import { supervise } from ${JSON.stringify(join(root, 'scripts', 'supervise.mjs'))};
     process.exit(await supervise(${JSON.stringify(script)}, { data: ${JSON.stringify(data)}, limits: ${JSON.stringify(limits)}, wait: (s) => s * 20 }));`,
  );
  const child = spawn('node', [main], { cwd: root });
  let said = '';
  child.stdout.on('data', (c) => (said += c));
  child.stderr.on('data', (c) => (said += c));
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve(code ?? signal)));
  const count = () => (existsSync(starts) ? readFileSync(starts, 'utf8').length : 0);
  if (until) {
    const late = Date.now() + 20_000;
    while (!until({ said, starts: count(), child }) && Date.now() < late)
      await new Promise((r) => setTimeout(r, 50));
    child.kill('SIGTERM');
  }
  const code = await ended;
  return { code, said, starts: count(), data, child };
}

it('what never ran is not tried again: what it says is why', async () => {
  const { code, said, starts } = await supervised(`console.error('Port 3000 is taken'); process.exit(1);`);
  expect([code, starts]).toEqual([1, 1]);
  expect(said).toContain('Port 3000 is taken');
});

it('what ends after it ran is started again, and told to end it ends with its own code', async () => {
  const { code, starts, said } = await supervised(
    `beat(); setInterval(beat, 100); if (nth < 3) setTimeout(() => process.exit(9), 50);
     process.on('SIGTERM', () => process.exit(0));`,
    { until: (s) => s.starts >= 3 },
  );
  expect([code, starts]).toEqual([0, 3]);
  expect(said).toContain('the server ended (code 9); started again in 1 s');
  expect(said).toContain('started again in 2 s');
});

it('what is stuck, deaf to everything, is ended and started anew', async () => {
  const { starts, said } = await supervised(
    `beat(); process.on('SIGTERM', () => process.exit(0));
     if (nth === 1) setTimeout(() => { for (;;); }, 50); else setInterval(beat, 100);`,
    { limits: { stuckS: 1 }, until: (s) => s.starts >= 2 },
  );
  expect(starts).toBe(2);
  expect(said).toContain('it has not moved for 1 s');
});

it('after the machine slept, what did not move meanwhile is given its time', async () => {
  let slept = 0;
  const { starts, said } = await supervised(
    `beat(); setInterval(beat, 100); process.on('SIGTERM', () => process.exit(0));`,
    {
      limits: { stuckS: 2 },
      until: (s) => {
        if (s.starts >= 1 && slept === 0) {
          slept = Date.now();
          setTimeout(() => s.child.kill('SIGSTOP'), 500);
          setTimeout(() => s.child.kill('SIGCONT'), 5_000);
        }
        return slept > 0 && Date.now() - slept > 7_500;
      },
    },
  );
  expect([starts, said]).toEqual([1, '']);
});

it('what takes too much memory is started anew', async () => {
  const { starts, said } = await supervised(
    `process.on('SIGTERM', () => process.exit(0)); setInterval(() => beat(nth === 1 ? 2e9 : 1), 100);`,
    { until: (s) => s.starts >= 2 },
  );
  expect(starts).toBe(2);
  expect(said).toContain('it takes 2000 MB of memory');
});

it('what will not end when it is told is ended', async () => {
  const { code } = await supervised(`process.on('SIGTERM', () => {}); setInterval(beat, 100);`, {
    limits: { endS: 1 },
    until: (s) => s.starts >= 1 && s.starts < 9,
  });
  expect([1, 'SIGTERM']).toContain(code);
});

it('keeps a log beside the data, in pieces', async () => {
  const { data } = await supervised(
    `beat(); for (let i = 0; i < 30000; i += 1) console.log('x'.repeat(99));
     setInterval(beat, 100); process.on('SIGTERM', () => process.exit(0)); setTimeout(() => console.log('all said'), 500);`,
    { until: (s) => s.said.includes('all said') },
  );
  const pieces = readdirSync(join(data, 'log'));
  expect(pieces.length).toBeGreaterThan(1);
  expect(pieces.length).toBeLessThanOrEqual(6);
  expect(pieces).toContain('stable.log');
});

it('waits longer each time, up to a minute', () =>
  expect([1, 2, 3, 4, 7, 20].map(backOff)).toEqual([1, 2, 4, 8, 60, 60]));
