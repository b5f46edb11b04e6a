// The gate before every request: Host must be our own, and so must a write's Origin.
import { hostname, networkInterfaces } from 'node:os';

/** Names under which this server may be called. */
export function ownHosts(host, port) {
  const names = new Set(['127.0.0.1', 'localhost', '[::1]', host.includes(':') ? `[${host}]` : host]);
  if (host === '0.0.0.0' || host === '::') {
    names.add(hostname().toLowerCase());
    for (const list of Object.values(networkInterfaces()))
      for (const at of list ?? []) names.add(at.family === 'IPv6' ? `[${at.address}]` : at.address);
  }
  return new Set(
    [...names].flatMap((name) =>
      port === 80 ? [name.toLowerCase(), `${name.toLowerCase()}:80`] : [`${name.toLowerCase()}:${port}`],
    ),
  );
}

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const METHODS = [...SAFE, 'POST'];

/** Bytes that no body has: the largest that any address takes lies below it (a test holds them together). */
export const NO_BODY_BYTES = 25_000_000;

const TITLES = {
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

/** Why a request is refused, as a problem document with its status; null: it may pass. */
export function refusal(request, own) {
  const host = (request.headers.host ?? '').toLowerCase();
  const foreign = (field, value, detail, wayOut) =>
    problem(403, 'FOREIGN_ORIGIN', field, value, [...own].join(', '), detail, wayOut);
  if (!own.has(host))
    return foreign(
      'Host',
      host || null,
      `Host “${host}” is not this server`,
      'Call it by its own address; set STABLE_HOST to be reached by another.',
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
  if (bytes > NO_BODY_BYTES)
    return problem(
      413,
      'TOO_LARGE',
      'body',
      bytes,
      `at most ${NO_BODY_BYTES} bytes`,
      `The body has ${bytes} bytes`,
      'Send less at once.',
    );
  if (SAFE.has(method)) return null;
  const origin = request.headers.origin;
  const of = (() => {
    try {
      return origin ? new URL(origin) : null;
    } catch {
      return null;
    }
  })();
  if (of?.protocol === 'http:' && own.has(of.host.toLowerCase())) return null;
  return foreign(
    'Origin',
    origin ?? null,
    origin ? `Origin “${origin}” is not this server` : 'A write needs an Origin header',
    `Send Origin: http://${host}`,
  );
}
