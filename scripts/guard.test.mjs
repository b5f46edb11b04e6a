import { addressOf, isOpen, ownHosts, refusal, signInFor } from './guard.mjs';

const own = ownHosts('127.0.0.1', 3000);
const ask = (method, host, origin) =>
  refusal({ method, headers: { host, ...(origin === undefined ? {} : { origin }) } }, own);

// X-Forwarded-For: de facto; whoever comes to the port directly writes there what they like.
it.each([
  ['nobody stands before it', '192.0.2.9', '198.51.100.1', { url: null, proxies: [] }, '192.0.2.9'],
  [
    'the proxy of this machine',
    '::ffff:127.0.0.1',
    '10.0.0.1, 198.51.100.1',
    { url: true, proxies: [] },
    '198.51.100.1',
  ],
  ['somebody who goes round the proxy', '192.0.2.9', '198.51.100.1', { url: true, proxies: [] }, '192.0.2.9'],
  [
    'a proxy on another machine that is named',
    '192.0.2.9',
    '198.51.100.1',
    { url: true, proxies: ['192.0.2.9'] },
    '198.51.100.1',
  ],
  ['a proxy that says nothing', '127.0.0.1', undefined, { url: true, proxies: [] }, '127.0.0.1'],
  ['a socket that is gone', undefined, '198.51.100.1', { url: true, proxies: [] }, 'unknown'],
])('an address is believed of the proxy alone: %s', (_, peer, said, before, address) =>
  expect(addressOf(peer, said, before)).toBe(address),
);

describe('the gate', () => {
  it('refuses a body by its length where its address takes less', () => {
    const sent = (url, bytes) =>
      refusal(
        {
          method: 'POST',
          url,
          headers: {
            host: '127.0.0.1:3000',
            origin: 'http://127.0.0.1:3000',
            'content-length': String(bytes),
          },
        },
        own,
      );
    for (const url of ['/api/v1/programs', '/api/v1/items/imported', '/api/v1/programs/read/x'])
      expect(sent(url, 25_000_001)).toMatchObject({
        status: 413,
        problems: [{ limit: 'at most 25000000 bytes' }],
      });
    for (const url of ['/api/v1/programs/read', '/api/v1/programs/read?dwell=seconds']) {
      expect(sent(url, 256_000_000)).toBeNull();
      expect(sent(url, 256_000_001)).toMatchObject({ status: 413 });
    }
  });
  it('lets its own hosts read', () =>
    ['127.0.0.1:3000', 'localhost:3000', 'LOCALHOST:3000', '[::1]:3000'].forEach((h) =>
      expect(ask('GET', h)).toBeNull(),
    ));
  it('refuses a foreign host, port or none (a page of another site that resolves to this address)', () =>
    ['evil.example:3000', '127.0.0.1', '127.0.0.1:3001', undefined, ''].forEach((h) =>
      expect(ask('GET', h)).toMatchObject({ status: 403, problems: [{ field: 'Host' }] }),
    ));
  it('lets a write pass with its own origin only', () => {
    expect(ask('POST', 'localhost:3000', 'http://localhost:3000')).toBeNull();
    [
      undefined,
      'null',
      'http://evil.example',
      'https://localhost:3000',
      'http://localhost:3000.evil.example',
      'localhost:3000',
    ].forEach((o) =>
      expect(ask('POST', 'localhost:3000', o)).toMatchObject({ problems: [{ field: 'Origin' }] }),
    );
    ['PUT', 'DELETE', 'PATCH'].forEach((m) => expect(ask(m, 'localhost:3000')).not.toBeNull());
  });
  it('knows the machine’s own addresses when it listens on all of them, and port 80 without a number', () => {
    expect(ownHosts('0.0.0.0', 3000).size).toBeGreaterThan(own.size - 1);
    expect(ownHosts('127.0.0.1', 80).has('localhost')).toBe(true);
  });
});

describe('who has not signed in', () => {
  const at = (method, url) => isOpen({ method, url });
  it('reads what a page of signing in needs, and whether Stable is well', () => {
    for (const url of [
      '/sign-in',
      '/sign-in?next=/rack',
      '/api/health',
      '/_next/static/x.js',
      '/api/v1/openapi.json',
    ])
      expect([url, at('GET', url)]).toEqual([url, true]);
    for (const url of [
      '/',
      '/rack',
      '/api/v1/today',
      '/api/v1/signers',
      '/sign-in/x',
      '/_next/image?url=/x',
      '/api/v1/problems',
    ])
      expect([url, at('GET', url)]).toEqual([url, false]);
  });
  it('posts what signs in, and nothing else', () => {
    for (const url of ['/api/v1/sign-in', '/api/v1/sign-in/code', '/api/v1/sign-in/demo'])
      expect([url, at('POST', url)]).toEqual([url, true]);
    for (const url of [
      '/',
      '/sign-in',
      '/api/v1/people',
      '/api/v1/sign-in/codes',
      '/api/v1/sign-out',
      '/api/health',
    ])
      expect([url, at('POST', url)]).toEqual([url, false]);
  });
  it('is led to sign in and back again, where it is a page that was asked for', () => {
    expect(signInFor({ method: 'GET', url: '/rack?open=A-0001' })).toBe(
      '/sign-in?next=%2Frack%3Fopen%3DA-0001',
    );
    expect(signInFor({ method: 'GET', url: '/api/v1/today' })).toBeNull();
    expect(signInFor({ method: 'POST', url: '/' })).toBeNull();
  });
});

describe('a program with a key, and a proxy', () => {
  const write = (headers, how) =>
    refusal({ method: 'POST', url: '/', headers: { host: 'localhost:3000', ...headers } }, own, how);
  it('needs no Origin with a key, which no page of another site can send', () => {
    expect(write({ authorization: 'Bearer stable_x' })).toBeNull();
    expect(write({ authorization: 'Basic x' })).toMatchObject({ status: 403 });
    // The Host is looked at all the same.
    expect(
      refusal({ method: 'POST', headers: { host: 'evil.example', authorization: 'Bearer x' } }, own),
    ).toMatchObject({ status: 403 });
  });
  it('is called by the address of the proxy, and from no other', () => {
    const outside = new URL('https://stable.example');
    const by = (host, origin) =>
      refusal({ method: 'POST', url: '/', headers: { host, origin } }, own, { outside });
    expect(by('stable.example', 'https://stable.example')).toBeNull();
    expect(by('stable.example', 'http://stable.example')).toMatchObject({ status: 403 });
    expect(by('stable.example', 'https://evil.example')).toMatchObject({ status: 403 });
    expect(by('evil.example', 'https://stable.example')).toMatchObject({ status: 403 });
  });
  it('over HTTPS of its own takes https Origins alone', () => {
    const secured = ownHosts('192.0.2.5', 443, true);
    const by = (origin) =>
      refusal({ method: 'POST', url: '/', headers: { host: '192.0.2.5', origin } }, secured, {
        secure: true,
      });
    expect(by('https://192.0.2.5')).toBeNull();
    expect(by('http://192.0.2.5')).toMatchObject({ status: 403 });
  });
});
