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

/** Why a request is refused, as a problem document; null: it may pass. */
export function refusal(request, own) {
  const host = (request.headers.host ?? '').toLowerCase();
  const problem = (field, value, detail, wayOut) => ({
    type: '/api/v1/problems/foreign-origin',
    title: 'The request came from another site',
    status: 403,
    code: 'FOREIGN_ORIGIN',
    detail,
    way_out: wayOut,
    problems: [{ field, value, limit: [...own].join(', '), detail }],
  });
  if (!own.has(host))
    return problem(
      'Host',
      host || null,
      `Host “${host}” is not this server`,
      'Call it by its own address; set STABLE_HOST to be reached by another.',
    );
  if (SAFE.has(request.method ?? 'GET')) return null;
  const origin = request.headers.origin;
  const of = (() => {
    try {
      return origin ? new URL(origin) : null;
    } catch {
      return null;
    }
  })();
  if (of?.protocol === 'http:' && own.has(of.host.toLowerCase())) return null;
  return problem(
    'Origin',
    origin ?? null,
    origin ? `Origin “${origin}” is not this server` : 'A write needs an Origin header',
    `Send Origin: http://${host}`,
  );
}
