import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A Stable of its own: a process on a folder and a port of its own, as npm start starts it. */
export interface Stable {
  url: string;
  folder: string;
  /** The sign-in of its owner. */
  cookie: string;
  process: ChildProcess;
  /** What it has printed. */
  said: () => string;
  post: (path: string, body: unknown) => Promise<Reply>;
  get: (path: string) => Promise<Reply>;
  /** Most memory it had at once since the last time this was asked, MB, looked at ten times a second. */
  peakMegabytes: () => number;
  end: (signal?: NodeJS.Signals) => Promise<void>;
}
export interface Reply {
  status: number;
  ms: number;
  text: string;
}

/** A body that was made bytes: text as it is, anything else as JSON. Made beforehand it holds up nobody who measures. */
export class Sendable {
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
  constructor(body: unknown) {
    this.type = typeof body === 'string' ? 'text/plain' : 'application/json';
    this.bytes = new TextEncoder().encode(typeof body === 'string' ? body : JSON.stringify(body));
  }
}

/** What the owner of each signs in with. */
export const PASSWORD = 'four mild wolves';
/** Sign-ins by the folder they are kept in: a Stable that starts anew on it knows them still. */
const sessions = new Map<string, string>();

/** Whoever has a code signs in by it: the first owner by the one that the start prints. The cookie of that sign-in. */
async function signInByCode(url: string, code: string, who: string, name: string): Promise<string> {
  const answer = await fetch(`${url}/api/v1/sign-in/code`, {
    method: 'POST',
    headers: { origin: url, 'content-type': 'application/json' },
    body: JSON.stringify({ code, who, name, password: PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${who} did not come in: ${answer.status} ${await answer.text()}`);
  return answer.headers.getSetCookie()[0]?.split(';', 1)[0] ?? '';
}

/** What somebody asks of a Stable, by the cookie of their sign-in. */
function asking(url: string, cookie: string): Pick<Stable, 'get' | 'post'> {
  const ask = async (path: string, init: RequestInit): Promise<Reply> => {
    const begun = performance.now();
    const reply = await fetch(url + path, { ...init, signal: AbortSignal.timeout(120_000) });
    const text = await reply.text();
    return { status: reply.status, ms: performance.now() - begun, text };
  };
  return {
    get: (path) => ask(path, { headers: { cookie } }),
    post: (path, body) => {
      const sent = body instanceof Sendable ? body : new Sendable(body);
      return ask(`/api/v1/${path}`, {
        method: 'POST',
        headers: { origin: url, 'content-type': sent.type, cookie },
        body: sent.bytes,
      });
    },
  };
}

/** Another owner of a Stable, with a sign-in of their own. */
export async function anotherOwner(stable: Stable, who: string, name: string) {
  await stable.post('people', { who: 'IK', initials: who, name });
  await stable.post('people/roles', { who: 'IK', person: who, role: 'owner' });
  const { code } = JSON.parse((await stable.post('people/codes', { person: who })).text) as { code: string };
  return asking(stable.url, await signInByCode(stable.url, code, who, name));
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

export const newFolder = (): string => mkdtempSync(join(tmpdir(), 'stable-torture-'));

export async function startStable(folder = newFolder(), until: 'ready' | 'begun' = 'ready'): Promise<Stable> {
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const child = spawn('node', ['scripts/start.mjs', '--server'], {
    env: { ...process.env, PORT: String(port), STABLE_DATA: folder, STABLE_ZONE: 'Europe/Oslo' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const hear = (chunk: Buffer) => void (said += chunk.toString());
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  let peak = 0;
  const watch = setInterval(() => {
    try {
      const now = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1];
      peak = Math.max(peak, Number(now ?? 0) / 1024);
    } catch {
      // It has ended.
    }
  }, 100);
  const ended = new Promise<void>((resolve) =>
    child.once('exit', () => {
      clearInterval(watch);
      resolve();
    }),
  );
  if (until === 'ready')
    for (let left = 300; ; left -= 1) {
      if (child.exitCode !== null || left === 0) throw new Error(`it did not start: ${said}`);
      if (said.includes('Stable is ready')) break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  const code = /sign-in#code=(\S+)/.exec(said)?.[1];
  if (code !== undefined) sessions.set(folder, await signInByCode(url, code, 'IK', 'Ida Kern'));
  const cookie = sessions.get(folder) ?? '';
  return {
    ...{ url, folder, cookie },
    process: child,
    said: () => said,
    ...asking(url, cookie),
    peakMegabytes: () => {
      const most = Math.round(peak);
      peak = 0;
      return most;
    },
    end: async (signal = 'SIGTERM') => {
      child.kill(signal);
      await ended;
    },
  };
}
