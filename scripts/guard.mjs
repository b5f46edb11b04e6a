// The gate before every request: Host must be our own, so must a write's Origin, and somebody must have signed in.
import { hostname, networkInterfaces } from 'node:os';

/** Names under which this server may be called. */
export function ownHosts(host, port, secure = false) {
  const usual = secure ? 443 : 80;
  const names = new Set(['127.0.0.1', 'localhost', '[::1]', host.includes(':') ? `[${host}]` : host]);
  if (host === '0.0.0.0' || host === '::') {
    names.add(hostname().toLowerCase());
    for (const list of Object.values(networkInterfaces()))
      for (const at of list ?? []) names.add(at.family === 'IPv6' ? `[${at.address}]` : at.address);
  }
  return new Set(
    [...names].flatMap((name) =>
      port === usual
        ? [name.toLowerCase(), `${name.toLowerCase()}:${port}`]
        : [`${name.toLowerCase()}:${port}`],
    ),
  );
}

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const METHODS = [...SAFE, 'POST'];

/** Bytes that no body has: the largest that any address takes lies below it (a test holds them together). */
export const NO_BODY_BYTES = 25_000_000;
/** Where a body is read piece by piece and never held, it may be larger. */
const PIECEMEAL = new Map([['/api/v1/programs/read', 256_000_000]]);
/** Bytes that no body to an address has. */
export const mostBytes = (url) => PIECEMEAL.get(url.split('?', 1)[0]) ?? NO_BODY_BYTES;

const TITLES = {
  NOT_SIGNED_IN: 'Nobody has signed in',
  TOO_OFTEN: 'It was tried too often',
  TOO_LARGE: 'It is larger than what is taken',
  FOREIGN_ORIGIN: 'The request came from another site',
  METHOD: 'This is not done with any address here',
  BAD_ADDRESS: 'The address can’t be read',
};
const problem = (status, code, field, value, limit, detail, wayOut) => ({
  type: `/api/v1/problems/${code.toLowerCase().replaceAll('_', '-')}`,
  title: TITLES[code],
  status,
  code,
  detail,
  way_out: wayOut,
  problems: [{ field, value, limit, detail }],
});

/** Whether the path of an address can be read as text: whole percent signs, UTF-8, no NUL. */
function isReadable(url) {
  try {
    return !decodeURIComponent(url.split('?', 1)[0]).includes('\0');
  } catch {
    return false;
  }
}

/** Whether a program says by which key it comes. No page can be made to send that to another site. */
export const hasKey = (request) => /^Bearer ./i.test(request.headers.authorization ?? '');

/** What is answered to whom nobody knows: what a page of signing in needs, and whether Stable is well. */
export function isOpen(request) {
  const path = (request.url ?? '/').split('?', 1)[0];
  if (request.method === 'POST') return /^\/api\/v1\/sign-in(\/demo|\/code)?$/.test(path);
  return (
    path === '/sign-in' ||
    path === '/api/health' ||
    path === '/api/v1/openapi.json' ||
    path.startsWith('/api/v1/problems/') ||
    path.startsWith('/_next/static/') ||
    path === '/icon.svg' ||
    path === '/favicon.ico'
  );
}

/** Where whoever wants a page signs in first, and comes back from; null: what was asked is no page. */
export function signInFor(request) {
  const url = request.url ?? '/';
  const isPage = request.method === 'GET' && !url.startsWith('/api/') && !url.startsWith('/_next/');
  return isPage ? `/sign-in?next=${encodeURIComponent(url.replace(/[?&]_rsc=[^&]*/, ''))}` : null;
}

/** The refusal of whom nobody knows. */
export const notSignedIn = () =>
  problem(
    401,
    'NOT_SIGNED_IN',
    'who',
    null,
    'a session, or Authorization: Bearer with a key',
    'Nobody has signed in',
    'Sign in at /sign-in; a program sends a key that an owner made on the page People.',
  );

/** The refusal of who asks more than people and their programs do. */
export const tooOften = (seconds, limit) =>
  problem(
    429,
    'TOO_OFTEN',
    'address',
    null,
    limit,
    'More was asked from this address than people and their programs ask',
    `Wait ${seconds} second${seconds === 1 ? '' : 's'}, then ask less at once.`,
  );

/**
 * Why a request is refused, as a problem document with its status; null: it may pass. `outside` is the address by which
 * Stable is called from outside, where a proxy stands before it.
 */
export function refusal(request, own, { secure = false, outside = null } = {}) {
  const host = (request.headers.host ?? '').toLowerCase();
  const foreign = (field, value, detail, wayOut) =>
    problem(403, 'FOREIGN_ORIGIN', field, value, [...own].join(', '), detail, wayOut);
  if (!own.has(host) && host !== outside?.host)
    return foreign(
      'Host',
      host || null,
      `Host “${host}” is not this server`,
      'Call it by its own address; set STABLE_HOST to be reached by another, or STABLE_URL behind a proxy.',
    );
  const method = request.method ?? 'GET';
  if (!METHODS.includes(method))
    return problem(
      405,
      'METHOD',
      'method',
      method,
      METHODS.join(', '),
      `${method} is not done here`,
      'Read with GET, write with POST.',
    );
  if (!isReadable(request.url ?? '/'))
    return problem(
      400,
      'BAD_ADDRESS',
      'path',
      (request.url ?? '').slice(0, 80),
      'percent signs followed by two hexadecimal digits, as UTF-8',
      'The path of the address can’t be read',
      'Write it with encodeURIComponent, or follow the links of the pages.',
    );
  const bytes = Number(request.headers['content-length'] ?? 0);
  const most = mostBytes(request.url ?? '/');
  if (bytes > most)
    return problem(
      413,
      'TOO_LARGE',
      'body',
      bytes,
      `at most ${most} bytes`,
      `The body has ${bytes} bytes`,
      'Send less at once.',
    );
  if (SAFE.has(method) || hasKey(request)) return null;
  const origin = request.headers.origin;
  const of = (() => {
    try {
      return origin ? new URL(origin) : null;
    } catch {
      return null;
    }
  })();
  const scheme = secure ? 'https:' : 'http:';
  if (of?.protocol === scheme && own.has(of.host.toLowerCase())) return null;
  if (of !== null && of.origin === outside?.origin) return null;
  return foreign(
    'Origin',
    origin ?? null,
    origin ? `Origin “${origin}” is not this server` : 'A write needs an Origin header',
    `Send Origin: ${outside?.origin ?? `${scheme}//${host}`}, or a key instead (Authorization: Bearer …).`,
  );
}

const LOCAL = /^(::1|127\..*)$/;
/**
 * Where a request came from. What a proxy says of it (X-Forwarded-For) is believed only of the proxy: on this machine, or
 * one that STABLE_PROXY names; and of it only the last address, which it added itself.
 */
export function addressOf(peer, said, { url, proxies }) {
  const from = (peer ?? 'unknown').replace(/^::ffff:/, '');
  const isProxy = url && (LOCAL.test(from) || proxies.includes(from));
  return isProxy && said ? String(said).split(',').at(-1).trim() : from;
}
