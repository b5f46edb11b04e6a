// The production (or development) server: Next behind the gate, one owner of the data folder, a quiet end.
import { createServer } from 'node:http';
import next from 'next';
import { ownHosts, refusal } from './guard.mjs';
import { ROOT } from './prepare.mjs';
import { BEAT_MS } from './beat.mjs';

const SECURITY_HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'same-origin',
  'X-Frame-Options': 'DENY',
};

/** Bytes of a refused body that are taken off the line. */
const DRAINED = 100_000_000;

export async function serve({ port, host, data, zone, demo, now, dev = false }) {
  Object.assign(process.env, {
    STABLE_DATA: data,
    STABLE_ZONE: zone,
    STABLE_DEMO: demo ? '1' : '',
    NODE_ENV: dev ? 'development' : 'production',
  });
  if (now) process.env.STABLE_NOW = now;
  if (host !== '127.0.0.1')
    console.warn(
      `Warning: listening on ${host}. There is no sign-in yet: whoever reaches this address can read and write everything.`,
    );

  const app = next({ dev, dir: ROOT, hostname: host, port });
  await app.prepare(); // opens the database in instrumentation.ts, which ends the process with a message if it can't
  const handle = app.getRequestHandler();
  const own = ownHosts(host, port);
  const server = createServer((request, response) => {
    for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(name, value);
    const refused = refusal(request, own);
    if (!refused) return void handle(request, response);
    const answer = () => {
      if (response.headersSent) return;
      response.writeHead(refused.status, {
        'content-type': 'application/problem+json',
        connection: 'close',
        ...(refused.status === 405 ? { allow: refused.problems[0].limit } : {}),
      });
      response.end(JSON.stringify(refused));
    };
    // What is still sent is taken off the line and not kept: else the sender sees a broken pipe and no answer.
    if (Number(request.headers['content-length'] ?? 0) > DRAINED) return answer();
    let taken = 0;
    request.on('data', (chunk) => {
      taken += chunk.length;
      if (taken > DRAINED) answer();
    });
    request.once('end', answer);
  });
  // Longer than a browser waits between two requests: else it may send one as the server closes, and loses it.
  server.keepAliveTimeout = 75_000;
  server.headersTimeout = 80_000;
  if (dev) server.on('upgrade', app.getUpgradeHandler());

  await new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });

  let ending = false;
  const end = async (signal) => {
    if (ending) return;
    ending = true;
    console.log(`${signal}: finishing what is under way …`);
    const closed = new Promise((resolve) => server.close(resolve));
    // A connection that is answered now stays open for the next request, which won't be taken.
    const idle = setInterval(() => server.closeIdleConnections(), 100);
    await closed;
    clearInterval(idle);
    await globalThis[Symbol.for('stable.close')]?.();
    process.exit(0);
  };
  process.on('SIGTERM', () => end('SIGTERM'));
  process.on('SIGINT', () => end('SIGINT'));
  if (process.send) {
    // With the supervisor its ends of these pipes are gone: what is printed then is lost, and no fault.
    for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
    setInterval(() => process.send?.({ beat: true, rss: process.memoryUsage.rss() }), BEAT_MS).unref();
    // Killed, it can't end this process: a server without it would hold the folder against the next.
    process.once('disconnect', () => end('Its supervisor is gone'));
  }
  return { address: `http://${host.includes(':') ? `[${host}]` : host}:${port}` };
}

/** Starts, or says in one line why not and ends with 1. */
export async function serveOrExplain(settings) {
  try {
    const { address } = await serve(settings);
    const health = await fetch(
      `${address.replace('0.0.0.0', '127.0.0.1').replace('[::]', '[::1]')}/api/health`,
    );
    if (!health.ok) throw new Error(`the health address answered ${health.status}`);
    console.log(`Stable is ready at ${address}${settings.demo ? '  (demo shop)' : ''}`);
  } catch (error) {
    const taken =
      error.code === 'EADDRINUSE'
        ? `Port ${settings.port} is taken: stop what uses it, or set PORT.`
        : error.message;
    console.error(`Stable did not start: ${taken}`);
    process.exit(1);
  }
}
