import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { type IncomingMessage, request as httpRequest } from 'node:http';
import { request as secureRequest } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

/** The processes themselves: settings, ownership of a folder, and how they end. */
const folder = () => mkdtempSync(join(tmpdir(), 'stable-e2e-'));
const env = (over: Record<string, string>): NodeJS.ProcessEnv => {
  const { STABLE_DATA: _data, STABLE_NOW: _now, STABLE_HOST: _host, PORT: _port, ...rest } = process.env;
  return { ...rest, STABLE_DIST: '.next-test', NODE_ENV: 'production', ...over };
};
const start = (over: Record<string, string>, script = 'scripts/start.mjs', args: string[] = []) =>
  spawnSync('node', [script, ...args], { env: env(over), encoding: 'utf8', timeout: 60_000 });

/** A folder whose database was made before: a first start takes ten seconds, and is tried where it is what matters. */
let begun: string | null = null;
function begunFolder(): string {
  const data = folder();
  if (begun === null) {
    begun = folder();
    const made = spawnSync('node', ['.next-test/stable-tools.cjs', 'begin', begun], { encoding: 'utf8' });
    expect(made.stderr + made.stdout).toContain('holds a database');
  }
  cpSync(begun, data, { recursive: true });
  return data;
}
test.afterAll(() => {
  if (begun !== null) rmSync(begun, { recursive: true });
  begun = null;
});

/** A test that fails leaves no server behind, which would take its port from the next run. */
const started: ChildProcess[] = [];
test.afterEach(() => started.splice(0).forEach((child) => child.kill('SIGTERM')));

async function running(over: Record<string, string>, ...args: string[]): Promise<ChildProcess> {
  const child = spawn('node', ['scripts/start.mjs', ...args], { env: env(over) });
  started.push(child);
  let out = '';
  await new Promise<void>((resolve, reject) => {
    const read = (chunk: Buffer) => {
      out += chunk.toString();
      if (out.includes('Stable is ready')) resolve();
    };
    child.stdout!.on('data', read);
    child.stderr!.on('data', read);
    child.on('exit', () => reject(new Error(out)));
  });
  return child;
}
/** The code for the first owner, which the log has a moment after the screen. */
async function codeOf(data: string): Promise<string> {
  const read = () =>
    /sign-in#code=(\S+)/.exec(readFileSync(join(data, 'log', 'stable.log'), 'utf8'))?.[1] ?? '';
  await expect.poll(read).not.toBe('');
  return read();
}

/** Becomes the owner of an own folder by the code in its log, as IK; the cookie of that sign-in. */
async function ownerAt(base: string, data: string): Promise<string> {
  const code = await codeOf(data);
  const answer = await fetch(`${base}/api/v1/sign-in/code`, {
    method: 'POST',
    headers: { origin: base, 'content-type': 'application/json' },
    body: JSON.stringify({
      code,
      who: 'IK',
      name: 'Ida',
      password: 'four mild wolves',
    }),
  });
  expect(answer.status).toBe(200);
  return answer.headers.getSetCookie()[0]!.split(';', 1)[0]!;
}
const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) => child.on('exit', (code) => resolve(code)));

for (const [name, over, message] of [
  ['PORT in words', { PORT: 'many' }, /PORT is “many”: a whole number from 1 to 65535/],
  ['PORT out of range', { PORT: '70000' }, /PORT is “70000”/],
  ['STABLE_HOST with a path', { STABLE_HOST: 'http://x' }, /STABLE_HOST is “http:\/\/x”/],
  ['STABLE_ZONE unknown', { STABLE_ZONE: 'Moon/Base' }, /STABLE_ZONE is “Moon\/Base”/],
  [
    'STABLE_NOW on an own folder',
    { STABLE_NOW: '2027-01-01T00:00:00Z' },
    /STABLE_NOW is for demo folders only/,
  ],
  [
    'STABLE_DEMO_KEY on an own folder',
    { STABLE_DEMO_KEY: 'k'.repeat(32) },
    /STABLE_DEMO_KEY opens demo folders only/,
  ],
  [
    'STABLE_URL that is none',
    { STABLE_URL: 'stable.example' },
    /STABLE_URL is “stable.example”: the address that people call/,
  ],
  ['STABLE_DATA below a file', { STABLE_DATA: '/dev/null/x' }, /cannot be made/],
  ['STABLE_DATA that is a file', { STABLE_DATA: 'package.json' }, /cannot be made/],
  ['STABLE_DATA where no folder can be', { STABLE_DATA: '/proc/stable/data' }, /cannot be made/],
] as const)
  test(`refused at start: ${name}`, () => {
    const data = folder();
    const { status, stderr } = start({ STABLE_DATA: data, PORT: '4321', ...over });
    expect(stderr).toMatch(message);
    expect(status).toBe(1);
    rmSync(data, { recursive: true });
  });

for (const [name, ...args] of [['under its supervisor'], ['alone', '--server']] as const)
  test(`what nobody reads any more is lost, and nothing else: ${name}`, async () => {
    const data = begunFolder();
    const port = args.length ? '4333' : '4334';
    const child = await running({ STABLE_DATA: data, PORT: port }, ...args);
    // As where the program that its words went to has ended.
    child.stdout!.destroy();
    child.stderr!.destroy();
    const health = async () => (await fetch(`http://127.0.0.1:${port}/api/health`)).status;
    expect(await health()).toBe(200);
    const over = ended(child);
    // It says so, to nobody, and ends all the same.
    child.kill('SIGTERM');
    expect(await over).toBe(0);
    rmSync(data, { recursive: true });
  });

test('npm start refuses a demo folder; the demo leaves a folder alone that it did not begin', () => {
  const data = folder();
  writeFileSync(join(data, 'demo.json'), '{"complete":true}');
  expect(start({ STABLE_DATA: data, PORT: '4321' }).stderr).toMatch(/is a demo folder/);
  rmSync(data, { recursive: true });
  const own = folder();
  writeFileSync(join(own, 'precious.txt'), 'x');
  for (const [over, message] of [
    [{ STABLE_HOST: '0.0.0.0', STABLE_PLAIN_HTTP: 'yes' }, /only ever serves this machine/],
    [{ STABLE_DEMO_KEY: 'short' }, /32 to 200 letters/],
  ] as const) {
    const refused = start(
      { STABLE_DEMO_FOLDER: '.stable/test-demo', PORT: '4321', ...over },
      'scripts/demo.mjs',
    );
    expect(refused.stderr).toMatch(message);
    expect(refused.status).toBe(1);
  }
  for (const args of [[], ['--fresh']]) {
    const { status, stderr } = start({ STABLE_DEMO_FOLDER: own, PORT: '4321' }, 'scripts/demo.mjs', args);
    expect(stderr).toMatch(/did not begin; it is left alone/);
    expect(status).toBe(1);
  }
  expect(existsSync(join(own, 'precious.txt'))).toBe(true);
  // The running demo's folder is locked: starting over is refused.
  const locked = start({ STABLE_DEMO_FOLDER: '.stable/test-demo', PORT: '4321' }, 'scripts/demo.mjs', [
    '--fresh',
  ]);
  expect(locked.stderr).toMatch(/is in use/);
  rmSync(own, { recursive: true });
});

test('one owner a folder; another host than loopback warns; SIGTERM lets a request finish; kill -9 leaves no lock', async () => {
  test.setTimeout(300_000);
  const data = folder();
  const settings = { STABLE_DATA: data, PORT: '4322', STABLE_ZONE: 'Europe/Oslo' };
  const first = await running(settings);
  const second = start({ ...settings, PORT: '4323' });
  expect(second.stderr).toMatch(/in use by another Stable process/);
  expect(second.status).toBe(1);
  const samePort = start({ ...settings, STABLE_DATA: begunFolder() });
  expect(samePort.stderr).toMatch(/Port 4322 is taken/);

  // A write whose body is still under way when SIGTERM comes is answered before the server goes.
  const cookie = await ownerAt('http://127.0.0.1:4322', data);
  const body = JSON.stringify({ initials: 'TO', name: 'Tor' });
  const answer = new Promise<number>((resolve, reject) => {
    const req = httpRequest(
      {
        host: '127.0.0.1',
        port: 4322,
        method: 'POST',
        path: '/api/v1/people',
        headers: {
          origin: 'http://127.0.0.1:4322',
          cookie,
          'content-type': 'application/json',
          'content-length': body.length,
        },
      },
      (res) => {
        res.resume();
        resolve(res.statusCode!);
      },
    );
    req.on('error', reject);
    req.write(body.slice(0, 10));
    setTimeout(() => {
      first.kill('SIGTERM');
      setTimeout(() => req.end(body.slice(10)), 700);
    }, 300);
  });
  expect(await answer).toBe(201);
  expect(await ended(first)).toBe(0);

  const again = await running({ ...settings, STABLE_HOST: '127.0.0.2' });
  const people = await new Promise<string>((resolve) =>
    httpRequest({ host: '127.0.0.2', port: 4322, path: '/api/v1/shop', headers: { cookie } }, (res) => {
      let text = '';
      res.on('data', (c) => (text += c));
      res.on('end', () => resolve(text));
    }).end(),
  );
  expect(people).toContain('"Tor"');
  const gone = ended(again);
  again.kill('SIGKILL');
  await gone;
  const after = await running(settings);
  const quiet = ended(after);
  after.kill('SIGTERM');
  expect(await quiet).toBe(0);
  rmSync(data, { recursive: true });
});

test('beyond this machine plain HTTP is refused unless it is asked for, and then warned of', async () => {
  const data = folder();
  const refused = start({ STABLE_DATA: data, PORT: '4324', STABLE_HOST: '0.0.0.0' });
  expect(refused.stderr).toMatch(/unencrypted.*STABLE_CERT.*STABLE_PLAIN_HTTP=yes/);
  expect(refused.status).toBe(1);
  const child = spawn('node', ['scripts/start.mjs'], {
    env: env({ STABLE_DATA: data, PORT: '4324', STABLE_HOST: '0.0.0.0', STABLE_PLAIN_HTTP: 'yes' }),
  });
  let out = '';
  const warned = new Promise<void>((resolve) =>
    child.stderr.on('data', (chunk: Buffer) => {
      out += chunk.toString();
      if (out.includes('0.0.0.0')) resolve();
    }),
  );
  await warned;
  const done = ended(child);
  child.kill('SIGTERM');
  await done;
  expect(out).toMatch(/over plain HTTP, as STABLE_PLAIN_HTTP asks/);
  rmSync(data, { recursive: true });
});

test('HTTPS by a certificate of its own: the cookie is bound to the host and goes over nothing else', async () => {
  const data = begunFolder();
  const cert = readFileSync('e2e/certificate/cert.pem', 'utf8');
  const settings = { STABLE_DATA: data, PORT: '4328', STABLE_CERT: 'e2e/certificate/cert.pem' };
  const alone = start(settings);
  expect(alone.stderr).toMatch(/STABLE_CERT and STABLE_CERT_KEY go together/);
  const wrong = start({ ...settings, STABLE_CERT_KEY: 'package.json' });
  expect(wrong.stderr).toMatch(/can’t be used.*PEM files that belong together/);
  const server = await running({ ...settings, STABLE_CERT_KEY: 'e2e/certificate/key.pem' });
  const code = await codeOf(data);
  const signedIn = await new Promise<IncomingMessage>((resolve, reject) => {
    const ask = secureRequest(
      {
        host: '127.0.0.1',
        port: 4328,
        method: 'POST',
        path: '/api/v1/sign-in/code',
        ca: cert,
        headers: { origin: 'https://127.0.0.1:4328', 'content-type': 'application/json' },
      },
      resolve,
    );
    ask.on('error', reject);
    ask.end(JSON.stringify({ code, who: 'IK', name: 'Ida', password: 'four mild wolves' }));
  });
  signedIn.resume();
  expect(signedIn.statusCode).toBe(200);
  expect(signedIn.headers['set-cookie']![0]).toMatch(
    /^__Host-stable_session=[\w-]{43}; Path=\/; HttpOnly; SameSite=Strict; Secure/,
  );
  expect(signedIn.headers['strict-transport-security']).toMatch(/max-age=31536000/);
  const done = ended(server);
  server.kill('SIGTERM');
  expect(await done).toBe(0);
  rmSync(data, { recursive: true });
});

test('a folder that can’t be opened says so in plain words, and nothing is written into it', async () => {
  test.setTimeout(240_000);
  const data = begunFolder();
  const settings = { STABLE_DATA: data, PORT: '4325', STABLE_ZONE: 'Europe/Oslo' };
  const first = await running(settings);
  const done = ended(first);
  first.kill('SIGTERM');
  expect(await done).toBe(0);
  // A bad copy: the file in which the database says what it is has gone.
  rmSync(join(data, 'pg', 'global', 'pg_control'));
  const damaged = start(settings);
  expect(damaged.status).toBe(1);
  expect(damaged.stderr).toMatch(
    /Stable did not start: The data folder .* can’t be opened.*put back the last copy/,
  );
  rmSync(data, { recursive: true });
});

test('killed while the demo is filled, it starts over by itself', async () => {
  test.setTimeout(240_000);
  const data = folder();
  const demo = (kill: boolean) =>
    new Promise<string>((resolve) => {
      const child = spawn('node', ['scripts/demo.mjs'], {
        env: env({
          STABLE_DEMO_FOLDER: data,
          STABLE_KEEP_DEMO: '.stable/kept-demo',
          STABLE_NOW: '2027-01-12T09:00:00Z',
          PORT: '4326',
        }),
        detached: true,
      });
      let out = '';
      const read = (chunk: Buffer) => {
        out += chunk.toString();
        if (out.includes('Stable is ready') || (kill && out.includes('Filling')))
          setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), kill ? 40 : 0);
      };
      child.stdout.on('data', read);
      child.stderr.on('data', read);
      child.on('exit', () => resolve(out));
    });
  expect(await demo(true)).not.toContain('Stable is ready');
  expect(await demo(false)).toContain('Stable is ready');
  rmSync(data, { recursive: true });
});

test('npm run backup copies a shop that runs, and one that does not; npm run restore puts it back', async () => {
  test.setTimeout(360_000);
  const data = begunFolder();
  const to = folder();
  const settings = { STABLE_DATA: data, PORT: '4327', STABLE_ZONE: 'Europe/Oslo' };
  const keep = (...args: string[]) => start(settings, 'scripts/keep.mjs', args);
  let cookie = '';
  const add = async (initials: string) => {
    const reply = await fetch('http://127.0.0.1:4327/api/v1/people', {
      method: 'POST',
      headers: { origin: 'http://127.0.0.1:4327', cookie, 'content-type': 'application/json' },
      body: JSON.stringify({ initials, name: initials }),
    });
    expect(reply.status).toBe(201);
  };
  const people = async () =>
    (await fetch('http://127.0.0.1:4327/api/v1/shop', { headers: { cookie } })).text();
  const stop = async (server: ChildProcess) => {
    const done = ended(server);
    server.kill('SIGTERM');
    expect(await done).toBe(0);
  };
  const first = await running(settings);
  cookie = await ownerAt('http://127.0.0.1:4327', data);
  const made = keep('backup', to);
  expect(made.stderr).toBe('');
  const [, backup = ''] = /^(\S+): entries to 2, opened and compared/.exec(made.stdout) ?? [];
  expect(existsSync(join(backup, 'backup.json'))).toBe(true);
  await add('BO');
  // What runs is not written over.
  expect(keep('restore', backup).stderr).toMatch(/in use by another Stable process/);
  await stop(first);
  expect(keep('check').stdout).toMatch(/All books and files agree/);
  const archive = join(to, 'all.zip');
  expect(keep('archive', archive).stdout).toMatch(/as open files/);
  const other = { ...settings, STABLE_DATA: join(to, 'other') };
  expect(start(other, 'scripts/keep.mjs', ['bring-in', archive]).stdout).toMatch(
    /entries to 3, compared with what went out/,
  );
  expect(start(other, 'scripts/keep.mjs', ['bring-in', archive]).stderr).toMatch(/holds something already/);
  expect(keep('backup', to, '--keep', '5').stdout).toMatch(/entries to 3, opened and compared/);
  expect(keep('restore', backup, '--dry-run').stdout).toMatch(/It would restore .*entries to 2/);
  const done = keep('restore', backup);
  expect(done.stdout).toMatch(/Restored .*entries to 2.*What was there before is kept as/);
  const again = await running(settings);
  expect(await people()).toContain('"IK"');
  expect(await people()).not.toContain('"BO"');
  await stop(again);
  expect(keep('restore', to).stderr).toMatch(/is no backup/);
  expect(keep('backup').status).toBe(1);
  for (const f of [data, to, /kept as (\S+?)\.?\s*$/.exec(done.stdout)?.[1] ?? ''])
    rmSync(f, { recursive: true, force: true });
});
