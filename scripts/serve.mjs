// The production (or development) server: Next behind the gate, one owner of the data folder, a quiet end.
import { randomBytes, randomUUID } from 'node:crypto';
import { createServer, request } from 'node:http';
import { createServer as createSecureServer, request as secureRequest } from 'node:https';
import { setFlagsFromString } from 'node:v8';
import next from 'next';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { addressOf, hasKey, isOpen, notSignedIn, ownHosts, refusal, signInFor, tooOften } from './guard.mjs';
import { holdInUse, ROOT } from './prepare.mjs';
import { isThisMachine } from './settings.mjs';
import { BEAT_MS } from './beat.mjs';
import { printUnread } from './unread.mjs';

const SECURITY_HEADERS = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'same-origin',
  'X-Frame-Options': 'DENY',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Permissions-Policy':
    'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), hid=(), bluetooth=(), midi=(), display-capture=()',
};
/** What a page may load and run: its own files, and scripts and styles that carry the nonce of this one answer. */
const policy = (nonce, dev) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    `style-src-elem 'self' 'nonce-${nonce}'`,
    // The page's own reader of programs.
    "worker-src 'self'",
    // Places and sizes of drawn things; no text that somebody typed becomes a style.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** Requests in ten seconds: from an address, and from one where nobody has signed in. */
const PER_ADDRESS = 5_000;
const PER_STRANGER = 600;
const WINDOW_SECONDS = 10;

/** Bytes of a refused body that are taken off the line. */
const DRAINED = 100_000_000;

export async function serve({
  port,
  host,
  data,
  zone,
  demo,
  now,
  cert = null,
  url = null,
  proxies = [],
  dev = false,
}) {
  printUnread();
  // Left to itself the engine lets garbage grow to some hundred MB before it looks for any: a list of 20,000 rows left 150 MB of it.
  // So it looks once what is in use has grown by three quarters: sooner it looks so often that whoever asks meanwhile waits longer.
  // An engine that has no such flag goes on as it would.
  setFlagsFromString('--heap-growing-percent=75');
  Object.assign(process.env, {
    STABLE_DATA: data,
    STABLE_ZONE: zone,
    STABLE_DEMO: demo ? '1' : '',
    NODE_ENV: dev ? 'development' : 'production',
  });
  if (now) process.env.STABLE_NOW = now;
  const secure = cert !== null;
  // Also behind a proxy: the browser speaks HTTPS with that.
  const overHttps = secure || url?.protocol === 'https:';
  process.env.STABLE_SECURE = overHttps ? '1' : '';
  if (!isThisMachine(host) && !overHttps)
    console.warn(
      `Warning: listening on ${host} over plain HTTP, as STABLE_PLAIN_HTTP asks: whoever shares the network can read what is sent, passwords too.`,
    );

  const app = next({ dev, dir: ROOT, hostname: host, port });
  await app.prepare(); // opens the database in instrumentation.ts, which ends the process with a message if it can't
  const handle = app.getRequestHandler();
  const own = ownHosts(host, port, secure);
  const limits = {
    all: new RateLimiterMemory({ points: PER_ADDRESS, duration: WINDOW_SECONDS }),
    strangers: new RateLimiterMemory({ points: PER_STRANGER, duration: WINDOW_SECONDS }),
  };
  /** The refusal of an address that asks too much; null: it may. */
  const slowed = async (limiter, address) => {
    try {
      await limiter.consume(address);
      return null;
    } catch (refused) {
      if (refused instanceof Error) throw refused;
      return tooOften(
        Math.ceil(refused.msBeforeNext / 1000),
        `${limiter.points} requests in ${WINDOW_SECONDS} seconds`,
      );
    }
  };
  /** Who asks, of the requests that are answered now. */
  const tickets = (globalThis[Symbol.for('stable.tickets')] = new Map());
  const refusedFor = async (request, response, address) => {
    const refused = refusal(request, own, { secure, outside: url }) ?? (await slowed(limits.all, address));
    if (refused || isOpen(request)) return refused;
    // Asked before a byte of the body is read, and once: what answers the request takes it from here.
    const signed = await globalThis[Symbol.for('stable.signed')]?.(request.headers);
    if (signed) {
      const ticket = randomUUID();
      request.headers['x-stable-ticket'] = ticket;
      tickets.set(ticket, signed);
      response.once('close', () => tickets.delete(ticket));
      return null;
    }
    return (await slowed(limits.strangers, address)) ?? notSignedIn();
  };
  const serveOne = async (request, response, waits) => {
    for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(name, value);
    if (overHttps) response.setHeader('Strict-Transport-Security', 'max-age=31536000');
    const address = addressOf(request.socket.remoteAddress, request.headers['x-forwarded-for'], {
      url,
      proxies,
    });
    request.headers['x-stable-address'] = address;
    delete request.headers['x-stable-ticket'];
    const refused = await refusedFor(request, response, address);
    if (!refused) {
      const nonce = randomBytes(16).toString('base64');
      const rules = policy(nonce, dev);
      // Next reads the nonce here and puts it on its own scripts.
      request.headers['content-security-policy'] = rules;
      request.headers['x-nonce'] = nonce;
      response.setHeader('Content-Security-Policy', rules);
      if (waits) response.writeContinue();
      return handle(request, response);
    }
    const signIn = refused.status === 401 && !hasKey(request) ? signInFor(request) : null;
    if (signIn) return response.writeHead(303, { location: signIn, 'cache-control': 'no-store' }).end();
    const answer = () => {
      if (response.headersSent) return;
      response.writeHead(refused.status, {
        'content-type': 'application/problem+json',
        'cache-control': 'no-store',
        connection: 'close',
        ...(refused.status === 401 ? { 'www-authenticate': 'Bearer' } : {}),
        ...(refused.status === 429 ? { 'retry-after': String(WINDOW_SECONDS) } : {}),
        ...(refused.status === 405 ? { allow: refused.problems[0].limit } : {}),
      });
      response.end(JSON.stringify(refused));
    };
    // What is still sent is taken off the line and not kept: else the sender sees a broken pipe and no answer.
    if (waits || Number(request.headers['content-length'] ?? 0) > DRAINED) return answer();
    let taken = 0;
    request.on('data', (chunk) => {
      taken += chunk.length;
      if (taken > DRAINED) answer();
    });
    request.once('end', answer);
  };
  const take = (waits) => (request, response) =>
    void serveOne(request, response, waits).catch((error) => {
      // No data in logs: where it broke is enough.
      console.error(
        error instanceof Error ? error.stack?.split('\n').slice(1, 6).join('\n') : 'the gate broke',
      );
      if (!response.headersSent) response.writeHead(500).end();
    });
  const server = secure ? createSecureServer(cert, take(false)) : createServer(take(false));
  // Who asks first whether a body is wanted hears it from the gate.
  server.on('checkContinue', take(true));
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
    // Killed, it can't end this process: a server without it would hold the folder against the next.
    process.once('disconnect', () => end('Its supervisor is gone'));
  }
  return {
    address: `${secure ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`,
    server,
  };
}

/** Says to the supervisor, where there is one, that it is alive and how much memory it takes. */
const beat = () => process.send?.({ beat: true, rss: process.memoryUsage.rss() });

/** What the health address of this server answers, asked from here. */
const healthOf = (address) =>
  new Promise((resolve, reject) => {
    const url = new URL('/api/health', address.replace('0.0.0.0', '127.0.0.1').replace('[::]', '[::1]'));
    // Its own certificate names the shop’s address, and not the one by which it asks itself.
    const ask = url.protocol === 'https:' ? secureRequest : request;
    ask(url, { rejectUnauthorized: false, agent: false }, (answer) => {
      answer.resume();
      resolve(answer.statusCode);
    })
      .on('error', reject)
      .end();
  });

/** Starts, or says in one line why not and ends with 1. */
export async function serveOrExplain(settings) {
  holdInUse(process.env.STABLE_DIST);
  try {
    const { address } = await serve(settings);
    // Next opens the crib with the first request: that one is ours.
    const status = await healthOf(address);
    if (status !== 200) throw new Error(`the health address answered ${status}`);
    // From its first beat on the supervisor takes it for one that can start, and starts it again.
    beat();
    setInterval(beat, BEAT_MS).unref();
    const outside = settings.url?.origin ?? address;
    for (const line of globalThis[Symbol.for('stable.say')] ?? [])
      console.log(line.replace('/sign-in', `${outside}/sign-in`));
    console.log(`Stable is ready at ${outside}${settings.demo ? '  (demo shop)' : ''}`);
  } catch (error) {
    const taken =
      error.code === 'EADDRINUSE'
        ? `Port ${settings.port} is taken: stop what uses it, or set PORT.`
        : error.message;
    console.error(`Stable did not start: ${taken}`);
    process.exit(1);
  }
}
